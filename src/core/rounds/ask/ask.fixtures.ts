import type { RoundsQuestion } from "../../formats";
import type { DayProblem } from "../day/problem";
import type { AskedDays } from "./day-problem";

const at = (day: number, clock: string) => `2026-06-0${day}T${clock}:00Z`;

/** Two crews, three places, a mixer that soaks and a hydrant beside it: a Monday and a Tuesday. */
export const twoCrews: RoundsQuestion = {
  places: [
    { id: "depot", lat: 57.1, lon: 2.31 },
    { id: "lido", lat: 57.101, lon: 2.3 },
    { id: "quay", lat: 57.106, lon: 2.323 },
  ],
  tasks: [
    {
      id: "LD-M1 yearly",
      place: "lido",
      stretches: [{ work_min: 40, wait_min: 40, wait_most_min: 90 }, { work_min: 30 }],
      needs: ["water"],
      windows: [{ from: at(1, "08:00"), to: at(1, "12:00") }],
    },
    { id: "LD-T11 look", place: "lido", stretches: [{ work_min: 35 }] },
    {
      id: "NQ-H07 disc",
      place: "quay",
      stretches: [{ work_min: 60 }],
      shutdown: "street",
      out: ["quay street"],
    },
    {
      id: "NQ-H10 seat",
      place: "quay",
      stretches: [{ work_min: 50 }],
      out: ["quay street"],
      due: at(1, "18:00"),
    },
  ],
  crews: [
    {
      id: "Isla and Tam",
      base: "depot",
      people: 2,
      skills: ["gas", "water"],
      shifts: [{ from: at(1, "08:00"), to: at(1, "16:00") }],
    },
    {
      id: "Jory",
      base: "depot",
      skills: [],
      shifts: [
        { from: at(1, "08:00"), to: at(1, "16:00") },
        { from: at(2, "08:00"), to: at(2, "16:00") },
      ],
    },
  ],
  shutdowns: [{ id: "street", shut_min: 15, restore_min: 10 }],
  seconds: 1,
};

/** A problem in minutes as if it had been asked: its minute nought is a Monday at midnight. */
export function askedFrom(problem: DayProblem): AskedDays {
  const zero = Date.parse("2026-06-01T00:00:00Z");
  const at = (minute: number) => Math.round(zero + minute * 60_000);
  return {
    problem,
    tasks: problem.tasks.map(({ id, place }) => ({ id, place: `${place}`, stretches: [] })),
    shifts: problem.shifts.map(({ crew, from, to, people, skills }) => ({
      crew: { id: crew, base: "", shifts: [] },
      start: "",
      from: at(from),
      to: at(to),
      people,
      skills,
    })),
    at,
    minute: (ms) => (ms - zero) / 60_000,
  };
}
