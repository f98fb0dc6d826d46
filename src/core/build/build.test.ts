import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Part, Sheet } from "../formats";
import { demoDocument } from "../job/job.fixtures";
import { checkSheet, planRebuild, planStrip, spoiledBy, stripMessage, trayAccount } from ".";
import { BODY_TURN_MIN, TOOL_CHANGE_MIN } from "./strip-plan";

const wet = demoDocument<Sheet>("sheets/brae-quaywall-4.json");
const dry = demoDocument<Sheet>("sheets/quillon-harbour-5.json");
const FIT: Part["fit"] = { do: "Fit it.", minutes: 1, tools: [], end: { kind: "seated", seen: "it sits" } };

interface TrialWay {
  heldBy: string[];
  minutes: number;
  tools?: string[];
  bodyUp?: string;
}

/** A sheet with just what the planner reads. */
function trialSheet(parts: Record<string, TrialWay[]>): Sheet {
  return {
    ...wet,
    builds: [],
    kits: [],
    checks: [],
    singles: [],
    symptoms: [],
    position: undefined,
    tools: ["a", "b", "c"].map((id) => ({ id, name: id })),
    parts: Object.entries(parts).map(([id, ways]) => ({
      id,
      name: id,
      quantity: 1,
      material: "steel",
      shape: { kind: "disc", diameter_mm: 10, height_mm: 5 },
      ways: ways.map((way) => ({ do: `Take ${id} off.`, tools: [], ...way })),
      fit: FIT,
    })),
  } as unknown as Sheet;
}

const order = (sheet: Sheet, reach: string[], more = {}) => {
  const plan = planStrip(sheet, { reach, ...more });
  if (!plan.ok) return stripMessage(plan.error, sheet);
  return plan.value.moves.map((move) => (move.kind === "remove" ? move.part : `[${move.to}]`));
};

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
    ).toEqual(["lock-washer", "lower-nut", "lower-plate", "main-seat"]);
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
const randomSheet = fc
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
    { minLength: 2, maxLength: 7 },
  )
  .map((parts) =>
    trialSheet(
      Object.fromEntries(
        parts.map((ways, index) => [
          `p${index}`,
          ways.map((way) => ({
            heldBy: index === 0 ? [] : [...new Set(way.holders.map((holder) => `p${holder % index}`))],
            minutes: way.minutes,
            tools: way.tool === "" ? [] : [way.tool],
            ...(way.up && { bodyUp: way.up }),
          })),
        ]),
      ),
    ),
  );

/** The least effort by trying every order and every way. */
function leastByTryingAll(sheet: Sheet, goal: string): number {
  let best = Number.POSITIVE_INFINITY;
  const go = (off: ReadonlySet<string>, tool: string, up: string, cost: number) => {
    if (cost >= best) return;
    if (off.has(goal)) {
      best = cost;
      return;
    }
    for (const part of sheet.parts)
      for (const way of part.ways) {
        if (off.has(part.id) || !way.heldBy.every((holder) => off.has(holder))) continue;
        const wanted = way.tools.join("+");
        const change = wanted !== "" && wanted !== tool ? TOOL_CHANGE_MIN : 0;
        const turn = way.bodyUp !== undefined && up !== "" && way.bodyUp !== up ? BODY_TURN_MIN : 0;
        go(new Set([...off, part.id]), wanted || tool, way.bodyUp ?? up, cost + way.minutes + change + turn);
      }
  };
  go(new Set(), "", "", 0);
  return best;
}

describe("on random sheets", () => {
  it("never breaks held-by, and is as short as the best of all orders", () => {
    fc.assert(
      fc.property(randomSheet, (sheet) => {
        const goal = sheet.parts.at(-1)!.id;
        const plan = planStrip(sheet, { reach: [goal] });
        if (!plan.ok) throw new Error(stripMessage(plan.error, sheet));
        const off = new Set<string>();
        for (const move of plan.value.moves) {
          if (move.kind !== "remove") continue;
          expect(move.way.heldBy.every((holder) => off.has(holder))).toBe(true);
          off.add(move.part);
        }
        expect(plan.value.minutes).toBeCloseTo(leastByTryingAll(sheet, goal), 6);
      }),
      { numRuns: 300 },
    );
  });
});

