import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Way } from "../formats";
import { leastLeft, type Option } from "./least-left";

const COSTS = { toolChange_min: 0.5, bodyTurn_min: 2 };

/** A part as a trial knows it: by number, with its ways. */
interface Trial {
  readonly ways: readonly {
    readonly heldBy: readonly number[];
    readonly minutes: number;
    readonly tool: string;
    readonly up: string;
  }[];
}
const way = (heldBy: readonly number[], minutes: number, tool = "", up = "") => ({
  heldBy,
  minutes,
  tool,
  up,
});

function optionsOf(parts: readonly Trial[]): ReadonlyMap<string, readonly Option[]> {
  return new Map(
    parts.map(({ ways }, part) => [
      `${part}`,
      ways.map(
        ({ heldBy, minutes, tool, up }): Option => ({
          held: heldBy.reduce((mask, each) => mask | (1n << BigInt(each)), 0n),
          tool,
          way: { minutes, ...(up !== "" && { bodyUp: up }) } as Way,
        }),
      ),
    ]),
  );
}
interface State {
  readonly off: bigint;
  readonly tool: string;
  readonly up: string;
}
const BEGIN: State = { off: 0n, tool: "", up: "" };

/** Every move from a state, with its price, by the rules of stripping. */
function movesFrom(ways: ReadonlyMap<string, readonly Option[]>, { off, tool, up }: State) {
  return [...ways].flatMap(([part, options]) => {
    const bit = 1n << BigInt(part);
    if (off & bit) return [];
    return options.flatMap((option) => {
      if ((option.held & off) !== option.held) return [];
      const face = option.way.bodyUp ?? "";
      const price =
        option.way.minutes +
        (option.tool !== "" && option.tool !== tool ? COSTS.toolChange_min : 0) +
        (face !== "" && up !== "" && face !== up ? COSTS.bodyTurn_min : 0);
      return [{ price, to: { off: off | bit, tool: option.tool || tool, up: face || up } }];
    });
  });
}

/** The true least from every state that can be reached, worked out backwards by trying everything. */
function trueLeast(ways: ReadonlyMap<string, readonly Option[]>, must: readonly string[]) {
  const goal = must.reduce((mask, part) => mask | (1n << BigInt(part)), 0n);
  const known = new Map<string, number>();
  const key = ({ off, tool, up }: State) => `${off}|${tool}|${up}`;
  const from = (state: State): number => {
    const ready = known.get(key(state));
    if (ready !== undefined) return ready;
    let least = (state.off & goal) === goal ? 0 : Number.POSITIVE_INFINITY;
    for (const { price, to } of movesFrom(ways, state)) least = Math.min(least, price + from(to));
    known.set(key(state), least);
    return least;
  };
  return from;
}

function boundOf(parts: readonly Trial[], must: readonly string[] = parts.map((_, part) => `${part}`)) {
  const ways = optionsOf(parts);
  const bit = new Map(parts.map((_, part) => [`${part}`, 1n << BigInt(part)] as const));
  return { ways, bound: leastLeft(new Set(must), ways, bit, COSTS), least: trueLeast(ways, must) };
}

/** Up to six parts, each held only by earlier ones: everything can come off. */
const someParts = fc.integer({ min: 2, max: 6 }).chain((many) =>
  fc.tuple(
    ...Array.from({ length: many }, (_, part) =>
      fc.record({
        ways: fc.array(
          fc.record({
            heldBy: part === 0 ? fc.constant([]) : fc.uniqueArray(fc.nat(part - 1), { maxLength: 3 }),
            minutes: fc.integer({ min: 1, max: 9 }),
            tool: fc.constantFrom("", "hex", "ring", "driver"),
            up: fc.constantFrom("", "", "face", "foot"),
          }),
          { minLength: 1, maxLength: 2 },
        ),
      }),
    ),
  ),
);

describe("the least that is left", () => {
  it("is never overstated, from any state on the way, and nothing once all is off", () => {
    let [seen, tight] = [0, 0];
    fc.assert(
      fc.property(someParts, fc.infiniteStream(fc.nat()), (parts, picks) => {
        const { ways, bound, least } = boundOf(parts);
        for (let state = BEGIN; ; ) {
          const left = least(state);
          expect(bound(state)).toBeLessThanOrEqual(left + 1e-9);
          seen++;
          if (Math.abs(bound(state) - left) < 1e-9) tight++;
          const moves = movesFrom(ways, state);
          if (moves.length === 0) {
            expect(bound(state)).toBe(0);
            return;
          }
          state = moves[picks.next().value! % moves.length]!.to;
        }
      }),
      { numRuns: 150 },
    );
    expect(seen).toBeGreaterThan(300);
    // A bound that is never met would still be sound, and of no use.
    expect(tight / seen).toBeGreaterThan(0.5);
  });

  it("is sound where only some parts must come off", () => {
    let seen = 0;
    fc.assert(
      fc.property(someParts, fc.nat(), (parts, pick) => {
        const target = `${pick % parts.length}`;
        const { bound, least } = boundOf(parts, [target]);
        expect(bound(BEGIN)).toBeLessThanOrEqual(least(BEGIN) + 1e-9);
        seen++;
      }),
    );
    expect(seen).toBe(100);
  });

  it("counts the quickest way of each part", () => {
    const { bound } = boundOf([{ ways: [way([], 5), way([], 3)] }, { ways: [way([0], 4)] }]);
    expect(bound(BEGIN)).toBe(7);
    expect(bound({ ...BEGIN, off: 1n })).toBe(4);
  });

  it("counts a tool that every way of a part wants, once, and not the one in hand", () => {
    const parts = [
      { ways: [way([], 1, "hex")] },
      { ways: [way([], 1, "hex")] },
      { ways: [way([], 1, "ring")] },
    ];
    const { bound } = boundOf(parts);
    expect(bound(BEGIN)).toBe(3 + 2 * 0.5);
    expect(bound({ ...BEGIN, tool: "hex" })).toBe(3 + 0.5);
  });

  it("counts every change of hands along a chain", () => {
    const chain = [
      { ways: [way([], 1, "hex")] },
      { ways: [way([0], 1, "ring")] },
      { ways: [way([1], 1, "hex")] },
      { ways: [way([2], 1, "ring")] },
    ];
    const { bound, least } = boundOf(chain);
    expect(bound(BEGIN)).toBe(4 + 4 * 0.5);
    expect(least(BEGIN)).toBe(bound(BEGIN));
  });

  it("the first face up costs nothing, each other one a turn", () => {
    const parts = [{ ways: [way([], 1, "", "face")] }, { ways: [way([0], 1, "", "foot")] }];
    const { bound } = boundOf(parts);
    expect(bound(BEGIN)).toBe(2 + 2);
    expect(bound({ ...BEGIN, up: "foot" })).toBe(2 + 2 * 2);
    expect(bound({ off: 1n, tool: "", up: "foot" })).toBe(1);
  });

  it("leaves out a tool that one of two ways can do without", () => {
    const { bound } = boundOf([{ ways: [way([], 2, "hex"), way([], 2)] }]);
    expect(bound(BEGIN)).toBe(2);
  });

  it("more than thirty tools only make it lower", () => {
    const parts = Array.from({ length: 40 }, (_, at) => ({ ways: [way([], 1, `tool ${at}`)] }));
    expect(boundOf(parts).bound(BEGIN)).toBe(40 + 30 * 0.5);
  });
});
