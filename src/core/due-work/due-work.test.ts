import { describe, expect, it } from "vitest";
import type { House, JobInputs, Person } from "../formats";
import { run, type Step } from "../job";
import { wetJob } from "../job/job.fixtures";
import { answerDay } from "../rounds";
import { type Beside, crewsOn, type HouseDay, dueTasks as tasksOf, workOf } from ".";
import type { Ringing } from "./due-tasks";
import { streetWork } from "./due-work.fixtures";

const NOW = Date.UTC(2026, 5, 1, 7);
const DAY_MS = 86_400_000;
const UNTIL = NOW + 28 * DAY_MS;

const ALONE: Beside = { joint: [], apart: [], oneByOne: [] };
const dueTasks = (some: readonly Ringing[], now: number, until: number, beside = ALONE) =>
  tasksOf(some, beside, { now, until, days: [] });
const NO_SAVINGS = { valves: 0, minutes: 0, litres: 0, outage_min: 0 };

const ringing = (tag: string, more: Partial<Ringing> = {}): Ringing => ({
  tag,
  due: NOW + 5 * DAY_MS,
  reported: false,
  line: "north-quay",
  spot: "57.1 2.3",
  mayBeDone: { noticeDays: 0 },
  work: streetWork,
  ...more,
});

describe("what rings as tasks", () => {
  it("shuts once what is shut off together, with its own minutes, and all else by itself", () => {
    const joint = [{ tags: ["H05", "H07"], shut_min: 18, restore_min: 11, locks: 2, saves: NO_SAVINGS }];
    const works = [ringing("H05"), ringing("H07"), ringing("H10")];
    const { tasks, shutdowns } = dueTasks(works, NOW, UNTIL, { joint, apart: [], oneByOne: [] });
    expect(tasks[0]!.shutdown).toBe(tasks[1]!.shutdown);
    expect(tasks[2]!.shutdown).not.toBe(tasks[0]!.shutdown);
    expect(shutdowns).toMatchObject([
      { shut_min: 18, restore_min: 11 },
      { shut_min: 15, restore_min: 10 },
    ]);
  });

  it("never has two out at a time that may not be, whatever they are", () => {
    const dry = { ...streetWork, impairs: [] };
    const works = ["A", "B", "C"].map((tag) => ringing(tag, { work: dry }));
    const apart = [
      { tags: ["A", "B"] as const, because: { kind: "unprotected" as const, vessel: "Surge drum" } },
    ];
    const [a, b, c] = dueTasks(works, NOW, UNTIL, { joint: [], apart, oneByOne: [] }).tasks;
    expect(a!.out).toEqual(b!.out);
    expect(c!.out).toBeUndefined();
  });

  it("never has two impairments of one line at a time, of two lines it may", () => {
    const out = (each: Ringing) => dueTasks([each], NOW, UNTIL).tasks[0]!.out;
    expect(out(ringing("H05"))).toEqual(out(ringing("H10", { work: { ...streetWork, shuts: ["V-20"] } })));
    expect(out(ringing("S05", { line: "south-quay" }))).not.toEqual(out(ringing("H05")));
    expect(out(ringing("M1", { work: { ...streetWork, impairs: [] } }))).toBeUndefined();
  });

  it("has one thing out at a time of a line with more on it than each two can be looked at", () => {
    const shut = { opens: ["H05"], plan: {} as NonNullable<Ringing["work"]["shut"]>["plan"] };
    const dry = { ...streetWork, impairs: [] };
    const works = [
      ringing("A", { work: { ...dry, shut } }),
      ringing("B", { work: { ...dry, shut } }),
      ringing("C", { work: dry }),
    ];
    const [a, b, c] = dueTasks(works, NOW, UNTIL, { joint: [], apart: [], oneByOne: ["north-quay"] }).tasks;
    expect(a!.out).toEqual(b!.out);
    expect(a!.out).toHaveLength(1);
    // What shuts nothing takes nothing out.
    expect(c!.out).toBeUndefined();
  });

  it("counts shutting and restoring within the work of what is shut by nothing that could be shared", () => {
    const { tasks } = dueTasks([ringing("M1", { work: { ...streetWork, shuts: [] } })], NOW, UNTIL);
    expect(tasks[0]).toMatchObject({ stretches: [{ work_min: 85 }] });
    expect(tasks[0]!.shutdown).toBeUndefined();
  });

  it("does nothing before those have been told who want to know", () => {
    const [told] = dueTasks([ringing("H05", { mayBeDone: { noticeDays: 3 } })], NOW, UNTIL).tasks;
    expect(Date.parse(told!.windows![0]!.from)).toBe(NOW + 3 * DAY_MS);
    const [late] = dueTasks([ringing("H05", { mayBeDone: { noticeDays: 60 } })], NOW, UNTIL).tasks;
    expect(Date.parse(late!.windows![0]!.from)).toBeGreaterThanOrEqual(UNTIL);
  });

  it("costs more to leave out than to do on the last day, however late it is", () => {
    for (const due of [NOW - 400 * DAY_MS, NOW, UNTIL - DAY_MS]) {
      const [task] = dueTasks([ringing("H05", { due, reported: true })], NOW, UNTIL).tasks;
      expect(task!.left_out).toBeGreaterThan((task!.late_per_day! * Math.max(0, UNTIL - due)) / DAY_MS);
    }
  });
});