describe.each([wet, dry].map((sheet) => [sheet.title, sheet] as const))("%s", (_, sheet) => {
  it("has nothing wrong", () => {
    expect(checkSheet(sheet)).toEqual([]);
  });

  it.each(sheet.parts.filter((part) => !part.stays).map((part) => [part.id] as const))(
    "can be stripped to %s and is whole after the rebuild",
    (goal) => {
      for (const build of sheet.builds) {
        const plan = planStrip(sheet, { reach: [goal], build: build.id });
        if (!plan.ok) throw new Error(stripMessage(plan.error, sheet));
        const off = plan.value.moves.flatMap((move) => (move.kind === "remove" ? [move.part] : []));
        const moves = planRebuild(sheet, plan.value.moves);
        const back = moves.flatMap((move) => (move.kind === "fit" ? [move.part] : []));
        expect(back).toEqual(off.toReversed());
        const loose = moves.flatMap((move) => (move.kind === "fit" && move.loose ? [move.part] : []));
        expect(moves.flatMap((move) => (move.kind === "tighten" ? [move.part] : [])).sort()).toEqual(
          loose.sort(),
        );
        expect(
          trayAccount(sheet, off, new Set(back), new Set(spoiledBy(sheet, plan.value.moves).keys())).balances,
        ).toBe(true);
      }
    },
  );
});

describe("a sheet that is wrong is told where", () => {
  const broken = (change: (sheet: Sheet) => void): string[] => {
    const copy = structuredClone(wet);
    change(copy);
    return checkSheet(copy).map((each) => `${each.path} ${each.message}`);
  };
  const part = (sheet: Sheet, id: string) => sheet.parts.find((each) => each.id === id)!;

  it.each<[string, (sheet: Sheet) => void, string]>([
    ["a ring", (sheet) => part(sheet, "cap").ways[0]!.heldBy.push("nozzle"), "can never come off"],
    [
      "an unknown holder",
      (sheet) => part(sheet, "cap").ways[0]!.heldBy.push("ghost"),
      '/ways/0/heldBy/0 There is no part "ghost"',
    ],
    [
      "a part without a way",
      (sheet) => {
        part(sheet, "cap").ways = [];
      },
      "has no way off",
    ],
    [
      "a part that does not go back",
      (sheet) => void delete part(sheet, "cap").fit,
      "nothing says how it goes back",
    ],
    ["an unknown tool", (sheet) => part(sheet, "cap").ways[0]!.tools.push("crowbar"), 'no tool "crowbar"'],
    [
      "a fastener without a tool",
      (sheet) => {
        part(sheet, "gland-bolts").ways[0]!.tools = [];
      },
      "name the tool that turns it",
    ],
    [
      "lock and release",
      (sheet) => {
        part(sheet, "gland-bolts").fit!.joint = ["lock", "release"];
      },
      "undo each other",
    ],
    [
      "locker on what must release",
      (sheet) => {
        const thread = { kind: "locker", grade: "high", with: "locker-medium", why: "x" } as const;
        part(sheet, "gland-bolts").fit!.thread = thread;
      },
      "Use anti-seize",
    ],
    [
      "petroleum on EPDM",
      (sheet) => {
        part(sheet, "stem-ring").material = "epdm";
        sheet.supplies[0]!.base = "petroleum";
      },
      "swells EPDM",
    ],
    [
      "a hammer on brittle iron",
      (sheet) => {
        sheet.tools.push({ id: "hammer", name: "Hammer" });
        part(sheet, "gland-plate").ways[0]!.tools.push("hammer");
      },
      "is brittle",
    ],
    [
      "a torque above the limit",
      (sheet) => {
        (part(sheet, "stem-nut").fit!.end as { torque_Nm: number }).torque_Nm = 90;
      },
      "above this part's limit",
    ],
    [
      "a kit short of a part",
      (sheet) => {
        part(sheet, "disc").quantity = 2;
      },
      "this kit brings 1",
    ],
    [
      "a kept part in a kit",
      (sheet) => sheet.kits[0]!.contents.push({ part: "collars", quantity: 2 }),
      "marked as in no kit",
    ],
    [
      "a limit turned round",
      (sheet) => {
        const check = sheet.checks.find((each) => each.id === "collar-thickness");
        if (check?.kind === "measure") check.low = 20;
      },
      "The low limit is not below",
    ],
    ["a doubled id", (sheet) => sheet.parts.push(structuredClone(sheet.parts[0]!)), "used twice"],
    [
      "a one-use part nobody sells",
      (sheet) => {
        sheet.singles = [];
        sheet.kits = [];
      },
      "no kit brings it",
    ],
  ])("%s", (_name, change, message) => {
    expect(broken(change).join("\n")).toContain(message);
  });
});
