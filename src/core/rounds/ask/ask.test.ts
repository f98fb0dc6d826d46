import { describe, expect, it } from "vitest";
import type { RoundsQuestion } from "../../formats";
import { smallSolver } from "../../store/small-solver";
import { answerDay } from "./answer-day";
import { answerPlan } from "./answer-plan";
import { twoCrews } from "./ask.fixtures";
import { readRounds } from "./read-question";

const day = (question: RoundsQuestion) => {
  const answer = answerDay(question);
  if (!answer.ok) throw new Error(JSON.stringify(answer.error));
  return answer.value;
};
const problemsOf = (question: RoundsQuestion) => {
  const read = readRounds(question);
  return read.ok ? [] : read.error.map(({ path }) => path);
};
const minutesBetween = (from: string, to: string) => (Date.parse(to) - Date.parse(from)) / 60_000;

describe("a day that is asked", () => {
  it("uses the soak of the mixer for the trap beside it, and is back when it rings", () => {
    const { shifts, unplaced } = day(twoCrews);
    expect(unplaced).toEqual([]);
    const visits = shifts.find(({ visits: [first] }) => first?.task === "LD-M1 yearly")!.visits;
    expect(visits.slice(0, 3).map(({ task, stretch }) => `${task} ${stretch}`)).toEqual([
      "LD-M1 yearly 1",
      "LD-T11 look 1",
      "LD-M1 yearly 2",
    ]);
    expect(minutesBetween(visits[0]!.to, visits[2]!.from)).toBeGreaterThanOrEqual(40);
    expect(minutesBetween(visits[0]!.to, visits[2]!.from)).toBeLessThanOrEqual(90);
  });

  it("never has two hydrants of one street out together", () => {
    const visits = day(twoCrews).shifts.flatMap((shift) => shift.visits);
    const [a, b] = ["NQ-H07 disc", "NQ-H10 seat"].map((id) => visits.find(({ task }) => task === id)!);
    expect(a!.to <= b!.from || b!.to <= a!.from).toBe(true);
  });

  it("shuts and restores where somebody needs it: 15 min before, 10 min after", () => {
    const visit = day(twoCrews)
      .shifts.flatMap(({ visits }) => visits)
      .find(({ task }) => task === "NQ-H07 disc")!;
    expect(minutesBetween(visit.from, visit.to)).toBe(15 + 60 + 10);
  });

  it("adds its cost up by part, and costs no less than its bound", () => {
    const { cost, bound } = day(twoCrews);
    const { total, ...parts } = cost;
    expect(Object.values(parts).reduce((sum, part) => sum + part, 0)).toBeCloseTo(total, 1);
    expect(bound).toBeGreaterThan(0);
    expect(bound).toBeLessThanOrEqual(total);
  });

  it("says of what found no place why, for each shift", () => {
    const [mixer] = twoCrews.tasks;
    const alone = { ...twoCrews, crews: twoCrews.crews.filter(({ id }) => id === "Jory"), tasks: [mixer!] };
    expect(day(alone).unplaced).toMatchObject([
      {
        task: "LD-M1 yearly",
        why: [
          { crew: "Jory", kind: "no-competence", lacks: ["water"] },
          { crew: "Jory", kind: "no-competence", lacks: ["water"] },
        ],
      },
    ]);
    const long = { ...twoCrews, tasks: [{ id: "all day", place: "quay", stretches: [{ work_min: 600 }] }] };
    expect(day(long).unplaced[0]!.why.map(({ kind }) => kind)).toEqual(["too-long", "too-long", "too-long"]);
    const never = {
      ...twoCrews,
      tasks: [{ ...mixer!, windows: [{ from: "2026-06-03T08:00:00Z", to: "2026-06-03T12:00:00Z" }] }],
    };
    expect(day(never).unplaced[0]!.why[0]).toMatchObject({ kind: "no-window" });
  });

  it("says of what clashes with what", () => {
    const tasks = twoCrews.tasks.filter(({ out }) => out !== undefined);
    const narrow = { ...tasks[1]!, windows: [{ from: "2026-06-01T09:00:00Z", to: "2026-06-01T10:00:00Z" }] };
    const kept = {
      ...tasks[0]!,
      keep: { crew: "Jory", from: "2026-06-01T08:30:00.000Z", exactly: true },
    };
    const { unplaced } = day({ ...twoCrews, tasks: [kept, narrow] });
    expect(unplaced).toMatchObject([
      { task: "NQ-H10 seat", why: [{ kind: "out-together", tasks: ["NQ-H07 disc"] }, {}, {}] },
    ]);
  });

  it("says what another crew would cost more", () => {
    const other = day(twoCrews).otherwise.find(({ task }) => task === "LD-T11 look");
    expect(other?.adds).toBeGreaterThan(0);
  });
});

