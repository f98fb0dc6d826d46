import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { network, reachable } from "../line";
import { randomLine } from "./isolation.fixtures";
import { feedFinder, walkFrom, wayBack } from "./walk";

const cases = fc.tuple(randomLine(9, 12), fc.array(fc.nat(20), { maxLength: 6 })).map(([line, shut]) => ({
  net: network(line),
  holds: (link: number) => shut.includes(link),
}));

describe("walking a line", () => {
  it("finds the same feed, as far away, as a walk over the whole line", () => {
    let fed = 0;
    fc.assert(
      fc.property(cases, ({ net, holds }) => {
        const whole = walkFrom(net, net.energies, (link) => !holds(link));
        const feed = feedFinder(net, holds);
        for (let node = 0; node < net.nodes.length; node++) {
          const found = feed(node);
          expect(found?.links ?? -1).toBe(whole.distance[node]);
          if (found === undefined) continue;
          fed += 1;
          expect(net.energies).toContain(found.energy);
        }
      }),
      { numRuns: 500 },
    );
    expect(fed).toBeGreaterThan(500);
  });

  it("reaches what a walk reaches, in the line's order", () => {
    fc.assert(
      fc.property(cases, ({ net, holds }) => {
        const reached = reachable(net, [0], (link) => !holds(link));
        const { distance } = walkFrom(net, [0], (link) => !holds(link));
        expect(reached).toEqual([...net.nodes.keys()].filter((node) => distance[node] !== -1));
      }),
    );
  });

  it("goes back by links that hang together, one nearer each time", () => {
    let steps = 0;
    fc.assert(
      fc.property(cases, ({ net, holds }) => {
        const passable = (link: number) => !holds(link);
        const walk = walkFrom(net, [0], passable);
        for (let node = 0; node < net.nodes.length; node++) {
          if (walk.distance[node] === -1) continue;
          const way = wayBack(net, walk, node, passable);
          expect(way).toHaveLength(walk.distance[node]!);
          let at = node;
          for (const { link, node: next } of way) {
            expect([net.from[link], net.to[link]].sort()).toEqual([at, next].sort());
            expect(holds(link)).toBe(false);
            at = next;
            steps += 1;
          }
          expect(at).toBe(0);
        }
      }),
    );
    expect(steps).toBeGreaterThan(100);
  });
});
