import { beforeAll, describe, expect, it } from "vitest";
import { VALVE_SORTS, VALVE_STATES, type Valve, type ValveState } from "@/core/formats";
import { dues } from "@/core/rounds";
import { demoServices } from "../demo.fixtures";
import { importFiles } from "../importing/import-files";
import { loadDemo } from "../importing/load-demo";
import { appendEvents } from "../jobs/append-events";
import { openJob } from "../jobs/open-job";
import { noteAt } from "../note.fixtures";
import { measuredNow } from "../register/courses";
import { keepValve } from "../register/keep-valve";
import { passingServices, type Services } from "../services";
import { csvAnswer, jobsCsv, valvesCsv } from "./csv";
import { listJobs, listValves, PAGE, valveCounts } from "./lists";

const NOW = Date.parse("2027-03-01T09:00:00Z");
let services: Services;
beforeAll(() => {
  services = demoServices(() => NOW);
});
const all = { from: 0, most: 1000 };
const tags = (ask: Parameters<typeof listValves>[1], window = all) =>
  listValves(services, ask, window).rows.map((row) => row.tag);

/** What a list should hold, worked out from whole valves and their sheets. */
function byHand(state: ValveState): string[] {
  const atWork = new Set(services.summaries.open().map((job) => job.valve));
  const sheetOf = (valve: Valve) => services.library.sheet(valve.sheet)!;
  const due = (valve: Valve) =>
    dues(valve, sheetOf(valve), NOW, measuredNow(services, valve, sheetOf(valve)))[0]?.at ??
    Number.POSITIVE_INFINITY;
  const soon = NOW + 14 * 86_400_000;
  const holds: Record<ValveState, (valve: Valve) => boolean> = {
    late: (valve) => due(valve) <= NOW,
    due: (valve) => due(valve) <= soon,
    "at-work": (valve) => atWork.has(valve.tag),
    reported: (valve) => valve.symptom !== undefined,
    quiet: (valve) => due(valve) > soon && valve.symptom === undefined && !atWork.has(valve.tag),
    retired: () => false,
  };
  if (state === "retired") return services.register.retired().map(({ tag }) => tag);
  return services.register
    .valves()
    .filter(holds[state])
    .map((valve) => valve.tag);
}

describe("the list of valves", () => {
  it.each(VALVE_STATES)("%s: those that are, and how many", (state) => {
    const expected = byHand(state);
    expect(expected.length).toBeGreaterThan(0);
    expect(tags({ state }).sort()).toEqual(expected.sort());
    expect(valveCounts(services)[state]).toBe(expected.length);
  });

  it.each(VALVE_SORTS)("sorted by %s, both ways, whole and in pages alike", (sort) => {
    const up = tags({ sort });
    expect(up).toHaveLength(140);
    expect(new Set(up).size).toBe(140);
    const paged = Array.from({ length: 14 }, (_, page) => page).flatMap((page) =>
      tags({ sort }, { from: page * 10, most: 10 }),
    );
    expect(paged).toEqual(up);
    const rows = listValves(services, { sort, down: "yes" }, all).rows;
    const key = { place: "place", tag: "tag", name: "name", sheet: "sheet", due: "dueAt" } as const;
    const values = rows.map((row) => row[key[sort]]);
    expect(values).toEqual([...values].sort((a, b) => (a < b ? 1 : a > b ? -1 : 0)));
  });

  it("narrowed by place, sheet, family and words together", () => {
    const [valve] = services.register.valves().filter((each) => each.sheet === "brae-quaywall-4");
    const found = listValves(services, { find: "hydr quay", place: valve!.place, sheet: valve!.sheet }, all);
    expect(found.total).toBe(found.rows.length);
    expect(found.total).toBeGreaterThan(2);
    for (const row of found.rows) expect(row).toMatchObject({ place: valve!.place, sheet: valve!.sheet });
    expect(listValves(services, { find: "hydr nowhere" }, all).total).toBe(0);
    expect(listValves(services, { find: "\"'; drop table valves; --" }, all).total).toBe(0);
  });

  it("goes out as a CSV that comes in again without changing anything", async () => {
    const text = await csvAnswer(valvesCsv(services, {}), "valves.csv").text();
    expect(text.trim().split("\r\n")).toHaveLength(141);
    const again = importFiles(services, [{ name: "valves.csv", text }], "Tam Arkle");
    expect(again.ok && again.value.lines[0]).toMatchObject({ effect: "same", total: 0 });
  });
});

