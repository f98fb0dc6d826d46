import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Line } from "../formats";
import { planIsolation } from ".";
import {
  cheapestByTryingAll,
  closuresOf,
  costOf,
  lineOf,
  live,
  node,
  pipe,
  planned,
  randomLine,
  valve,
} from "./isolation.fixtures";

/** Source — A — B — hydrant, with a valve on each step. */
const chain = (a = {}, b = {}) =>
  lineOf(
    [
      node("S", "source"),
      node("J1"),
      node("J2"),
      node("H", "consumer", { hydrant: true, elevation_m: 2 }),
      node("D", "drain", { elevation_m: -1 }),
    ],
    [valve("A", "S", "J1", a), valve("B", "J1", "J2", b), pipe("p", "J2", "H"), pipe("d", "J2", "D")],
  );

describe("what to shut", () => {
  it("takes the valve nearest the work when two are equally quick", () => {
    expect(closuresOf(chain(), ["H"])).toEqual(["B"]);
  });

  it("goes one further back when the near one passes, is seized or is to be avoided", () => {
    expect(closuresOf(chain({}, { passes: true }), ["H"])).toEqual(["A"]);
    expect(closuresOf(chain({}, { operable: false }), ["H"])).toEqual(["A"]);
    expect(closuresOf(chain(), ["H"], { avoid: ["B"] })).toEqual(["A"]);
    expect(closuresOf(chain(), ["H"], { passing: ["B"] })).toEqual(["A"]);
  });

  it("says why a nearer valve was left", () => {
    const plan = planIsolation(chain({}, { passes: true }), { open: ["H"] });
    expect(plan.ok && plan.value.closures[0]?.why).toEqual({
      feeder: "S",
      insteadOf: [{ link: "B", unfit: "passes" }],
    });
  });

  it("never counts a check valve or a control valve as a barrier", () => {
    const line = lineOf(
      [node("S", "source"), node("J"), node("H", "consumer")],
      [
        { kind: "check", id: "C", from: "J", to: "S" },
        { ...valve("R", "J", "H"), kind: "control-valve" },
      ],
    );
    expect(closuresOf(line, ["H"])).toContain("Nothing can be shut along S → C → R → H");
  });

  it("names the open path, and the valve that would make a plan possible", () => {
    const message = closuresOf(chain({ operable: false }, { passes: true }), ["H"]);
    expect(message).toContain("Nothing can be shut along S → A → B → H");
    expect(message).toContain("B (it is known to pass)");
  });

  it("has an answer for a line with no valve at all", () => {
    const bare = lineOf([node("S", "source"), node("H", "consumer")], [pipe("p", "S", "H")]);
    expect(closuresOf(bare, ["H"])).toContain("Shut down and drain its source");
  });

  it("shuts off a consumer that can push back", () => {
    const line = lineOf(
      [
        node("S", "source"),
        node("J"),
        node("H", "consumer"),
        node("T", "consumer", { feedsBack: true, name: "Roof tank" }),
      ],
      [valve("A", "S", "J"), pipe("p", "J", "H"), valve("T1", "J", "T")],
    );
    expect(closuresOf(line, ["H"])).toEqual(["A", "T1"]);
  });

  it("keeps a consumer in service where it can, and says so where it cannot", () => {
    const line = lineOf(
      [node("S", "source"), node("J"), node("H", "consumer"), node("F", "consumer", { name: "Ferry shed" })],
      [valve("A", "S", "J", { access_min: 2 }), valve("B", "J", "H", { access_min: 9 }), pipe("f", "J", "F")],
    );
    expect(closuresOf(line, ["H"])).toEqual(["A"]);
    expect(closuresOf(line, ["H"], { keep: ["F"] })).toEqual(["B"]);
    // With B only three minutes further than A, keeping the shed in service is worth the walk without being asked.
    const nearly = {
      ...line,
      links: line.links.map((link) => (link.id === "B" ? { ...link, access_min: 3 } : link)),
    } as Line;
    expect(closuresOf(nearly, ["H"])).toEqual(["B"]);
  });

  it("of two equally dear sets takes the one that leaves more service", () => {
    // A (3 min) alone costs the shed's outage of 2 more; B and C (1 and 4 min) cost as much and leave it fed.
    const line = lineOf(
      [node("S", "source"), node("J"), node("K"), node("H", "consumer"), node("F", "consumer")],
      [
        valve("A", "S", "J", { access_min: 3 }),
        pipe("f", "J", "F"),
        valve("B", "J", "K", { access_min: 1 }),
        valve("C", "J", "K", { access_min: 4 }),
        pipe("h", "K", "H"),
      ],
    );
    expect(
      planned(line, ["H"])
        .closures.map((each) => each.link)
        .sort(),
    ).toEqual(["B", "C"]);
  });

  it("finds volume, lowest drain and who loses service", () => {
    const plan = planIsolation(chain(), { open: ["H"] });
    if (!plan.ok) throw new Error("no plan");
    // Two 10 m runs of 100 mm bore: 2 · π/4 · 0.1² · 10 m³ = 157 L.
    expect(plan.value.section.volume_L).toBeCloseTo(157.08, 1);
    expect(plan.value.section.drain?.node).toBe("D");
    // Torricelli by hand: 2·0.15708/(0.62·4.909e-4·√(2·9.80665·3)) = 134.6 s.
    expect(plan.value.section.drain?.minutes).toBeCloseTo(134.6 / 60, 1);
    expect(plan.value.lost.map((each) => each.node)).toEqual(["H"]);
  });

  it.each([
    [["nowhere"], "no place or valve"],
    [[], "at least one place"],
    [["S"], "Nothing can be shut"],
  ])("refuses %j", (open, message) => {
    expect(closuresOf(chain(), open as string[])).toContain(message);
  });

  it("refuses a line that hangs together wrongly, with the path", () => {
    const plan = planIsolation(lineOf([node("S", "source"), node("S", "junction")], [pipe("p", "S", "X")]), {
      open: ["S"],
    });
    expect(plan).toMatchObject({
      ok: false,
      error: { kind: "bad-line", problems: [{ path: "/nodes/1/id" }, { path: "/links/0/to" }] },
    });
  });
});