describe("a question", () => {
  it("is refused where a name leads nowhere, stands twice, or a span ends before it begins", () => {
    const [task] = twoCrews.tasks;
    expect(problemsOf({ ...twoCrews, tasks: [{ ...task!, place: "moon" }] })).toEqual(["/tasks/0/place"]);
    expect(problemsOf({ ...twoCrews, tasks: [task!, task!] })).toEqual(["/tasks/1/id"]);
    expect(problemsOf({ ...twoCrews, tasks: [{ ...task!, shutdown: "none" }] })).toEqual([
      "/tasks/0/shutdown",
    ]);
    const backwards = { from: "2026-06-01T12:00:00Z", to: "2026-06-01T08:00:00Z" };
    expect(problemsOf({ ...twoCrews, tasks: [{ ...task!, windows: [backwards] }] })).toEqual([
      "/tasks/0/windows/0/to",
    ]);
    const impatient = { work_min: 1, wait_min: 30, wait_most_min: 20 };
    expect(
      problemsOf({ ...twoCrews, tasks: [{ ...task!, stretches: [impatient, { work_min: 1 }] }] }),
    ).toEqual(["/tasks/0/stretches/0/wait_most_min"]);
  });

  it("is refused where nobody knows the way", () => {
    const places = [...twoCrews.places.slice(0, 2), { id: "quay" }];
    expect(problemsOf({ ...twoCrews, places })).toEqual(["/places/2"]);
    const table = [
      [0, 5, 9],
      [5, 0, 12],
      [9, 12, 0],
    ];
    expect(problemsOf({ ...twoCrews, places, travel: { minutes: table, km: table } })).toEqual([]);
    expect(problemsOf({ ...twoCrews, travel: { minutes: [[0]] } })).toEqual(["/travel/minutes"]);
  });

  it("is refused where nobody is on shift, or where something is kept on a day without one", () => {
    const off = { ...twoCrews, crews: twoCrews.crews.map((crew) => ({ ...crew, shifts: [] })) };
    expect(answerDay(off)).toMatchObject({ ok: false, error: [{ path: "/crews" }] });
    const [task] = twoCrews.tasks;
    const keep = { crew: "Jory", from: "2026-06-05T09:00:00Z" };
    expect(problemsOf({ ...twoCrews, tasks: [{ ...task!, keep }] })).toEqual(["/tasks/0/keep"]);
  });
});

