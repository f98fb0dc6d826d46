import fc from "fast-check";
import { beforeEach, describe, expect, it } from "vitest";
import { VALVE_SORTS, VALVE_STATES, type Valve, type ValveState } from "@/core/formats";
import { wetJob } from "@/core/job/job.fixtures";
import {
  findRepository,
  jobRepository,
  openDatabase,
  type RegisterRepository,
  registerRepository,
  type SummaryRepository,
  summaryRepository,
} from ".";
import { jobSummary } from "./summary.fixtures";

const NOW = Date.parse("2027-03-01T09:00:00Z");
const DAY = 86_400_000;

let db: ReturnType<typeof openDatabase>;
let register: RegisterRepository;
let summaries: SummaryRepository;
beforeEach(() => {
  db = openDatabase(":memory:");
  register = registerRepository(db);
  summaries = summaryRepository(db);
});

interface Kept {
  readonly valve: Valve;
  readonly family: string;
  readonly dueAt: number;
}
const keep = ({ valve, family, dueAt }: Kept) =>
  register.save(valve, { family, due: { at: dueAt, what: "service", why: "12 months" } });
const valve = (tag: string, more: Partial<Valve> = {}): Valve => ({
  tag,
  name: `Valve ${tag}`,
  place: "North quay",
  sheet: "brae-quaywall-4",
  ...more,
});
const kept = (tag: string, days = 100, more: Partial<Valve> = {}): Kept => ({
  valve: valve(tag, more),
  family: "hydrant",
  dueAt: NOW + days * DAY,
});
/** A job in hand on a valve. */
const begin = (tag: string) => {
  const inputs = wetJob({ id: `job-${tag}`, valve: { ...wetJob().valve, tag } });
  jobRepository(db).create(inputs);
  summaries.save(jobSummary({ job: inputs.id, valve: tag }));
};
const ALL = { sort: "tag", down: false, from: 0, most: 1000, now: NOW } as const;
const tags = (query: Partial<Parameters<RegisterRepository["list"]>[0]> = {}) =>
  register.list({ ...ALL, ...query }).rows.map((row) => row.tag);

describe("one valve", () => {
  it("is kept whole, written over, and taken away", () => {
    keep(kept("A-1", 10, { generation: "C", symptom: "weeps" }));
    expect(register.valve("A-1")).toEqual(valve("A-1", { generation: "C", symptom: "weeps" }));
    keep(kept("A-1", 10, { name: "Renamed" }));
    expect(register.valve("A-1")).toEqual(valve("A-1", { name: "Renamed" }));
    expect(register.count()).toBe(1);
    register.remove("A-1");
    expect([register.valve("A-1"), register.count()]).toEqual([undefined, 0]);
  });

  it("is known however its tag is written, and some are read at once", () => {
    for (const tag of ["A-1", "B-2", "C-3"]) keep(kept(tag));
    expect(register.tagLike("b-2")).toBe("B-2");
    expect(register.tagLike("b2")).toBeUndefined();
    expect([...register.some(["C-3", "A-1", "none"]).keys()].sort()).toEqual(["A-1", "C-3"]);
  });

  it("is found by its line, its sheet and its place", () => {
    keep(kept("A-1", 1, { line: "quay" }));
    keep(kept("B-2", 1, { line: "quay", sheet: "other" }));
    keep(kept("C-3", 1, { place: "Lido" }));
    expect(register.onLine("quay").map((each) => each.tag)).toEqual(["A-1", "B-2"]);
    expect(register.ofSheet("other").map((each) => each.tag)).toEqual(["B-2"]);
    expect([register.standsAnythingAt("Lido"), register.standsAnythingAt("Moon")]).toEqual([true, false]);
  });
});

/** Valves at random, with few values, so that lists narrow to some of them. */
const someValves = fc.uniqueArray(
  fc.record({
    number: fc.integer({ min: 1, max: 60 }),
    place: fc.constantFrom("Lido", "North quay", "Ropewalk"),
    sheet: fc.constantFrom("s-one", "s-two"),
    family: fc.constantFrom("hydrant", "steam trap"),
    symptom: fc.constantFrom(undefined, "weeps"),
    days: fc.integer({ min: -30, max: 60 }),
    atWork: fc.boolean(),
  }),
  { selector: (each) => each.number, minLength: 4, maxLength: 20 },
);
type Some = (typeof someValves extends fc.Arbitrary<infer T> ? T : never)[number];
const tagOf = ({ number }: Some) => `V-${String(number).padStart(2, "0")}`;
const STATE: Record<ValveState, (each: Some) => boolean> = {
  late: ({ days }) => days <= 0,
  due: ({ days }) => days <= 14,
  "at-work": ({ atWork }) => atWork,
  reported: ({ symptom }) => symptom !== undefined,
  quiet: ({ days, symptom, atWork }) => days > 14 && symptom === undefined && !atWork,
  // These stand in a table of their own.
  retired: () => false,
};

function fill(all: readonly Some[]) {
  for (const { tag } of register.valves()) register.remove(tag);
  for (const { job } of summaries.open()) {
    summaries.remove(job);
    jobRepository(db).remove(job);
  }
  for (const each of all) {
    const { place, sheet, family, symptom, days, atWork } = each;
    const more = { place, sheet, ...(symptom !== undefined && { symptom }) };
    keep({ valve: valve(tagOf(each), more), family, dueAt: NOW + days * DAY });
    if (atWork) begin(tagOf(each));
  }
}

