import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Line } from "../formats";
import { forEachLink, network, otherEnd, reachable, search } from ".";

/** A line of pipes between so many nodes; only its shape counts. */
const shape = (nodes: number, links: readonly (readonly [number, number])[]) =>
  network({
    format: "loftbell.line",
    version: 1,
    id: "shape",
    name: "Shape",
    medium: "water",
    nodes: Array.from({ length: nodes }, (_, node) => ({ id: `n${node}`, kind: "junction", elevation_m: 0 })),
    links: links.map(([from, to], link) => ({
      id: `l${link}`,
      kind: "pipe",
      from: `n${from}`,
      to: `n${to}`,
      dn_mm: 100,
      length_m: 1,
    })),
  } as unknown as Line);

const graphs = fc.integer({ min: 2, max: 12 }).chain((nodes) =>
  fc.tuple(
    fc.constant(nodes),
    fc.array(
      fc.tuple(fc.nat({ max: nodes - 1 }), fc.nat({ max: nodes - 1 })).filter(([a, b]) => a !== b),
      { maxLength: 24 },
    ),
  ),
);

describe("a walk over a line", () => {
  it("comes to what is joined, each once, nearest first, and to nothing else", () => {
    let far = 0;
    fc.assert(
      fc.property(graphs, ([nodes, links]) => {
        const net = shape(nodes, links);
        const { order, has } = search(net, [0], () => true);
        // The same by joining ends until nothing changes.
        const joined = new Set([0]);
        for (let turn = 0; turn < nodes; turn++)
          for (const [a, b] of links) {
            if (joined.has(a)) joined.add(b);
            if (joined.has(b)) joined.add(a);
          }
        expect([...order].sort((a, b) => a - b)).toEqual([...joined].sort((a, b) => a - b));
        expect(reachable(net, [0], () => true)).toEqual([...joined].sort((a, b) => a - b));
        expect(has.reduce((sum, each) => sum + each, 0)).toBe(joined.size);
        far = Math.max(far, order.length);
      }),
    );
    expect(far).toBeGreaterThan(5);
  });

  it("does not pass what is not let through, nor go on past where it ends", () => {
    const chain = shape(4, [
      [0, 1],
      [1, 2],
      [2, 3],
    ]);
    expect(search(chain, [0], (link) => link !== 1).order).toEqual([0, 1]);
    expect(
      search(
        chain,
        [0],
        () => true,
        (node) => node !== 1,
      ).order,
    ).toEqual([0, 1]);
    expect(search(chain, [], () => true).order).toEqual([]);
  });

  it("sees every link of a node from either side", () => {
    const star = shape(3, [
      [0, 1],
      [2, 0],
      [0, 1],
    ]);
    const seen: [number, number][] = [];
    forEachLink(star, 0, (link, next) => seen.push([link, next]));
    expect(seen).toEqual([
      [0, 1],
      [1, 2],
      [2, 1],
    ]);
    expect(otherEnd(star, 1, 0)).toBe(2);
    expect(otherEnd(star, 1, 2)).toBe(0);
  });
});
