import { describe, expect, it } from "vitest";
import type { Sheet } from "../formats";
import { checkSheet } from ".";
import { wet } from "./build.fixtures";

type Measure = Extract<Sheet["checks"][number], { kind: "measure" }>;
/** A measurement spoiled in one way. */
const measure =
  (spoil: (check: Measure) => void) =>
  (sheet: Sheet): void => {
    const check = sheet.checks.find((each) => each.id === "collar-thickness");
    if (check?.kind !== "measure") throw new Error("no such measurement");
    spoil(check);
  };
const MEASURES: [string, (sheet: Sheet) => void, string][] = [
  [
    "a unit of another kind",
    measure((check) => {
      check.unit = "bar";
    }),
    '"bar" is not a unit of length',
  ],
  [
    "a measurement without a limit",
    measure((check) => {
      delete check.low;
      delete check.high;
    }),
    "needs a low or a high limit",
  ],
  [
    "a low limit that says nothing",
    measure((check) => {
      check.low = 1;
      delete check.below;
    }),
    "a reading under the low limit",
  ],
  [
    "a high limit that says nothing",
    measure((check) => {
      check.high = 50;
      delete check.above;
    }),
    "a reading over the high limit",
  ],
];

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
      "a stack that does not count up",
      (sheet) => {
        const pieces = [
          { name: "Ring", kind: "ring", height_mm: 3 },
          { name: "Spacer", kind: "sleeve", height_mm: 5 },
        ] as const;
        part(sheet, "cap").pieces = [...pieces];
      },
      "lists 2 pieces, but its quantity is 1",
    ],
    [
      "grease on what is dry by design",
      (sheet) => {
        part(sheet, "friction-ring").fit!.surface = {
          kind: "lubricate",
          with: "silicone",
          where: "all over",
        };
      },
      "dry by design",
    ],
    [
      "a torque without a wrench",
      (sheet) => {
        part(sheet, "stem-nut").fit!.tools = ["hydrant-key"];
      },
      "no torque wrench",
    ],
    [
      "a look-alike that cannot be told",
      (sheet) => {
        part(sheet, "disc").lookAlikes![0]!.features = [
          { name: "outside diameter", value: "103 mm", nominal_mm: 103, tolerance_mm: 0.8 },
        ];
      },
      "Nothing tells",
    ],
    [
      "locker that is grease",
      (sheet) => {
        part(sheet, "stem-nut").fit!.thread = { kind: "locker", grade: "medium", with: "silicone", why: "x" };
      },
      "does not lock",
    ],
    [
      "a pipe wrench on soft brass",
      (sheet) => {
        sheet.tools.push({ id: "pipe-wrench", name: "Pipe wrench" });
        part(sheet, "stem-nut").ways[0]!.tools.push("pipe-wrench");
      },
      "where it is forbidden",
    ],
    [
      "steam let out at the cover",
      (sheet) => {
        sheet.isolation.medium = "steam";
        sheet.release = [{ rung: "cover", do: "Crack it." }];
      },
      "never let out at the cover",
    ],
    [
      "a task on an unknown part",
      (sheet) => {
        sheet.tasks = [
          { id: "t", when: "when-open", do: "Do.", why: "So.", minutes: 1, tools: [], part: "ghost" },
        ];
      },
      '/tasks/0 There is no part "ghost"',
    ],
    [
      "a note confirmed at no part",
      (sheet) => {
        sheet.capture[0]!.confirmAfter = "ghost";
      },
      "/capture/0/confirmAfter",
    ],
    [
      "all of the bolts staying in until the joint is cracked",
      (sheet) => {
        part(sheet, "gland-bolts").ways[0]!.stayUntilCracked = 6;
      },
      "6 of 6 cannot stay in",
    ],
    [
      "a way for an unknown build",
      (sheet) => {
        part(sheet, "cap").ways[0]!.builds = ["submarine"];
      },
      'no build "submarine"',
    ],
    [
      "a position nobody can put it in",
      (sheet) => {
        part(sheet, "cap").ways[0]!.position = { before: "upside-down" };
      },
      '/ways/0/position/before There is no position "upside-down"',
    ],
    [
      "grease that is not among the supplies",
      (sheet) => {
        part(sheet, "stem-ring").fit!.surface = { kind: "lubricate", with: "lard", where: "all over" };
      },
      'no supply "lard"',
    ],
    [
      "anti-seize on what must lock",
      (sheet) => {
        part(sheet, "gland-bolts").fit!.joint = ["lock"];
      },
      "Use locker",
    ],
    [
      "a kit for an unknown generation",
      (sheet) => {
        sheet.kits[0]!.generations = ["Z"];
      },
      'no generation "Z"',
    ],
    ...MEASURES,
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