it("a valve whose job is begun is quiet no more, at once, and is again when the job was not begun", async () => {
  const own = passingServices(() => NOW);
  loadDemo(own);
  const before = valveCounts(own);
  const [valve] = listValves(own, { state: "quiet", sort: "tag" }).rows;
  const ask = {
    valve: valve!.tag,
    reason: { kind: "due", says: "x" },
    reach: own.library.sheet(valve!.sheet)!.symptoms[0]!.reach,
    policy: "on-condition",
  } as const;
  const job = openJob(own, ask, { id: "tam", name: "Tam Arkle" });
  if (!job.ok) throw new Error(JSON.stringify(job.error));
  expect(valveCounts(own)).toEqual({
    ...before,
    quiet: before.quiet - 1,
    "at-work": before["at-work"] + 1,
  });
  expect(listValves(own, { state: "quiet" }).total).toBe(before.quiet - 1);
  const given = { ...noteAt("g", NOW), kind: "given-up", reason: "Wrong valve", text: undefined };
  const done = await appendEvents(own, job.value.id, [JSON.parse(JSON.stringify(given))]);
  expect(done.ok).toBe(true);
  expect(valveCounts(own)).toEqual(before);
});

describe("a long register", () => {
  // So many that a page is found by walking the list's order.
  const MANY = 5200;
  const long = passingServices(() => NOW);
  beforeAll(() => {
    loadDemo(long);
    const sheets = long.library.sheets();
    long.db.transaction(() => {
      for (let number = 0; number < MANY; number++) {
        const sheet = sheets[number % sheets.length]!;
        keepValve(
          long,
          {
            tag: `LR-${number}`,
            name: `Long ${(number * 7919) % MANY}`,
            place: `Row ${number % 40}`,
            sheet: sheet.id,
            ...(number % 9 === 0 && { symptom: "Weeps" }),
            serviced: new Date(NOW - (number % 500) * 86_400_000).toISOString(),
          },
          sheet,
        );
      }
    });
  });

  it.each([
    { find: "long", sort: "name" },
    { find: "long", sort: "due", down: "yes" },
    { find: "long", sort: "place", state: "quiet" },
    { find: "long", sort: "sheet", state: "late", down: "yes" },
    { sort: "tag", state: "quiet", down: "yes" },
    { find: "long", place: "Row 7", sort: "tag" },
    { find: "row 7", state: "reported", sort: "name" },
  ] as const)("is, page by page, what a walk over all of it gives: %j", (ask) => {
    const everything = listValves(long, {}, { from: 0, most: 9999 }).rows;
    const soon = NOW + 14 * 86_400_000;
    const key = { place: "place", tag: "tag", name: "name", sheet: "sheet", due: "dueAt" } as const;
    const words = "find" in ask ? (ask.find ?? "").split(" ") : [];
    const wanted = everything
      .filter((row) => {
        const has = `${row.tag} ${row.name} ${row.place}`.toLowerCase().split(/[^\p{L}\p{N}]+/u);
        return (
          words.every((word) => has.some((each) => each.startsWith(word))) &&
          (!("place" in ask) || row.place === ask.place) &&
          (!("state" in ask) ||
            (ask.state === "late" && row.dueAt <= NOW) ||
            (ask.state === "reported" && row.symptom !== null) ||
            (ask.state === "quiet" && row.dueAt > soon && row.symptom === null && row.job === null))
        );
      })
      .sort((one, other) => {
        const [a, b] = [one[key[ask.sort]], other[key[ask.sort]]];
        const order = a < b ? -1 : a > b ? 1 : one.tag < other.tag ? -1 : 1;
        return "down" in ask ? -order : order;
      })
      .map((row) => row.tag);
    expect(wanted.length).toBeGreaterThan(10);
    const { total } = listValves(long, ask);
    expect(total).toBe(wanted.length);
    for (const page of [1, 2, Math.ceil(total / PAGE)])
      expect(listValves(long, { ...ask, page }).rows.map((row) => row.tag)).toEqual(
        wanted.slice((page - 1) * PAGE, page * PAGE),
      );
  });
});

describe("the list of jobs", () => {
  it("the newest first, narrowed by words and state", () => {
    const { rows, total } = listJobs(services, {});
    expect(total).toBe(3);
    expect(rows.map((row) => row.openedAt)).toEqual(rows.map((row) => row.openedAt).sort((a, b) => b - a));
    expect(listJobs(services, { state: "signed-off" }).rows.map((row) => row.job)).toEqual(["demo-h08-done"]);
    expect(listJobs(services, { find: "tam hydrant" }).total).toBe(1);
    expect(listJobs(services, { find: "100%_" }).total).toBe(0);
  });

  it("goes out as a CSV in which no cell is a formula", async () => {
    const text = await csvAnswer(jobsCsv(services, {}), "jobs.csv").text();
    expect(text.split("\r\n")[0]).toContain("valve,place,why");
    const services2 = demoServices(() => NOW);
    importFiles(services2, [{ name: "r.csv", text: "tag,name\nNQ-H07,=1+1" }], "Tam Arkle");
    const valves = await csvAnswer(valvesCsv(services2, { find: "NQ-H07" }), "v.csv").text();
    expect(valves).toContain("NQ-H07,'=1+1,");
  });
});
