import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Line } from "../formats";
import { lineOf, node, pipe, valve } from "../isolation/isolation.fixtures";
import { network } from "../line";
import { flowsTo, type Standing, settle, sharing } from "./water";

/** How a line stands: which valves are shut, which places are open to the air. */
function standingOf(
  line: Line,
  { shut = [], air = [], empty = [] }: { shut?: string[]; air?: string[]; empty?: string[] } = {},
): Standing {
  return {
    net: network(line),
    lets: (link) => link.kind !== "valve" || !shut.includes(link.id),
    toAir: (id) => air.includes(id),
    empty: new Set(empty),
  };
}
const stood = ({ net }: Standing, before: Record<string, number>) =>
  Float64Array.from(net.nodes, ({ id }) => before[id] ?? 0);
const barsOf = (standing: Standing, before: Record<string, number> = {}) => {
  const { bar, live } = settle(standing, stood(standing, before));
  return Object.fromEntries(
    standing.net.nodes.map((each, index) => [each.id, live[index] ? `${bar[index]} live` : bar[index]]),
  );
};
const check = (id: string, from: string, to: string) => ({ kind: "check" as const, id, from, to });

const main = lineOf(
  [node("S", "source", { pressure_bar: 5 }), node("J"), node("D", "drain"), node("H", "consumer")],
  [valve("A", "S", "J"), pipe("p", "J", "D"), valve("B", "J", "H")],
);

describe("what stands where", () => {
  it("a place that is joined to an energy takes its pressure", () => {
    expect(barsOf(standingOf(main))).toEqual({ S: "5 live", J: "5 live", D: "5 live", H: "5 live" });
  });

  it("shut in it stays; open to the air it falls to nothing; what is parted from it does not", () => {
    const before = { J: 5, D: 5, H: 5 };
    expect(barsOf(standingOf(main, { shut: ["A"] }), before)).toEqual({ S: "5 live", J: 5, D: 5, H: 5 });
    expect(barsOf(standingOf(main, { shut: ["A"], air: ["D"] }), before)).toMatchObject({ J: 0, D: 0, H: 0 });
    expect(barsOf(standingOf(main, { shut: ["A", "B"], air: ["D"] }), before)).toMatchObject({ D: 0, H: 5 });
  });

  it("the higher of two energies counts; a vessel that was drawn down pushes no more", () => {
    const two = lineOf(
      [node("S", "source", { pressure_bar: 3 }), node("V", "vessel", { pressure_bar: 8 }), node("J")],
      [valve("A", "S", "J"), valve("B", "V", "J")],
    );
    expect(barsOf(standingOf(two))).toMatchObject({ J: "8 live" });
    expect(barsOf(standingOf(two, { empty: ["V"] }))).toMatchObject({ J: "3 live" });
  });

  it("an energy that the line does not measure is enough to hurt", () => {
    const unmeasured = lineOf([node("S", "source"), node("J")], [valve("A", "S", "J")]);
    expect(barsOf(standingOf(unmeasured))).toMatchObject({ J: "1 live" });
  });
});

describe("a check valve", () => {
  const line = lineOf(
    [
      node("S", "source", { pressure_bar: 5 }),
      node("U"),
      node("D"),
      node("T", "boundary", { pressure_bar: 2 }),
    ],
    [valve("A", "S", "U"), check("C", "U", "D"), valve("B", "D", "T")],
  );
  const shut = ["A", "B"];

  it("keeps what is behind it, though what is before it is let out", () => {
    expect(barsOf(standingOf(line, { shut, air: ["U"] }), { U: 5, D: 5 })).toMatchObject({ U: 0, D: 5 });
  });

  it("lets what is before it run out with what is behind it, and evens out that way alone", () => {
    expect(barsOf(standingOf(line, { shut, air: ["D"] }), { U: 5, D: 5 })).toMatchObject({ U: 0, D: 0 });
    expect(barsOf(standingOf(line, { shut }), { U: 4, D: 1 })).toMatchObject({ U: 4, D: 4 });
    expect(barsOf(standingOf(line, { shut }), { U: 1, D: 4 })).toMatchObject({ U: 1, D: 4 });
  });

  it("so a zero behind it tells of both sides, and one before it of its own alone", () => {
    const standing = standingOf(line, { shut });
    const at = (id: string) => standing.net.nodeIndex.get(id)!;
    expect(flowsTo(standing, at("U"), at("D"))).toBe(true);
    expect(flowsTo(standing, at("D"), at("U"))).toBe(false);
    expect(sharing(standing, at("U"))).toEqual([at("U")]);
  });
});

/** Any small line of open and shut valves and check valves. */
const anyLine = fc
  .record({
    nodes: fc.integer({ min: 3, max: 7 }),
    links: fc.array(
      fc.record({ a: fc.nat(6), b: fc.nat(6), kind: fc.constantFrom("valve", "check"), shut: fc.boolean() }),
      { minLength: 2, maxLength: 12 },
    ),
    air: fc.nat(6),
    before: fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 7, maxLength: 7 }),
  })
  .map(({ nodes, links, air, before }) => {
    const ids = Array.from({ length: nodes }, (_, index) => (index === 0 ? "S" : `n${index}`));
    const made = links.flatMap(({ a, b, kind, shut }, index) => {
      const [from, to] = [ids[a % nodes]!, ids[b % nodes]!];
      if (from === to) return [];
      return [{ link: kind === "valve" ? valve(`v${index}`, from, to) : check(`c${index}`, from, to), shut }];
    });
    const line = lineOf(
      ids.map((id, index) => (index === 0 ? node(id, "source", { pressure_bar: 6 }) : node(id))),
      made.map(({ link }) => link),
    );
    const shut = made.flatMap(({ link, shut: stands }) => (stands ? [link.id] : []));
    return {
      standing: standingOf(line, { shut, air: [ids[air % nodes]!] }),
      before: Object.fromEntries(ids.map((id, index) => [id, before[index]!])),
    };
  });

describe("on any line", () => {
  it("what an energy stands on is just what a random walk from it can come to", () => {
    let walked = 0;
    fc.assert(
      fc.property(
        anyLine,
        fc.array(fc.nat(1000), { minLength: 400, maxLength: 400 }),
        ({ standing }, dice) => {
          const { net, lets } = standing;
          const { live } = settle(standing, stood(standing, {}));
          const come = new Set([net.nodeIndex.get("S")!]);
          let at = net.nodeIndex.get("S")!;
          for (const die of dice) {
            const link = die % Math.max(1, net.links.length);
            const each = net.links[link];
            if (each === undefined || !lets(each)) continue;
            const [from, to] = [net.from[link]!, net.to[link]!];
            if (from === at) at = to;
            else if (to === at && each.kind !== "check") at = from;
            else at = [...come][die % come.size]!;
            come.add(at);
          }
          walked += come.size;
          for (const node of come) expect(live[node]).toBe(1);
        },
      ),
      { numRuns: 150 },
    );
    expect(walked).toBeGreaterThan(250);
  });

  it("settling what has settled changes nothing, and nothing rises above all that stood there", () => {
    let shutIn = 0;
    fc.assert(
      fc.property(anyLine, ({ standing, before }) => {
        const once = settle(standing, stood(standing, before));
        expect(settle(standing, once.bar)).toEqual(once);
        const most = Math.max(6, ...Object.values(before));
        for (const bar of once.bar) expect(bar).toBeLessThanOrEqual(most);
        shutIn += once.live.filter((each) => each === 0).length;
      }),
      { numRuns: 150 },
    );
    expect(shutIn).toBeGreaterThan(100);
  });
});