describe("on random networks", () => {
  it("always separates, closes nothing needless, and costs as little as the best of all sets", () => {
    let planned = 0;
    fc.assert(
      fc.property(randomLine(9, 12), (line) => {
        const plan = planIsolation(line, { open: ["n1"] });
        const best = cheapestByTryingAll(line, "n1");
        if (plan.ok && plan.value.closures.length > 0) planned += 1;
        if (!plan.ok) {
          expect(plan.error.kind).toBe("no-isolation");
          expect(best).toBe(Number.POSITIVE_INFINITY);
          return;
        }
        const closed = new Set(plan.value.closures.map((each) => each.link));
        expect(live(line, closed).has("n1")).toBe(false);
        for (const each of closed)
          expect(live(line, new Set([...closed].filter((id) => id !== each))).has("n1"), each).toBe(true);
        expect(costOf(line, closed, "n1")).toBeCloseTo(best, 6);
        expect(plan.value.exact).toBe(true);
      }),
      { numRuns: 600 },
    );
    expect(planned).toBeGreaterThan(60);
  });

  it("does not depend on the order in which the line is listed", () => {
    fc.assert(
      fc.property(randomLine(7, 10), (line) => {
        const turned = { ...line, nodes: [...line.nodes].reverse(), links: [...line.links].reverse() };
        const ids = (each: Line) => {
          const plan = planIsolation(each, { open: ["n1"] });
          return plan.ok ? plan.value.closures.map((closure) => closure.link).sort() : plan.error.kind;
        };
        expect(ids(turned)).toEqual(ids(line));
      }),
    );
  });
});
