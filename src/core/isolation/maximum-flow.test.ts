import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { flowSolver, UNLIMITED } from "./maximum-flow";

type Edge = readonly [number, number, number];

const solve = (nodes: number, edges: readonly Edge[], source: number, sink: number) => {
  const capacity = Int32Array.from(
    edges.flatMap(([, , c]) => [c, c]),
    (c) => c,
  );
  const laid = flowSolver(
    nodes,
    Int32Array.from(edges, ([a]) => a),
    Int32Array.from(edges, ([, b]) => b),
  );
  return laid(capacity, [source], sink);
};

/** The least cut by trying every division of the nodes. */
function leastCut(nodes: number, edges: readonly Edge[], source: number, sink: number): number {
  let best = Number.POSITIVE_INFINITY;
  for (let side = 0; side < 1 << nodes; side++) {
    if (!(side & (1 << source)) || side & (1 << sink)) continue;
    const cut = edges.reduce(
      (sum, [a, b, c]) => (((side >> a) & 1) !== ((side >> b) & 1) ? sum + c : sum),
      0,
    );
    best = Math.min(best, cut);
  }
  return best;
}

const network = fc.record({
  nodes: fc.integer({ min: 2, max: 7 }),
  edges: fc.array(fc.tuple(fc.nat(6), fc.nat(6), fc.integer({ min: 0, max: 12 })), { maxLength: 14 }),
});

describe("maximum flow", () => {
  it("equals the least cut of all divisions, and its source side is a cut of that size", () => {
    fc.assert(
      fc.property(network, ({ nodes, edges }) => {
        const within = edges.map(([a, b, c]): Edge => [a % nodes, b % nodes, c]).filter(([a, b]) => a !== b);
        const flow = solve(nodes, within, 0, 1);
        expect(flow.value).toBe(leastCut(nodes, within, 0, 1));
        const size = within.reduce(
          (sum, [a, b, c]) => (flow.sourceSide.includes(a) !== flow.sourceSide.includes(b) ? sum + c : sum),
          0,
        );
        expect(size).toBe(flow.value);
        expect(flow.sourceSide).toContain(0);
        expect(flow.sourceSide).not.toContain(1);
      }),
      { numRuns: 1000 },
    );
  });

  it("gives the least source side of two equal cuts", () => {
    const flow = solve(
      4,
      [
        [0, 2, 5],
        [2, 3, 5],
        [3, 1, 5],
      ],
      0,
      1,
    );
    expect(flow.sourceSide).toEqual([0]);
  });

  it("says when nothing limits the way", () => {
    expect(
      solve(
        3,
        [
          [0, 2, UNLIMITED],
          [2, 1, UNLIMITED],
        ],
        0,
        1,
      ).value,
    ).toBeGreaterThanOrEqual(UNLIMITED);
  });

  it("can be solved again with other capacities, unspoiled by the first time", () => {
    const solver = flowSolver(3, Int32Array.of(0, 2), Int32Array.of(2, 1));
    expect(solver(Int32Array.of(4, 4, 9, 9), [0], 1).value).toBe(4);
    expect(solver(Int32Array.of(9, 9, 3, 3), [0], 1).value).toBe(3);
    expect(solver(Int32Array.of(4, 4, 9, 9), [0], 1).value).toBe(4);
  });
});
