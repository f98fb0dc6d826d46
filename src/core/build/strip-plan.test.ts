import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { speaker, stripMessage } from "@/words";
import type { Sheet } from "../formats";
import { planStrip } from ".";
import { dry, trialSheet, wet } from "./build.fixtures";
import { BODY_TURN_MIN, TOOL_CHANGE_MIN } from "./strip-plan";

const order = (sheet: Sheet, reach: string[], more = {}) => {
  const plan = planStrip(sheet, { reach, ...more });
  if (!plan.ok) return stripMessage(speaker(), plan.error, sheet);
  return plan.value.moves.map((move) => (move.kind === "remove" ? move.part : `[${move.to}]`));
};

describe("what cannot be reached is said in the parts' names", () => {
  const rung = { heldBy: [], minutes: 1 };
  it.each<[string, Sheet, string[], string]>([
    ["a part nobody knows", wet, ["propeller"], 'no part "propeller"'],
    ["what stays", wet, ["body"], "stays in place: it cannot be taken off in service"],
    [
      "parts that hold one another",
      trialSheet({ a: [{ heldBy: ["b"], minutes: 1 }], b: [{ heldBy: ["a"], minutes: 1 }], c: [rung] }),
      ["a"],
      "a is held by b, which nothing frees",
    ],
    [
      "a part without a way",
      trialSheet({ a: [], b: [rung] }),
      ["a"],
      "shows no way to take a off this build",
    ],
  ])("%s", (_what, sheet, reach, says) => {
    expect(order(sheet, reach)).toContain(says);
  });

  it("a position that nothing is left to bring about", () => {
    const failure = { kind: "wrong-position", part: "nozzle", position: "open" } as const;
    expect(stripMessage(speaker(), failure, wet)).toContain('only in position "open"');
  });
});

describe("strip order", () => {
  it("keeps one tool in hand while it can", () => {
    const sheet = trialSheet({
      x: [{ heldBy: [], minutes: 1, tools: ["a"] }],
      y: [{ heldBy: [], minutes: 1, tools: ["b"] }],
      z: [{ heldBy: [], minutes: 1, tools: ["a"] }],
      goal: [{ heldBy: ["x", "y", "z"], minutes: 1, tools: ["b"] }],
    });
    expect(order(sheet, ["goal"])).toEqual(["x", "z", "y", "goal"]);
  });

  it("takes the cheaper way out when there are two", () => {
    const ways = [
      { heldBy: ["head"], minutes: 1 },
      { heldBy: ["handle", "bore"], minutes: 1 },
    ];
    const parts = { handle: [{ heldBy: [], minutes: 2 }], bore: [{ heldBy: [], minutes: 2 }], seal: ways };
    expect(order(trialSheet({ head: [{ heldBy: [], minutes: 9 }], ...parts }), ["seal"])).toEqual([
      "handle",
      "bore",
      "seal",
    ]);
    expect(order(trialSheet({ head: [{ heldBy: [], minutes: 3 }], ...parts }), ["seal"])).toEqual([
      "head",
      "seal",
    ]);
  });

  it("turns the body over once rather than thrice", () => {
    const sheet = trialSheet({
      p: [{ heldBy: [], minutes: 1, bodyUp: "top" }],
      q: [{ heldBy: [], minutes: 1, bodyUp: "foot" }],
      r: [{ heldBy: [], minutes: 1, bodyUp: "top" }],
    });
    const plan = planStrip(sheet, { reach: ["p", "q", "r"] });
    expect(plan.ok && plan.value.bodyTurns).toBe(1);
  });

  it("lets the valve push the nozzle out before the stem nut, which moves it, comes off", () => {
    const bayonet = order(wet, ["disc"], { build: "bayonet" }) as string[];
    expect(bayonet.indexOf("nozzle")).toBeLessThan(bayonet.indexOf("stem-nut"));
  });

  it("goes on from what is off already", () => {
    expect(
      order(dry, ["main-seat"], {
        off: [
          "cap-screw",
          "weather-cap",
          "jam-nut",
          "lock-screw",
          "hold-down",
          "bearing-upper",
          "operating-nut",
          "bearing-lower",
          "bonnet-bolts",
          "bonnet",
          "bonnet-gasket",
          "stem",
        ],
      }),
    ).toEqual(["lower-nut", "lock-washer", "lower-plate", "main-seat"]);
  });

  it.each([
    [["body"], "stays in place"],
    [["no-such"], "no part"],
  ])("refuses %j", (reach, message) => {
    expect(order(wet, reach)).toContain(message);
  });

  it("says how far off it may be when it stops at its bound", () => {
    const many = Object.fromEntries(
      Array.from({ length: 12 }, (_, i) => [
        `p${i}`,
        [
          { heldBy: [], minutes: 1, tools: [["a", "b", "c"][i % 3]!] },
          { heldBy: [], minutes: 1.2, tools: [] },
        ],
      ]),
    );
    const plan = planStrip(trialSheet(many), { reach: Object.keys(many), mostStates: 20 });
    expect(plan.ok && !plan.value.exact && plan.value.offBy > 0 && plan.value.moves.length === 12).toBe(true);
  });
});

