import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Line } from "../formats";
import { closingMinutes, outageMinutes, planIsolation } from ".";
import {
  closuresOf,
  fitValves,
  lineOf,
  live,
  node,
  pipe,
  planned,
  randomBledLine,
  reachedFrom,
  valve,
} from "./isolation.fixtures";

const twice = (line: Line): Line => ({ ...line, rule: "double-block-and-bleed" });
const set = (ids: readonly string[]) => new Set(ids);

/** Boiler — A — J1 (bleed) — B — J2 (bleed) — C — trap. */
const header = (more: Partial<Record<"A" | "B" | "C", object>> = {}, bleeds = ["J1", "J2"]) =>
  twice(
    lineOf(
      [
        node("S", "source"),
        node("J1"),
        node("J2"),
        node("T", "consumer"),
        ...bleeds.map((at) => node(`D-${at}`, "drain")),
      ],
      [
        valve("A", "S", "J1", more.A),
        valve("B", "J1", "J2", more.B),
        valve("C", "J2", "T", more.C),
        ...bleeds.map((at) => pipe(`d-${at}`, at, `D-${at}`)),
      ],
    ),
  );

describe("double block and bleed", () => {
  it("takes two valves with a bleed between, the nearest pair when all are as quick", () => {
    const plan = planned(header(), ["T"]);
    expect(plan.closures.map((each) => [each.link, each.barrier])).toEqual([
      ["B", "outer"],
      ["C", "inner"],
    ]);
    expect(plan.bleeds).toMatchObject([{ node: "D-J2", between: ["B", "C"] }]);
    expect(plan.closures[0]).toMatchObject({ barrier: "outer", why: { feeder: "S" } });
  });

  it("goes one further back when a valve of the near pair passes, or nothing bleeds between", () => {
    expect(closuresOf(header({ C: { passes: true } }), ["T"])).toEqual(["A", "B"]);
    expect(planned(header({}, ["J1"]), ["T"]).bleeds).toMatchObject([{ node: "D-J1" }]);
  });

  it("never takes a pair without a bleed, and says where one is wanted", () => {
    expect(closuresOf(header({}, []), ["T"])).toMatch(/nothing bleeds what is between B and C/);
    const one = planIsolation(header({ B: { operable: false }, C: { passes: true } }), { open: ["T"] });
    expect(one).toMatchObject({ ok: false, error: { kind: "no-isolation", second: true } });
  });

  it("asks one lock only of electricity", () => {
    const line = twice(
      lineOf(
        [
          ...header().nodes,
          node("E", "source", { medium: "electricity" }),
          node("M", "consumer", { medium: "electricity" }),
        ].map((each) => (each.id === "T" ? { ...each, with: ["M"] } : each)),
        [...header().links, { ...valve("Q", "E", "M"), type: "switch", medium: "electricity" }],
      ),
    );
    expect(planned(line, ["T"]).closures.map((each) => [each.link, each.barrier])).toEqual([
      ["Q", "inner"],
      ["B", "outer"],
      ["C", "inner"],
    ]);
  });

  it("shuts the bleeds before anything opens, and the inner valve before the outer", () => {
    const kinds = planned(header(), ["T"]).restoring.map((act) => `${act.kind} ${act.id}`);
    expect(kinds).toEqual(["shut-bleed D-J2", "open C", "open B"]);
  });
});

/** The cheapest nested pair by giving every fit valve one of three parts: none, inner, outer. */
function cheapestPair(line: Line, target: string): number {
  const fit = fitValves(line);
  const before = live(line, new Set());
  let best = Number.POSITIVE_INFINITY;
  for (let code = 0; code < 3 ** fit.length; code++) {
    const [inner, outer] = [1, 2].map((part) =>
      fit.filter((_, i) => Math.floor(code / 3 ** i) % 3 === part),
    ) as [string[], string[]];
    if (live(line, set(inner)).has(target) || live(line, set(outer)).has(target)) continue;
    if (!isPair(line, target, inner, outer)) continue;
    const all = [...inner, ...outer];
    const after = live(line, set(all));
    const minutes = all.reduce((sum, id) => {
      const link = line.links.find((each) => each.id === id);
      return link?.kind === "valve" ? sum + closingMinutes(link) : sum;
    }, 0);
    const lost = line.nodes.filter(
      (each) => each.id !== target && before.has(each.id) && !after.has(each.id),
    );
    best = Math.min(
      best,
      lost.reduce((sum, each) => sum + outageMinutes(each), minutes),
    );
  }
  return best;
}

/** Whether inner and outer are one behind the other, with a drain in every piece between that touches both. */
function isPair(line: Line, target: string, inner: readonly string[], outer: readonly string[]): boolean {
  const all = set([...inner, ...outer]);
  const within = reachedFrom(line, [target], set(inner));
  const fed = live(line, all);
  const end = (id: string) => line.links.find((each) => each.id === id)!;
  // An inner valve on a live pipe would be a single barrier there.
  if (inner.some((id) => fed.has(end(id).from) || fed.has(end(id).to))) return false;
  for (const id of inner)
    for (const start of [end(id).from, end(id).to]) {
      if (within.has(start)) continue;
      const piece = reachedFrom(line, [start], all);
      const touches = outer.some((each) => piece.has(end(each).from) || piece.has(end(each).to));
      const bled = line.nodes.some((each) => piece.has(each.id) && each.kind === "drain");
      if (touches && !bled) return false;
    }
  return true;
}

it("on random networks the two sets are nested, bled between, and as cheap as the best of all pairs", () => {
  let pairs = 0;
  fc.assert(
    fc.property(randomBledLine(6, 7), (plain) => {
      const line = twice(plain);
      const plan = planIsolation(line, { open: ["n1"] });
      const best = cheapestPair(line, "n1");
      if (!plan.ok) {
        expect(best).toBe(Number.POSITIVE_INFINITY);
        return;
      }
      const part = (barrier: string) =>
        plan.value.closures.filter((each) => each.barrier === barrier).map((each) => each.link);
      const [inner, outer] = [part("inner"), part("outer")];
      expect(live(line, set(inner)).has("n1")).toBe(false);
      expect(live(line, set(outer)).has("n1") && outer.length > 0).toBe(false);
      expect(isPair(line, "n1", inner, outer)).toBe(true);
      const behind = reachedFrom(line, ["n1"], set(outer));
      for (const node of reachedFrom(line, ["n1"], set(inner))) expect(behind.has(node)).toBe(true);
      // An opened place that nothing feeds needs no closures: its outage is none either.
      const lost = plan.value.lost.filter((each) => each.node !== "n1").length * 2;
      expect(plan.value.minutes + lost).toBeCloseTo(best, 6);
      if (outer.length > 0) pairs += 1;
    }),
    { numRuns: 2000 },
  );
  expect(pairs).toBeGreaterThan(100);
});
