import { beforeAll, describe, expect, it } from "vitest";
import { smallSolver } from "@/core/store/small-solver";
import { demoServices } from "../demo.fixtures";
import type { Services } from "../services";
import { dateOf } from "./days";
import { publishWeek } from "./keep-rounds";
import { propose } from "./propose";
import type { HouseGround } from "./rounds-now";
import { type WhatIf, whatIf } from "./what-if";

/** A Tuesday morning, everybody out. */
const NOW = new Date(2026, 11, 1, 10).getTime();
const DAY_MS = 86_400_000;

let services: Services;
let ground: HouseGround;
beforeAll(() => {
  services = demoServices(() => NOW);
  const found = propose(services, smallSolver);
  if (!found.ok) throw new Error(found.error.kind);
  ground = found.value;
}, 60_000);

const ifSo = (what: WhatIf) => {
  const answer = whatIf(services, ground, what);
  if (!answer.ok) throw new Error(JSON.stringify(answer.error));
  return answer.value;
};
const firstOf = (crew: string) =>
  ground.proposal!.shifts.find(
    (shift) => shift.crew === crew && Date.parse(shift.from) > NOW && shift.visits.length > 0,
  )!;

describe("what if", () => {
  it("one is ill on a day: what needs two goes to another, and what stays is told of nobody", () => {
    const shift = firstOf("Isla and Tam");
    const { moved, before, after } = ifSo({
      kind: "ill",
      person: "Tam Arkle",
      day: dateOf(Date.parse(shift.from)),
    });
    const tasks = new Set(shift.visits.map(({ task }) => task));
    const two = [...tasks].filter((task) => ground.asked.works[task]!.people > 1);
    for (const task of two) expect(moved.map((each) => each.task)).toContain(task);
    const day = (at: string) => dateOf(Date.parse(at));
    for (const { task, is, says } of moved) {
      expect(says.length).toBeGreaterThan(0);
      if (two.includes(task) && is !== undefined)
        expect(is.crew === shift.crew && day(is.from) === day(shift.from), task).toBe(false);
    }
    expect(two.length + moved.length).toBeGreaterThan(0);
    expect(after.left).toBeGreaterThanOrEqual(before.left);
    // Nobody is kept ill by asking.
    expect(services.library.people().find(({ id }) => id === "tam")!.away ?? {}).toEqual({});
    expect(services.things.all("rounds")).toEqual([]);
  });

  it("a kit comes late: what takes it along is planned after that, and nothing else has to move", () => {
    const [tag, kit] = Object.entries(ground.asked.brings).flatMap(([task, { kits }]) =>
      ground.proposal!.shifts.some(
        ({ visits, from }) =>
          Date.parse(from) < NOW + 6 * DAY_MS && visits.some((visit) => visit.task === task),
      )
        ? kits.map(({ name }) => [task, name] as const)
        : [],
    )[0]!;
    const day = dateOf(NOW + 21 * DAY_MS);
    const { moved, before, after } = ifSo({ kind: "late", what: kit, day });
    const own = moved.find(({ task }) => task === tag)!;
    if (own.is !== undefined) expect(dateOf(Date.parse(own.is.from)) >= day).toBe(true);
    expect(after.late_days + after.left).toBeGreaterThanOrEqual(before.late_days + before.left);
    const same = ifSo({ kind: "late", what: "nothing of the plan", day });
    expect(same.moved).toEqual([]);
    expect(same.after).toEqual(same.before);
  });

  it("a pipe bursts: the crew whose day can best do without it goes, and says what that moves", () => {
    const { crew, moved, after } = ifSo({ kind: "called", place: "Lido", min: 240 });
    expect(ground.asked.crews.map(({ id }) => id)).toContain(crew);
    for (const { was } of moved)
      if (was !== undefined && was.crew !== crew)
        expect(moved.some((each) => each.was?.crew === crew)).toBe(true);
    expect(after.km).toBeGreaterThan(0);
  });

  it("says what is missing of a question, and that nobody is out at night", () => {
    const told = (what: WhatIf) => {
      const answer = whatIf(services, ground, what);
      return answer.ok ? undefined : answer.error[0]!.path;
    };
    expect(told({ kind: "ill", person: "Nobody", day: "2026-12-02" })).toBe("/person");
    expect(told({ kind: "ill", person: "tam", day: "2026-02-30" })).toBe("/day");
    expect(told({ kind: "late", day: "2026-12-09" })).toBe("/what");
    expect(told({ kind: "called", place: "Nowhere" })).toBe("/place");
    const night = { ...ground, asked: { ...ground.asked, at: new Date(2026, 11, 1, 23).getTime() } };
    expect(whatIf(services, night, { kind: "called", place: "Lido" })).toMatchObject({
      ok: false,
      error: [{ path: "/place" }],
    });
  });

  it("is held against what people were told, once they were", () => {
    const { id } = ground.asked.weeks.find(({ from }, at) => {
      const to = ground.asked.weeks[at + 1]?.from ?? 0;
      return ground.proposal!.shifts.some(
        (shift) => Date.parse(shift.from) >= from && Date.parse(shift.from) < to,
      );
    })!;
    expect(publishWeek(services, ground, id, "Mara Sund").ok).toBe(true);
    const rows = services.things.all("rounds");
    const { moved } = ifSo({ kind: "called", place: "Lido", min: 60 });
    expect(services.things.all("rounds")).toEqual(rows);
    for (const { says } of moved) expect(says.length).toBeGreaterThan(0);
  });
});
