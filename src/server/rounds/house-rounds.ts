import {
  crewsOn,
  dueTasks,
  type HouseDay,
  type HouseRounds,
  type NoCrews,
  type NotPlanned,
  type RoundsWork,
  shutTogether,
} from "@/core/due-work";
import { type RoundsQuestion, WEEKDAYS } from "@/core/formats";
import { placeOf } from "@/core/places";
import { err, ok, type Result } from "@/core/result";
import { answerPlan } from "@/core/rounds";
import type { IntegerSolver } from "@/core/store";
import { speaker, whyNotWords, whyNoWeekWords } from "@/words";
import type { Services } from "../services";
import { dueRinging, NOWHERE, type RingingValve, spotKey } from "./due-ringing";

/** Weeks that are planned ahead: a quarter. */
const WEEKS = 13;
const DAY_MS = 86_400_000;
/** Of a usual machine. */
const SECONDS = 3;

/** The next quarter of this house, planned: who does what when, and what of it found no place. */
export function houseRounds(services: Services, solve: IntegerSolver): Result<HouseRounds, NoCrews> {
  const asked = ask(services);
  if (!asked.ok) return asked;
  const { question, ringing, not, monday, crews } = asked.value;
  const planned = answerPlan(question, { solve });
  // The question is made here: what is wrong with it is a bug of ours.
  if (!planned.ok) throw new Error(JSON.stringify(planned.error));
  const answer = planned.value;
  const words = speaker();
  const together = shutTogether(question.tasks);
  const shutdownOf = new Map(question.tasks.map(({ id, shutdown }) => [id, shutdown]));
  const workOf = (valve: RingingValve): RoundsWork => ({
    tag: valve.tag,
    name: valve.name,
    place: valve.place,
    what: valve.what,
    why: valve.why,
    due: valve.due,
    minutes: valve.work.minutes,
    needs: valve.work.needs,
    people: valve.work.people,
    lost: valve.work.lost,
    together: (together.get(shutdownOf.get(valve.tag) ?? "") ?? []).filter((tag) => tag !== valve.tag),
    ...(valve.spot === NOWHERE && { nowhere: true }),
  });
  return ok({
    at: services.now(),
    weeks: Array.from({ length: WEEKS }, (_, week) => ({
      from: dayAfter(monday, 7 * week),
      crews:
        answer.weeks.find(({ from }) => Math.abs(Date.parse(from) - dayAfter(monday, 7 * week)) < DAY_MS)
          ?.crews ?? [],
    })),
    crews,
    shifts: answer.shifts,
    otherwise: answer.otherwise,
    works: Object.fromEntries(ringing.map((valve) => [valve.tag, workOf(valve)])),
    unplaced: answer.unplaced.map(({ task, week, why = [] }) => ({
      task,
      says: [
        ...new Set([
          ...(week === undefined ? [] : [whyNoWeekWords(words, week)]),
          ...why.map((each) => whyNotWords(words, each)),
        ]),
      ],
    })),
    not,
    cost: answer.cost,
    bound: answer.bound,
  });
}

interface Asked {
  readonly question: RoundsQuestion;
  readonly ringing: readonly RingingValve[];
  readonly not: readonly NotPlanned[];
  readonly monday: number;
  readonly crews: HouseRounds["crews"];
}

function ask(services: Services): Result<Asked, NoCrews> {
  const { library, things, now } = services;
  const house = things.one("house", "house");
  const people = library.crew();
  const names = new Map(people.map(({ id, name }) => [id, name]));
  if ((house?.crews ?? []).length === 0) return err({ kind: "no-crews" });
  const monday = mondayBefore(now());
  const until = dayAfter(monday, 7 * WEEKS);
  const places = new Map(things.all("place").map((place) => [place.name, place]));
  const crews = crewsOn(house!, people, daysFrom(now(), until), ({ base }) =>
    spotKey({ place: base ?? "" }, places),
  );
  if (crews.every(({ shifts }) => shifts.length === 0))
    return err({ kind: "nobody-on-shift", crews: crews.map(({ id }) => id) });
  const { ringing, not } = dueRinging(services, until);
  const { tasks, shutdowns } = dueTasks(ringing, now(), until);
  const spots = [...new Set([...ringing.map(({ spot }) => spot), ...crews.map(({ base }) => base)])];
  const firstBase = crews.map(({ base }) => base).find((base) => base !== NOWHERE) ?? "0 0";
  const areaOf = new Map(ringing.map(({ spot, place }) => [spot, placeOf(place, places)?.name ?? place]));
  return ok({
    ringing,
    not,
    monday,
    crews: house!.crews!.map(({ name, people: members }) => ({
      id: name,
      people: members.map((id) => names.get(id) ?? id),
      skills: [...new Set(crews.find(({ id }) => id === name)?.shifts.flatMap(({ skills = [] }) => skills))],
    })),
    question: {
      places: spots.map((spot) => {
        const [lat, lon] = (spot === NOWHERE ? firstBase : spot).split(" ").map(Number);
        return { id: spot, lat: lat!, lon: lon!, area: (areaOf.get(spot) ?? spot).slice(0, 100) };
      }),
      tasks,
      crews,
      shutdowns,
      week_from: new Date(monday).toISOString(),
      seed: 1,
      seconds: SECONDS,
    },
  });
}

/** The same hour so many days later, by the clock on the wall of the server. */
const dayAfter = (midnight: number, days: number): number => {
  const date = new Date(midnight);
  date.setDate(date.getDate() + days);
  return date.getTime();
};

function mondayBefore(now: number): number {
  const date = new Date(now);
  date.setHours(0, 0, 0, 0);
  return dayAfter(date.getTime(), -((date.getDay() + 6) % 7));
}

/** Days from now on: of today what is left of it. */
function daysFrom(now: number, until: number): HouseDay[] {
  const days: HouseDay[] = [];
  const first = new Date(now).setHours(0, 0, 0, 0);
  for (let midnight = first; midnight < until; midnight = dayAfter(midnight, 1)) {
    const date = new Date(midnight);
    const two = (figure: number) => String(figure).padStart(2, "0");
    days.push({
      date: `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`,
      weekday: WEEKDAYS[(date.getDay() + 6) % 7]!,
      at: (clock) => {
        const [hours, minutes] = clock.split(":").map(Number);
        return Math.max(now, new Date(midnight).setHours(hours!, minutes!, 0, 0));
      },
    });
  }
  return days;
}