/** Random sheets: parts held only by earlier ones, so that all of them come off; one or two ways each. */
const randomSheet = (least: number, most: number) =>
  fc
    .array(
      fc.array(
        fc.record({
          holders: fc.array(fc.nat(9), { maxLength: 3 }),
          minutes: fc.integer({ min: 1, max: 5 }),
          tool: fc.constantFrom("", "a", "b", "c"),
          up: fc.constantFrom(undefined, "top", "foot"),
        }),
        { minLength: 1, maxLength: 2 },
      ),
      { minLength: least, maxLength: most },
    )
    .map((parts) =>
      trialSheet(
        Object.fromEntries(
          parts.map((ways, index) => [
            `p${index}`,
            ways.map((way) => ({
              heldBy:
                index === 0
                  ? []
                  : [
                      ...new Set(
                        way.holders.map((holder) => `p${Math.max(0, index - 1 - (holder % index))}`),
                      ),
                    ],
              minutes: way.minutes,
              tools: way.tool === "" ? [] : [way.tool],
              ...(way.up && { bodyUp: way.up }),
            })),
          ]),
        ),
      ),
    );

/** The least effort by trying every way of every part in every order; what is left of a state is worked out once. */
function leastByTryingAll(sheet: Sheet, goal: readonly string[]): number {
  const known = new Map<string, number>();
  const left = (off: ReadonlySet<string>, tool: string, up: string): number => {
    if (goal.every((part) => off.has(part))) return 0;
    const key = `${[...off].sort()}|${tool}|${up}`;
    const ready = known.get(key);
    if (ready !== undefined) return ready;
    let best = Number.POSITIVE_INFINITY;
    for (const part of sheet.parts)
      for (const way of part.ways) {
        if (off.has(part.id) || !way.heldBy.every((holder) => off.has(holder))) continue;
        const wanted = way.tools.join("+");
        const change = wanted !== "" && wanted !== tool ? TOOL_CHANGE_MIN : 0;
        const turn = way.bodyUp !== undefined && up !== "" && way.bodyUp !== up ? BODY_TURN_MIN : 0;
        best = Math.min(
          best,
          way.minutes + change + turn + left(new Set([...off, part.id]), wanted || tool, way.bodyUp ?? up),
        );
      }
    known.set(key, best);
    return best;
  };
  return left(new Set(), "", "");
}

describe("on random sheets", () => {
  const plan = (sheet: Sheet, reach: string[]) => {
    const made = planStrip(sheet, { reach });
    if (!made.ok) throw new Error(stripMessage(speaker(), made.error, sheet));
    return made.value;
  };

  it("never breaks held-by, and is as short as the best of all orders, up to 10 parts", () => {
    let removed = 0;
    fc.assert(
      fc.property(randomSheet(2, 10), fc.boolean(), (sheet, all) => {
        const goal = all ? sheet.parts.map((part) => part.id) : [sheet.parts.at(-1)!.id];
        const { moves, minutes, exact } = plan(sheet, goal);
        const off = new Set<string>();
        for (const move of moves) {
          if (move.kind !== "remove") continue;
          expect(move.way.heldBy.every((holder) => off.has(holder))).toBe(true);
          off.add(move.part);
          removed += 1;
        }
        expect(exact).toBe(true);
        expect(minutes).toBeCloseTo(leastByTryingAll(sheet, goal), 6);
      }),
      { numRuns: 150 },
    );
    expect(removed).toBeGreaterThan(300);
  });

  it("is exact up to 40 parts, two ways each, all to come off", () => {
    fc.assert(
      fc.property(randomSheet(40, 40), (sheet) => {
        const { exact, offBy, moves } = plan(
          sheet,
          sheet.parts.map((part) => part.id),
        );
        expect([exact, offBy, moves.length]).toEqual([true, 0, 40]);
      }),
      { numRuns: 6, seed: 11 },
    );
  });

  it("is at most as far off as it says when it stops at its bound", () => {
    let stopped = 0;
    fc.assert(
      fc.property(randomSheet(6, 10), (sheet) => {
        const goal = sheet.parts.map((part) => part.id);
        const made = planStrip(sheet, { reach: goal, mostStates: 3 });
        if (!made.ok) throw new Error(stripMessage(speaker(), made.error, sheet));
        if (!made.value.exact) stopped += 1;
        const least = leastByTryingAll(sheet, goal);
        expect(made.value.minutes).toBeLessThanOrEqual(least + made.value.offBy + 1e-6);
      }),
      { numRuns: 100 },
    );
    expect(stopped).toBeGreaterThan(30);
  });
});