describe("the work of a compiled job", () => {
  const plan = (inputs: JobInputs) => {
    const job = run(inputs, []);
    if (!job.ok) throw new Error(JSON.stringify(job.error));
    return job.value.plan;
  };

  it("has all of its minutes, parted by its waits", () => {
    const inputs = wetJob();
    const planned = plan(inputs);
    const { stretches, shut_min, restore_min, minutes } = workOf(inputs, planned);
    const parts = stretches.reduce((sum, { work_min, wait_min = 0 }) => sum + work_min + wait_min, 0);
    expect(parts + shut_min + restore_min).toBeCloseTo(minutes, 6);
    expect(minutes).toBeCloseTo(planned.minutes, 6);
  });

  it("is parted where it soaks, and not left for longer than harms it", () => {
    const inputs = wetJob();
    const planned = plan(inputs);
    const soak = {
      kind: "soak",
      id: "soak:x",
      phase: "rebuild",
      minutes: 40,
      most_min: 60,
      why: "",
    } as unknown as Step;
    const { stretches } = workOf(inputs, { ...planned, steps: [...planned.steps, soak] });
    expect(stretches).toHaveLength(2);
    expect(stretches[0]).toMatchObject({ wait_min: 40, wait_most_min: 60 });
    const gas = {
      ...inputs,
      sheet: { ...inputs.sheet, isolation: { ...inputs.sheet.isolation, medium: "gas" as const } },
    };
    expect(workOf(gas, { ...planned, steps: [...planned.steps, soak] }).stretches).toHaveLength(1);
  });
});

describe("the crews of a house", () => {
  const house: House = {
    format: "loftbell.house",
    version: 1,
    id: "house",
    name: "Works",
    shifts: [
      { id: "early", name: "Early", days: ["mon", "tue"], from: "06:30", to: "15:00" },
      { id: "day", name: "Day", days: ["mon", "tue", "wed"], from: "08:00", to: "16:30" },
    ],
    closed: { "2026-06-03": "Harbour day" },
    crews: [{ id: "a", name: "Isla and Jory", people: ["isla", "jory"] }],
  };
  const isla: Person = {
    id: "isla",
    name: "Isla",
    may: "",
    shift: "early",
    competent: { gas: "2026-06-01" },
  };
  const jory: Person = {
    id: "jory",
    name: "Jory",
    may: "",
    shift: "day",
    away: { "2026-06-09": "2026-06-10" },
  };
  const day = (date: string, weekday: HouseDay["weekday"]): HouseDay => ({
    date,
    weekday,
    at: (clock) => Date.parse(`${date}T${clock}:00Z`),
  });
  const on = (...days: HouseDay[]) => crewsOn(house, [isla, jory], days, () => "depot")[0]!.shifts;

  it("works as long as all of it do", () => {
    expect(on(day("2026-06-01", "mon"))).toEqual([
      { from: "2026-06-01T08:00:00.000Z", to: "2026-06-01T15:00:00.000Z", people: 2, skills: ["gas"] },
    ]);
  });

  it("goes on without who is away, without what only he may do, and not on closed days", () => {
    expect(on(day("2026-06-02", "tue"))).toMatchObject([{ people: 2, skills: [] }]);
    expect(on(day("2026-06-09", "tue"))).toMatchObject([{ people: 1, from: "2026-06-09T06:30:00.000Z" }]);
    expect(on(day("2026-06-03", "wed"))).toEqual([]);
    expect(on(day("2026-06-07", "sun"))).toEqual([]);
  });

  it("is a crew that a day can be planned for", () => {
    const crews = crewsOn(house, [isla, jory], [day("2026-06-08", "mon")], () => "57.1 2.3");
    const { tasks, shutdowns } = dueTasks([ringing("H05"), ringing("H07")], Date.UTC(2026, 5, 8, 6), UNTIL, {
      joint: [{ tags: ["H05", "H07"], shut_min: 15, restore_min: 10, locks: 2, saves: NO_SAVINGS }],
      apart: [],
      oneByOne: [],
    });
    const answer = answerDay({
      places: [{ id: "57.1 2.3", lat: 57.1, lon: 2.3 }],
      tasks,
      shutdowns,
      crews,
      seconds: 1,
    });
    // One shut-down for both: 15 + 60 + 60 + 10.
    expect(answer).toMatchObject({
      ok: true,
      value: { unplaced: [], shifts: [{ back: "2026-06-08T10:25:00.000Z" }] },
    });
  });
});