describe("a list", () => {
  it("holds what a plain filter holds, and counts it, however it is narrowed", () => {
    let seen = 0;
    const narrowing = fc.record({
      place: fc.constantFrom(undefined, undefined, "Lido"),
      sheet: fc.constantFrom(undefined, undefined, "s-one"),
      family: fc.constantFrom(undefined, undefined, "steam trap"),
      state: fc.constantFrom(undefined, undefined, ...VALVE_STATES),
    });
    fc.assert(
      fc.property(someValves, narrowing, (all, narrowed) => {
        fill(all);
        const { state, ...equal } = narrowed;
        const expected = all
          .filter(
            (each) =>
              Object.entries(equal).every(
                ([key, value]) => value === undefined || each[key as keyof Some] === value,
              ) &&
              (state === undefined || STATE[state](each)),
          )
          .map(tagOf)
          .sort();
        const query = Object.fromEntries(Object.entries(narrowed).filter(([, value]) => value !== undefined));
        const { rows, total } = register.list({ ...ALL, ...query });
        expect(rows.map((row) => row.tag)).toEqual(expected);
        expect(total).toBe(expected.length);
        seen += expected.length;
      }),
      { numRuns: 50 },
    );
    expect(seen).toBeGreaterThan(50);
  });

  it("counts of all states are those of its lists", () => {
    fc.assert(
      fc.property(someValves, (all) => {
        fill(all);
        const counts = register.counts(NOW);
        for (const state of VALVE_STATES) expect(counts[state], state).toBe(all.filter(STATE[state]).length);
      }),
      { numRuns: 30 },
    );
  });

  it.each(VALVE_SORTS)("by %s: pages laid side by side are the whole, each valve once", (sort) => {
    fc.assert(
      fc.property(someValves, fc.boolean(), fc.integer({ min: 1, max: 7 }), (all, down, most) => {
        fill(all);
        const whole = tags({ sort, down });
        const paged: string[] = [];
        for (let from = 0; from < all.length; from += most) paged.push(...tags({ sort, down, from, most }));
        expect(paged).toEqual(whole);
        expect([...whole].sort()).toEqual(all.map(tagOf).sort());
        expect(tags({ sort, down: !down })).toEqual([...whole].reverse());
      }),
      { numRuns: 12 },
    );
  });

  it("says of each row which job goes on with it", () => {
    keep(kept("A-1"));
    keep(kept("B-2"));
    begin("B-2");
    expect(register.list(ALL).rows.map((row) => row.job)).toEqual([null, "job-B-2"]);
  });

  it("by words holds those of the index that are in the register", () => {
    for (const tag of ["A-1", "B-2"]) keep(kept(tag));
    const found = findRepository(db);
    found.put("valve", "A-1", [{ name: "A-1", says: "on the slip", href: "/" }]);
    found.put("valve", "B-2", [{ name: "B-2", says: "at the wall", href: "/" }]);
    found.put("line", "quay", [{ name: "slip main", says: "", href: "/" }]);
    expect(tags({ find: "slip" })).toEqual(["A-1"]);
    expect(register.list({ ...ALL, find: "slip" }).total).toBe(1);
    expect(tags({ find: "slip", place: "Lido" })).toEqual([]);
    expect(tags({ find: "???" }), "signs alone narrow nothing").toEqual(["A-1", "B-2"]);
  });
});

describe("what rings by the calendar", () => {
  beforeEach(() => {
    for (const [tag, days] of [
      ["A-1", 30],
      ["B-2", -3],
      ["C-3", 7],
    ] as const)
      keep(kept(tag, days));
  });

  it("comes nearest first, and not of a valve that is being worked on", () => {
    expect(register.dueNext(10).map((each) => each.tag)).toEqual(["B-2", "C-3", "A-1"]);
    expect(register.dueNext(2)).toHaveLength(2);
    begin("B-2");
    expect(register.dueNext(10).map((each) => each.tag)).toEqual(["C-3", "A-1"]);
  });

  it("is counted by each day, what is late in the first", () => {
    expect(register.dueBy([NOW, NOW + 10 * DAY, NOW + 40 * DAY], NOW)).toEqual([1, 2, 3]);
  });

  it("is counted again once the register changes, and else once a minute", () => {
    const moments = [NOW];
    expect(register.dueBy(moments, NOW)).toEqual([1]);
    keep(kept("D-4", -1));
    expect(register.dueBy(moments, NOW)).toEqual([2]);
    const era = register.era();
    register.forget();
    expect(register.era()).not.toBe(era);
  });

  it("names the kinds the store may have to give for, the reported with them", () => {
    keep(kept("D-4", 300, { sheet: "other", generation: "2", symptom: "hums" }));
    const kinds = register.dueKinds(NOW + 10 * DAY, NOW);
    expect(kinds).toEqual(
      expect.arrayContaining([
        { sheet: "brae-quaywall-4", generation: null, count: 2 },
        { sheet: "other", generation: "2", count: 1 },
      ]),
    );
  });

  it("every value it can be narrowed by is named with its number", () => {
    keep(kept("D-4", 1, { place: "Lido" }));
    expect(register.facet("place", NOW)).toEqual([
      { value: "Lido", count: 1 },
      { value: "North quay", count: 3 },
    ]);
  });
});