describe("a plan in weeks that is asked", () => {
  const weekly = (question: RoundsQuestion) => {
    const answer = answerPlan(question, { solve: smallSolver });
    if (!answer.ok) throw new Error(JSON.stringify(answer.error));
    return answer.value;
  };
  const shiftsOf = (weeks: number) =>
    Array.from({ length: weeks }, (_, week) => {
      const day = Date.UTC(2026, 5, 1 + 7 * week);
      return {
        from: new Date(day + 8 * 3_600_000).toISOString(),
        to: new Date(day + 16 * 3_600_000).toISOString(),
      };
    });
  const month: RoundsQuestion = {
    ...twoCrews,
    crews: twoCrews.crews.map((crew) => ({ ...crew, shifts: shiftsOf(4) })),
  };

  it("puts each task into a week and a shift, with hours by crew", () => {
    const { weeks, shifts, unplaced, cost, bound } = weekly(month);
    expect(unplaced).toEqual([]);
    expect(weeks).toHaveLength(4);
    expect(weeks.flatMap(({ tasks }) => tasks.map(({ task }) => task)).sort()).toEqual(
      twoCrews.tasks.map(({ id }) => id).sort(),
    );
    expect(weeks[0]!.crews).toMatchObject([{ hours: 8 }, { hours: 8 }]);
    expect(new Set(shifts.flatMap(({ visits }) => visits.map(({ task }) => task))).size).toBe(4);
    expect(bound).toBeLessThanOrEqual(cost.total + 0.01);
  });

  it("does what is late first and nothing before its window", () => {
    const [, look] = twoCrews.tasks;
    const late = { ...look!, id: "late", due: "2026-05-20T00:00:00Z" };
    const gated = {
      ...look!,
      id: "gated",
      windows: [{ from: "2026-06-15T00:00:00Z", to: "2026-06-20T00:00:00Z" }],
    };
    const { weeks } = weekly({ ...month, tasks: [late, gated] });
    const weekOf = (id: string) => weeks.findIndex(({ tasks }) => tasks.some(({ task }) => task === id));
    expect([weekOf("late"), weekOf("gated")]).toEqual([0, 2]);
  });

  it("says why no week has a task", () => {
    const [, look] = twoCrews.tasks;
    const { unplaced } = weekly({
      ...month,
      tasks: [
        { ...look!, id: "steam", needs: ["steam"] },
        { ...look!, id: "july", windows: [{ from: "2026-07-15T00:00:00Z", to: "2026-07-20T00:00:00Z" }] },
        { ...look!, id: "endless", stretches: [1, 2, 3].map(() => ({ work_min: 400 })) },
      ],
    });
    expect(unplaced.map(({ task, week }) => [task, week?.kind])).toEqual([
      ["steam", "nobody-able"],
      ["july", "no-shift-in-windows"],
      ["endless", "no-room"],
    ]);
  });
});

describe("a plan that is asked again", () => {
  const planned = (question: RoundsQuestion, before?: Parameters<typeof answerPlan>[1]["before"]) => {
    const answer = answerPlan(question, { solve: smallSolver, ...(before && { before }) });
    if (!answer.ok) throw new Error(JSON.stringify(answer.error));
    return answer.value.shifts;
  };
  const lines = (shifts: ReturnType<typeof planned>) =>
    shifts.flatMap(({ crew, visits }) =>
      visits.map(({ task, stretch, from }) => `${crew} ${task} ${stretch} ${from}`),
    );

  it("stays as it was where nothing is gained by another, whatever the seed", () => {
    const first = planned(twoCrews);
    for (const seed of [2, 3, 4]) expect(lines(planned({ ...twoCrews, seed }, first))).toEqual(lines(first));
  });

  it("leaves a plan that is much dearer than it has to be", () => {
    const first = planned(twoCrews);
    const apart = {
      id: "Mara",
      base: "depot",
      people: 2,
      skills: ["water"],
      shifts: twoCrews.crews[1]!.shifts,
    };
    const everybody = { ...twoCrews, crews: [...twoCrews.crews, apart] };
    // One job a crew: three ways where one would do.
    const spread = first.flatMap((shift) => [
      { ...shift, visits: shift.visits.filter(({ task }) => task !== "LD-T11 look") },
      {
        ...shift,
        crew: "Mara",
        visits: shift.visits.filter(({ task }) => task === "LD-T11 look"),
      },
    ]);
    const again = planned(
      everybody,
      spread.filter(({ visits }) => visits.length > 0),
    );
    expect(again.map(({ crew }) => crew)).not.toContain("Mara");
  });
});
