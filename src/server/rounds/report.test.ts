import { beforeEach, describe, expect, it } from "vitest";
import { smallSolver } from "@/core/store/small-solver";
import { undoEdit } from "../book/undo";
import { demoServices } from "../demo.fixtures";
import type { Services } from "../services";
import { nextFor } from "../today/next-for";
import { publishWeek } from "./keep-rounds";
import { myDay } from "./my-day";
import { propose } from "./propose";
import { reportWork, type SaidOfDay } from "./report";

const MIN_MS = 60_000;
/** A Tuesday morning before anybody is out. */
const MORNING = new Date(2026, 11, 1, 5).getTime();

let clock = MORNING;
let services: Services;
let week: string;
beforeEach(() => {
  clock = MORNING;
  services = demoServices(() => clock);
  const planned = ground();
  week = planned.asked.weeks.find(({ from }, at) =>
    planned.proposal!.shifts.some(
      (shift) =>
        Date.parse(shift.from) >= from &&
        Date.parse(shift.from) < (planned.asked.weeks[at + 1]?.from ?? Number.POSITIVE_INFINITY) &&
        tagsOf(shift).length > 2,
    ),
  )!.id;
  expect(publishWeek(services, planned, week, "Mara Sund").ok).toBe(true);
}, 60_000);

function ground() {
  const found = propose(services, smallSolver);
  if (!found.ok) throw new Error(found.error.kind);
  return found.value;
}

const tagsOf = ({ visits }: { readonly visits: readonly { readonly task: string }[] }) => [
  ...new Set(visits.map(({ task }) => task)),
];
const row = () => services.things.one("rounds", week)!;
const startOf = (tag: string, rows = services.things.all("rounds")) =>
  rows
    .flatMap(({ shifts }) => shifts.flatMap(({ visits }) => visits))
    .find(({ task, stretch }) => task === tag && stretch === 1)?.from;
/** The first shift of the week with more than two pieces of work, when its first has gone on for ten minutes. */
function out() {
  const shift = row().shifts.find((each) => tagsOf(each).length > 2)!;
  const [first, ...rest] = tagsOf(shift);
  clock = Date.parse(shift.visits[0]!.from) + 10 * MIN_MS;
  return { shift, first: first!, rest };
}
const says = (said: SaidOfDay) => reportWork(services, ground(), said, "Isla Venn");
function said(what: SaidOfDay) {
  const done = says(what);
  if (!done.ok) throw new Error(JSON.stringify(done.error));
  return done.value;
}

describe("what a crew says of its day", () => {
  it("runs over: the crew begins the rest when it is free, where it is, and is told why", () => {
    const { shift, first, rest } = out();
    const others = row().shifts.filter(({ crew, from }) => crew !== shift.crew || from !== shift.from);
    const { moved } = said({ task: first, kind: "runs-over", min: 40 });

    const after = row().shifts.find(({ crew, from }) => crew === shift.crew && from === shift.from)!;
    // What is begun stays where it was, and nobody is at two places.
    expect(after.visits[0]).toEqual(shift.visits[0]);
    const free = Date.parse(shift.visits.findLast(({ task }) => task === first)!.to) + 40 * MIN_MS;
    for (const { task, from } of after.visits)
      if (task !== first) expect(Date.parse(from), task).toBeGreaterThanOrEqual(free);
    expect(moved.length).toBeGreaterThan(0);
    for (const { task, says: why } of moved) {
      expect(rest).toContain(task);
      expect(why.length).toBeGreaterThan(0);
    }
    for (const [at, { from }] of after.visits.entries())
      if (at > 0) expect(from >= after.visits[at - 1]!.to).toBe(true);
    expect(tagsOf(after).length).toBeGreaterThan(1);
    for (const other of others)
      for (const visit of other.visits)
        expect(row().shifts.flatMap(({ visits }) => visits)).toContainEqual(visit);

    // It stands so in what is asked from now on, too: nobody has to say it twice.
    const again = ground();
    expect(again.asked.begun).toContainEqual(
      expect.objectContaining({ task: first, crew: shift.crew, open: true, to: free }),
    );
    const mine = myDay(services, again, "Isla Venn");
    expect(mine.ok && mine.value.published).toBe(true);
    // And on Today of whoever goes out with that crew.
    const people = services.things
      .one("house", "house")!
      .crews!.find(({ name }) => name === shift.crew)!.people;
    expect(nextFor(services, people[0]!)).toMatchObject({ task: expect.stringMatching(/./) });
    expect(nextFor(services, people[0]!)!.changed).toBeGreaterThanOrEqual(moved.length);
    expect(nextFor(services, "Odd Kerrigan")).toBeUndefined();
  });

  it("runs over so far that the rest has no room: it goes elsewhere, or is told as in no shift", () => {
    const { shift, first, rest } = out();
    const { moved } = said({ task: first, kind: "runs-over", min: 600 });
    expect(new Set(moved.map(({ task }) => task))).toEqual(new Set(rest));
    for (const { task, is, says: why } of moved) {
      expect(why.length, task).toBeGreaterThan(0);
      if (is !== undefined) expect(is.crew !== shift.crew || is.from > shift.to, task).toBe(true);
    }
  });

  it("cannot get in: it is planned when one can, on that day or another, and the rest goes on", () => {
    const { rest } = out();
    const tag = rest[0]!;
    const until = new Date(clock);
    until.setDate(until.getDate() + 1);
    until.setHours(12, 0, 0, 0);
    const { moved, edit } = said({
      task: tag,
      kind: "no-way-in",
      until: until.toISOString(),
      why: "The gate is locked",
    });
    expect(moved.find(({ task }) => task === tag)!.says).toContain("says Isla Venn: The gate is locked");
    const at = startOf(tag);
    if (at !== undefined) expect(Date.parse(at)).toBeGreaterThanOrEqual(until.getTime());
    const windows = ground().asked.question.tasks.find(({ id }) => id === tag)!.windows!;
    for (const { from } of windows) expect(Date.parse(from)).toBeGreaterThanOrEqual(until.getTime());

    expect(undoEdit(services, edit!, "Isla Venn").ok).toBe(true);
    expect(row().reports ?? []).toEqual([]);
  });

  it("is refused where it says nothing that can be planned by, and changes nothing", () => {
    const { first, rest } = out();
    const before = services.things.all("rounds");
    expect(says({ task: first, kind: "runs-over" })).toMatchObject({ ok: false, error: [{ path: "/min" }] });
    const behind = new Date(clock - MIN_MS).toISOString();
    for (const until of [undefined, behind, "soon"])
      expect(
        says({ task: rest[0]!, kind: "no-way-in", ...(until !== undefined && { until }) }),
      ).toMatchObject({ ok: false, error: [{ path: "/until" }] });
    expect(says({ task: "XX-1", kind: "runs-over", min: 15 })).toMatchObject({
      ok: false,
      error: [{ path: "/task" }],
    });
    expect(services.things.all("rounds")).toEqual(before);
  });

  it("belongs to who goes out: nobody's day is told with what to do", () => {
    const told = (person: string) => {
      const mine = myDay(services, ground(), person);
      return mine.ok ? "" : mine.error[0]!.message;
    };
    expect(told("Odd Kerrigan")).toContain("goes out with nobody yet");
    expect(told("Nobody Atall")).toContain("goes out with nobody yet");
  });
});
