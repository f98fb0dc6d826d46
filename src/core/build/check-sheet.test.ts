import { describe, expect, it } from "vitest";
import type { Sheet } from "../formats";
import { checkSheet } from ".";
import { wet } from "./build.fixtures";

const part = (sheet: Sheet, id: string) => sheet.parts.find((each) => each.id === id)!;
const collar = (sheet: Sheet) => {
  const check = sheet.checks.find((each) => each.id === "collar-thickness");
  if (check?.kind !== "measure") throw new Error("no such measurement");
  return check;
};
const choice = (sheet: Sheet) => {
  const check = sheet.checks[0];
  if (check?.kind !== "choice") throw new Error("the first check is no choice");
  return check;
};

/** A sound sheet changed in one way, and all that is said of it: the place and the whole sentence. */
const CHANGES: [string, (sheet: Sheet) => void, (readonly [string, string])[]][] = [
  ["nothing changed", () => {}, []],
  [
    "a way that spoils an unknown part",
    (sheet) => {
      part(sheet, "cap").ways[0]!.spoils = ["disc", "ghost"];
    },
    [["/parts/7/ways/0/spoils/1", 'There is no part "ghost". Add it or correct the name.']],
  ],
  [
    "an unknown holder",
    (sheet) => {
      part(sheet, "cap").ways[0]!.heldBy.push("ghost");
    },
    [["/parts/7/ways/0/heldBy/0", 'There is no part "ghost". Add it or correct the name.']],
  ],
  [
    "an unknown tool on a way off",
    (sheet) => {
      part(sheet, "cap").ways[0]!.tools = ["crowbar"];
    },
    [["/parts/7/ways/0/tools/0", 'There is no tool "crowbar" in this sheet. Add it to the tools.']],
  ],
  [
    "an unknown tool on a fit",
    (sheet) => {
      part(sheet, "cap").fit!.tools = ["crowbar"];
    },
    [["/parts/7/fit/tools/0", 'There is no tool "crowbar" in this sheet. Add it to the tools.']],
  ],
  [
    "positions nobody can put it in, coming off",
    (sheet) => {
      part(sheet, "cap").ways[0]!.position = { before: "up", after: "down" };
    },
    [
      ["/parts/7/ways/0/position/before", 'There is no position "up" in this sheet.'],
      ["/parts/7/ways/0/position/after", 'There is no position "down" in this sheet.'],
    ],
  ],
  [
    "positions nobody can put it in, going back",
    (sheet) => {
      part(sheet, "cap").fit!.position = { before: "up", after: "down" };
    },
    [
      ["/parts/7/fit/position/before", 'There is no position "up" in this sheet.'],
      ["/parts/7/fit/position/after", 'There is no position "down" in this sheet.'],
    ],
  ],
  [
    "a joint left loose until an unknown part",
    (sheet) => {
      part(sheet, "cap").fit!.looseUntil = "ghost";
    },
    [["/parts/7/fit/looseUntil", 'There is no part "ghost". Add it or correct the name.']],
  ],
  [
    "a position moved by an unknown part",
    (sheet) => {
      sheet.position = { ...sheet.position!, movedBy: "ghost", start: "up", finish: "down" };
    },
    [
      ["/position/movedBy", 'There is no part "ghost". Add it or correct the name.'],
      ["/position/start", 'There is no position "up" in this sheet.'],
      ["/position/finish", 'There is no position "down" in this sheet.'],
    ],
  ],
  [
    "a check of unknown parts and tools",
    (sheet) => {
      const c = sheet.checks[0]!;
      c.part = "ghost";
      c.needsOff = ["ghost"];
      c.afterFit = "ghost";
      c.tools = ["crowbar"];
    },
    [
      ["/checks/0/part", 'There is no part "ghost". Add it or correct the name.'],
      ["/checks/0/needsOff/0", 'There is no part "ghost". Add it or correct the name.'],
      ["/checks/0/afterFit", 'There is no part "ghost". Add it or correct the name.'],
      ["/checks/0/tools/0", 'There is no tool "crowbar" in this sheet. Add it to the tools.'],
    ],
  ],
  [
    "an option that asks for unknown parts",
    (sheet) => {
      const c = choice(sheet);
      c.options[0]!.alsoRenew = ["ghost"];
      c.options[0]!.reach = ["ghost"];
    },
    [
      ["/checks/0/options/0/alsoRenew/0", 'There is no part "ghost". Add it or correct the name.'],
      ["/checks/0/options/0/reach/0", 'There is no part "ghost". Add it or correct the name.'],
    ],
  ],
  [
    "an unknown part sold singly",
    (sheet) => {
      sheet.singles.push("ghost");
    },
    [["/singles/5", 'There is no part "ghost". Add it or correct the name.']],
  ],
  [
    "a symptom that reaches an unknown part",
    (sheet) => {
      sheet.symptoms[0]!.reach.push("ghost");
    },
    [["/symptoms/0/reach/1", 'There is no part "ghost". Add it or correct the name.']],
  ],
  [
    "a connection at an unknown part",
    (sheet) => {
      sheet.connections = [{ ...sheet.connections[0]!, part: "ghost" }];
    },
    [["/connections/0/part", 'There is no part "ghost". Add it or correct the name.']],
  ],
  [
    "a task that is wrong in every field",
    (sheet) => {
      sheet.tasks = [
        {
          id: "t",
          when: "when-open",
          do: "Do.",
          why: "So.",
          minutes: 1,
          tools: ["crowbar", "hydrant-key"],
          needsOff: ["ghost"],
          part: "disc",
          forbidden: [{ tool: "Hydrant KEY", why: "It bends." }],
          position: { before: "up", after: "down" },
        },
      ] as never;
    },
    [
      ["/tasks/0", 'There is no part "ghost". Add it or correct the name.'],
      ["/tasks/0/tools/0", 'There is no tool "crowbar" in this sheet.'],
      ["/tasks/0/tools/1", "hydrant-key is both used and forbidden here."],
      ["/tasks/0/position", 'There is no position "up" in this sheet.'],
      ["/tasks/0/position", 'There is no position "down" in this sheet.'],
    ],
  ],
  [
    "a task that is right",
    (sheet) => {
      sheet.tasks = [
        {
          id: "t",
          when: "when-open",
          do: "Do.",
          why: "So.",
          minutes: 1,
          tools: ["hydrant-key"],
          part: "disc",
        },
      ] as never;
    },
    [],
  ],
  [
    "a task that is counted and timed at once",
    (sheet) => {
      sheet.tasks = [
        {
          id: "t",
          when: "when-open",
          do: "Do.",
          why: "So.",
          minutes: 1,
          tools: [],
          count: { what: "Strokes", most: 3 },
          swing: { most_s: 8 },
        },
      ];
    },
    [
      [
        "/tasks/0/swing",
        "What is timed is not counted as well: one card notes one figure. Make two tasks of it.",
      ],
    ],
  ],
  [
    "the same id twice in each list",
    (sheet) => {
      for (const list of ["tools", "supplies", "checks", "kits", "restore", "symptoms"] as const)
        (sheet[list] as unknown[]).push(structuredClone(sheet[list][0]));
    },
    [
      ["/tools/13/id", '"hydrant-key" is used twice. Give each its own id.'],
      ["/supplies/3/id", '"food-grease" is used twice. Give each its own id.'],
      ["/checks/13/id", '"cap-or-valve" is used twice. Give each its own id.'],
      ["/kits/3/id", '"BF-K31" is used twice. Give each its own id.'],
      ["/restore/3/id", '"caps" is used twice. Give each its own id.'],
      ["/symptoms/4/id", '"weeps" is used twice. Give each its own id.'],
    ],
  ],
  [
    "a ring",
    (sheet) => {
      part(sheet, "cap").ways[0]!.heldBy.push("nozzle");
    },
    [
      [
        "/parts/7/ways",
        "Outlet cap can never come off on build Bayonet nozzle: it is held by Nozzle, and nothing frees that. Break the ring.",
      ],
      [
        "/parts/10/ways",
        "Nozzle can never come off on build Bayonet nozzle: it is held by Outlet cap, and nothing frees that. Break the ring.",
      ],
      [
        "/parts/7/ways",
        "Outlet cap can never come off on build Threaded nozzle: it is held by Nozzle, and nothing frees that. Break the ring.",
      ],
      [
        "/parts/10/ways",
        "Nozzle can never come off on build Threaded nozzle: it is held by Outlet cap, and nothing frees that. Break the ring.",
      ],
    ],
  ],
  [
    "a ring on one build, and a part that does not come off the other",
    (sheet) => {
      part(sheet, "cap").ways.forEach((w) => {
        w.builds = [sheet.builds[0]!.id];
      });
      part(sheet, "cap").ways[0]!.heldBy.push("nozzle");
    },
    [
      [
        "/parts/7/ways",
        "Outlet cap can never come off on build Bayonet nozzle: it is held by Nozzle, and nothing frees that. Break the ring.",
      ],
      [
        "/parts/10/ways",
        "Nozzle can never come off on build Bayonet nozzle: it is held by Outlet cap, and nothing frees that. Break the ring.",
      ],
      [
        "/parts/8/ways",
        "Cap gasket can never come off on build Threaded nozzle: it is held by Outlet cap, and nothing frees that. Break the ring.",
      ],
      [
        "/parts/10/ways",
        "Nozzle can never come off on build Threaded nozzle: it is held by Outlet cap, and nothing frees that. Break the ring.",
      ],
    ],
  ],
  [
    "a ring where there is one build only",
    (sheet) => {
      sheet.builds = [];
      for (const capture of sheet.capture) delete capture.byBuild;
      delete part(sheet, "nozzle-screw").fit!.byBuild;
      part(sheet, "cap").ways[0]!.heldBy.push("nozzle");
    },
    [
      ["/parts/10/ways/0/builds", 'There is no build "bayonet" in this sheet.'],
      ["/parts/10/ways/1/builds", 'There is no build "threaded" in this sheet.'],
      [
        "/parts/7/ways",
        "Outlet cap can never come off: it is held by Nozzle, and nothing frees that. Break the ring.",
      ],
      [
        "/parts/10/ways",
        "Nozzle can never come off: it is held by Outlet cap, and nothing frees that. Break the ring.",
      ],
    ],
  ],
  [
    "a part without a way",
    (sheet) => {
      part(sheet, "cap").ways = [];
    },
    [
      [
        "/parts/7/ways",
        "Outlet cap has no way off and is not marked as staying. Say how it comes off, or that it stays.",
      ],
    ],
  ],
  [
    "a part that does not go back",
    (sheet) => {
      delete part(sheet, "cap").fit;
    },
    [
      [
        "/parts/7/fit",
        "Outlet cap comes off but nothing says how it goes back. Add its fit and end condition.",
      ],
    ],
  ],
  [
    "a fastener without a tool",
    (sheet) => {
      part(sheet, "gland-bolts").ways[0]!.tools = [];
    },
    [["/parts/2/ways/0/tools", "Gland bolts is a fastener (hex 16 mm): name the tool that turns it."]],
  ],
  [
    "all of the bolts staying in until it is cracked",
    (sheet) => {
      part(sheet, "gland-bolts").ways[0]!.stayUntilCracked = 6;
    },
    [["/parts/2/ways/0/stayUntilCracked", "6 of 6 cannot stay in: at least one has to come out."]],
  ],
  [
    "all but one staying in",
    (sheet) => {
      part(sheet, "gland-bolts").ways[0]!.stayUntilCracked = 5;
    },
    [],
  ],
  [
    "a hammer and an impact driver on brittle iron",
    (sheet) => {
      sheet.tools.push(
        { id: "hammer", name: "Hammer", class: "hammer" },
        { id: "driver", name: "IMPACT driver", class: "impact-driver" },
      );
      part(sheet, "gland-plate").ways[0]!.tools.push("hammer", "driver");
    },
    [
      [
        "/parts/3/ways/0/tools/0",
        "Gland plate is brittle: a hammer or an impact tool breaks it. Use heat, oil and a steady pull.",
      ],
      ["/parts/3/ways/0/tools/0", "Hammer is used on Gland plate, where it is forbidden. Name another tool."],
      [
        "/parts/3/ways/0/tools/1",
        "Gland plate is brittle: a hammer or an impact tool breaks it. Use heat, oil and a steady pull.",
      ],
    ],
  ],
  [
    "a pipe wrench on soft brass",
    (sheet) => {
      sheet.tools.push({ id: "pipe-wrench", name: "Pipe wrench", class: "pipe-wrench" });
      part(sheet, "stem-nut").ways[0]!.tools.push("pipe-wrench");
    },
    [
      [
        "/parts/0/ways/0/tools/2",
        "Pipe wrench is used on Stem-end nut, where it is forbidden. Name another tool.",
      ],
    ],
  ],
  [
    "grease and locker that are not among the supplies",
    (sheet) => {
      part(sheet, "stem-ring").fit!.surface = { kind: "lubricate", with: "lard", where: "all over" };
      part(sheet, "stem-nut").fit!.thread = { kind: "locker", grade: "medium", with: "lard", why: "x" };
    },
    [
      ["/parts/0/fit/thread/with", 'There is no supply "lard" in this sheet. Add it to the supplies.'],
      ["/parts/1/fit/surface/with", 'There is no supply "lard" in this sheet. Add it to the supplies.'],
    ],
  ],
  [
    "silicone grease on silicone rubber",
    (sheet) => {
      part(sheet, "stem-ring").material = "silicone";
      sheet.supplies.find((s) => s.id === "food-grease")!.base = "silicone";
    },
    [["/parts/1/fit/surface/with", "Stem ring: silicone grease swells silicone rubber. Use another base."]],
  ],
  [
    "locker on plastic",
    (sheet) => {
      part(sheet, "stem-ring").material = "plastic";
      sheet.supplies.find((s) => s.id === "food-grease")!.base = "anaerobic";
    },
    [["/parts/1/fit/surface/with", "Stem ring: anaerobic locker cracks plastic. Leave it off."]],
  ],
  [
    "anti-seize that locks, on what has to",
    (sheet) => {
      part(sheet, "stem-nut").fit!.thread = { kind: "anti-seize", with: "locker-medium", why: "x" };
    },
    [
      [
        "/parts/0/fit/thread/with",
        "Stem-end nut: Threadlocker, medium locks, and the thread has to release. Choose an anti-seize paste.",
      ],
      [
        "/parts/0/fit/thread",
        "Stem-end nut has to lock, but anti-seize goes on its thread. Use locker, or let it release.",
      ],
    ],
  ],
  [
    "locker that is grease",
    (sheet) => {
      part(sheet, "stem-nut").fit!.thread = {
        kind: "locker",
        grade: "medium",
        with: "food-grease",
        why: "x",
      };
    },
    [
      [
        "/parts/0/fit/thread/with",
        "Stem-end nut: Food-grade grease does not lock: locker is anaerobic. Choose a threadlocker, or say anti-seize.",
      ],
    ],
  ],
  [
    "a thread left dry",
    (sheet) => {
      part(sheet, "stem-nut").fit!.thread = { kind: "dry", why: "x" } as never;
    },
    [],
  ],
  [
    "a joint that is to lock and to release",
    (sheet) => {
      part(sheet, "gland-bolts").fit!.joint = ["lock", "release"];
    },
    [
      [
        "/parts/2/fit/joint",
        "Gland bolts is to lock and to release: decide which; locker and anti-seize on one thread undo each other.",
      ],
      [
        "/parts/2/fit/thread",
        "Gland bolts has to lock, but anti-seize goes on its thread. Use locker, or let it release.",
      ],
    ],
  ],
  [
    "locker on what must release",
    (sheet) => {
      part(sheet, "gland-bolts").fit!.thread = {
        kind: "locker",
        grade: "high",
        with: "locker-medium",
        why: "x",
      };
    },
    [
      [
        "/parts/2/fit/thread",
        "Gland bolts has to release, but locker goes on its thread. Use anti-seize, or let it lock.",
      ],
    ],
  ],
  [
    "anti-seize on what must lock",
    (sheet) => {
      part(sheet, "gland-bolts").fit!.joint = ["lock"];
    },
    [
      [
        "/parts/2/fit/thread",
        "Gland bolts has to lock, but anti-seize goes on its thread. Use locker, or let it release.",
      ],
    ],
  ],
  [
    "a torque above the limit",
    (sheet) => {
      (part(sheet, "stem-nut").fit!.end as { torque_Nm: number }).torque_Nm = 90;
    },
    [["/parts/0/fit/end/torque_Nm", "90 N·m is above this part's limit of 55 N·m."]],
  ],
  [
    "a torque at the limit",
    (sheet) => {
      const e = part(sheet, "stem-nut").fit!.end as { torque_Nm: number; maximum_Nm: number };
      e.torque_Nm = e.maximum_Nm;
    },
    [],
  ],
  [
    "a torque without a wrench",
    (sheet) => {
      part(sheet, "stem-nut").fit!.tools = ["hydrant-key"];
    },
    [["/parts/0/fit/tools", "Stem-end nut goes back to a torque, but no torque wrench is among its tools."]],
  ],
  [
    "a kit that is wrong in every field",
    (sheet) => {
      part(sheet, "disc").quantity = 2;
      sheet.kits[0]!.contents.push({ part: "ghost", quantity: 1 });
      sheet.kits[0]!.contents.push({ part: "collars", quantity: 2 });
      sheet.kits[0]!.generations = ["Z"];
    },
    [
      ["/kits/0/contents/0/quantity", "The valve has 2 of Outlet disc; this kit brings 1."],
      ["/kits/0/contents/5/part", 'There is no part "ghost". Add it or correct the name.'],
      ["/kits/0/contents/6", "Collars is marked as in no kit, yet this kit has it."],
      ["/kits/0/generations", 'There is no generation "Z" in this sheet.'],
      ["/kits/1/contents/0/quantity", "The valve has 2 of Outlet disc; this kit brings 1."],
    ],
  ],
  [
    "parts used once that nobody sells",
    (sheet) => {
      sheet.singles = [];
      sheet.kits = [];
    },
    [
      ["/parts/4/oneUse", "Gland gasket is used once, but no kit brings it and it is not sold singly."],
      ["/parts/11/oneUse", "Nozzle gasket is used once, but no kit brings it and it is not sold singly."],
      ["/parts/15/oneUse", "Friction ring is used once, but no kit brings it and it is not sold singly."],
    ],
  ],
  [
    "a stack that does not count up",
    (sheet) => {
      part(sheet, "cap").pieces = [
        { name: "Ring", kind: "ring", height_mm: 3 },
        { name: "Spacer", kind: "sleeve", height_mm: 5 },
      ] as never;
    },
    [
      [
        "/parts/7/pieces",
        "Outlet cap lists 2 pieces, but its quantity is 1. Make them agree: the count on site goes by it.",
      ],
    ],
  ],
  [
    "grease on what is dry by design",
    (sheet) => {
      part(sheet, "friction-ring").fit!.surface = {
        kind: "lubricate",
        with: "food-grease",
        where: "all over",
      };
    },
    [
      [
        "/parts/15/fit/surface",
        "Friction ring is dry by design (it is the brake that stops the disc spinning in the flow), yet its fit greases it. Take one of the two out.",
      ],
    ],
  ],
  [
    "a torque wrench that pulls up to less than from",
    (sheet) => {
      const wrench = sheet.tools.find((each) => each.id === "torque")!;
      Object.assign(wrench, { least_Nm: 100, most_Nm: 10 });
    },
    [
      [
        "/tools/8/most_Nm",
        "Torque wrench has to pull up to more than it pulls from. Give the most it pulls to, above the least.",
      ],
    ],
  ],
  [
    "a look-alike of the same size",
    (sheet) => {
      part(sheet, "disc").lookAlikes![0]!.features = [
        { name: "outside diameter", value: "103 mm", nominal_mm: 103, tolerance_mm: 0.8 },
      ];
    },
    [
      [
        "/parts/12/lookAlikes/0/features",
        "Nothing tells the disc of generation A from Outlet disc. Give both the same feature with values that differ by more than can be misread.",
      ],
    ],
  ],
  [
    "a look-alike of the same mark",
    (sheet) => {
      const d = part(sheet, "disc");
      d.features = [{ name: "colour", value: "red" }];
      d.lookAlikes = [{ name: "Other", why: "x", features: [{ name: "colour", value: "red" }] }] as never;
    },
    [
      [
        "/parts/12/lookAlikes/0/features",
        "Nothing tells Other from Outlet disc. Give both the same feature with values that differ by more than can be misread.",
      ],
    ],
  ],
  [
    "a look-alike of another mark",
    (sheet) => {
      const d = part(sheet, "disc");
      d.features = [{ name: "colour", value: "red" }];
      d.lookAlikes = [{ name: "Other", why: "x", features: [{ name: "colour", value: "blue" }] }] as never;
    },
    [],
  ],
  [
    "a look-alike told by what the part does not have",
    (sheet) => {
      const d = part(sheet, "disc");
      d.features = [{ name: "colour", value: "red" }];
      d.lookAlikes = [{ name: "Other", why: "x", features: [{ name: "weight", value: "blue" }] }] as never;
    },
    [
      [
        "/parts/12/lookAlikes/0/features",
        "Nothing tells Other from Outlet disc. Give both the same feature with values that differ by more than can be misread.",
      ],
    ],
  ],
  [
    "sizes that cannot be misread for one another",
    (sheet) => {
      const d = part(sheet, "disc");
      d.features = [{ name: "bore", value: "10 mm", nominal_mm: 10, tolerance_mm: 0.2 }];
      d.lookAlikes = [
        {
          name: "Other",
          why: "x",
          features: [{ name: "bore", value: "10.5 mm", nominal_mm: 10.5, tolerance_mm: 0.2 }],
        },
      ] as never;
    },
    [],
  ],
  [
    "sizes that can",
    (sheet) => {
      const d = part(sheet, "disc");
      d.features = [{ name: "bore", value: "10 mm", nominal_mm: 10, tolerance_mm: 0.3 }];
      d.lookAlikes = [
        {
          name: "Other",
          why: "x",
          features: [{ name: "bore", value: "10.5 mm", nominal_mm: 10.5, tolerance_mm: 0.2 }],
        },
      ] as never;
    },
    [
      [
        "/parts/12/lookAlikes/0/features",
        "Nothing tells Other from Outlet disc. Give both the same feature with values that differ by more than can be misread.",
      ],
    ],
  ],
  [
    "a build that the sheet does not have, told by a look that it does not offer",
    (sheet) => {
      sheet.capture[0]!.byBuild = { bayonet: "To the sea", flanged: "To the quay" };
    },
    [
      [
        "/capture/0/byBuild/bayonet",
        '"To the sea" is none of the choices: To the road, To the quay, Along the kerb.',
      ],
      ["/capture/0/byBuild/flanged", 'This sheet has no build "flanged". Name one of bayonet, threaded.'],
    ],
  ],
  [
    "a note confirmed at no part",
    (sheet) => {
      sheet.capture[0]!.confirmAfter = "ghost";
    },
    [["/capture/0/confirmAfter", 'There is no part "ghost". Add it or correct the name.']],
  ],
  [
    "a note that has to be what nobody can choose, and shows behind no part",
    (sheet) => {
      sheet.capture[0]!.right = "Up";
      sheet.capture[0]!.choices = ["Left", "Right"];
      sheet.capture[0]!.needsOff = ["ghost"];
    },
    [
      ["/capture/0/needsOff/0", 'There is no part "ghost". Add it or correct the name.'],
      ["/capture/0/right", '"Up" is none of the choices: Left, Right.'],
    ],
  ],
  [
    "a card that contradicts itself",
    (sheet) => {
      sheet.checks[0]!.needs = { in: ["water"], shut: ["water"], off: ["cap"], loose: ["cap"] };
      sheet.checks[0]!.moves = { shuts: ["cold"] };
    },
    [
      ["/checks/0/needs/shut", '"water" cannot be in and still shut for one card. Take one of the two out.'],
      ["/checks/0/needs/off", '"cap" cannot be off and in for one card. Take one of the two out.'],
      [
        "/checks/0/moves/shuts",
        '"cold" can be shut for this card only when it is in: add it to what comes in again.',
      ],
    ],
  ],
  [
    "an order of fitting with a part that stays, and a cover nobody knows",
    (sheet) => {
      sheet.rebuild = ["body", "cap"];
      sheet.position!.under = ["ghost"];
    },
    [
      ["/position/under/0", 'There is no part "ghost". Add it or correct the name.'],
      ["/rebuild/0", "Body stays in the valve: name a part that comes off, or say how this one does."],
    ],
  ],
  [
    "steam let out at the cover",
    (sheet) => {
      sheet.isolation.medium = "steam";
      sheet.release = [
        { rung: "port", do: "Open." },
        { rung: "cover", do: "Crack it." },
      ];
    },
    [
      [
        "/release/1/rung",
        "steam is never let out at the cover. Name a port, a gauge valve or a fitting, or leave this rung out.",
      ],
    ],
  ],
  [
    "water let out at the cover",
    (sheet) => {
      sheet.release = [{ rung: "cover", do: "Crack it." }];
    },
    [],
  ],
  [
    "a unit of another kind",
    (sheet) => {
      const c = collar(sheet);
      c.unit = "bar";
    },
    [["/checks/5/unit", '"bar" is not a unit of length. Write one that is, e.g. mm, bar g, °C.']],
  ],
  [
    "a measurement without a limit",
    (sheet) => {
      const c = collar(sheet);
      delete c.low;
      delete c.high;
    },
    [["/checks/5", "A measurement needs a low or a high limit."]],
  ],
  [
    "limits that meet",
    (sheet) => {
      const c = collar(sheet);
      c.low = c.high;
    },
    [["/checks/5/low", "The low limit is not below the high one."]],
  ],
  [
    "limits that say nothing",
    (sheet) => {
      const c = collar(sheet);
      delete c.below;
      delete c.above;
    },
    [
      ["/checks/5/below", "Say what a reading under the low limit means."],
      ["/checks/5/above", "Say what a reading over the high limit means."],
    ],
  ],
  [
    "a plain number in whatever it is counted",
    (sheet) => {
      const c = collar(sheet);
      c.dimension = "number";
      c.unit = "furlong";
    },
    [],
  ],
  [
    "a way for an unknown build",
    (sheet) => {
      part(sheet, "cap").ways[0]!.builds = ["submarine"];
    },
    [
      ["/parts/7/ways/0/builds", 'There is no build "submarine" in this sheet.'],
      [
        "/parts/8/ways",
        "Cap gasket can never come off on build Bayonet nozzle: it is held by Outlet cap, and nothing frees that. Break the ring.",
      ],
      [
        "/parts/10/ways",
        "Nozzle can never come off on build Bayonet nozzle: it is held by Outlet cap, and nothing frees that. Break the ring.",
      ],
      [
        "/parts/8/ways",
        "Cap gasket can never come off on build Threaded nozzle: it is held by Outlet cap, and nothing frees that. Break the ring.",
      ],
      [
        "/parts/10/ways",
        "Nozzle can never come off on build Threaded nozzle: it is held by Outlet cap, and nothing frees that. Break the ring.",
      ],
    ],
  ],
  [
    "petroleum grease on EPDM",
    (sheet) => {
      part(sheet, "stem-ring").material = "epdm";
      for (const each of sheet.parts) delete each.potable;
      sheet.supplies[0]!.base = "petroleum";
    },
    [
      [
        "/parts/1/fit/surface/with",
        "Stem ring: petroleum grease swells EPDM. Use silicone or food-grade grease.",
      ],
    ],
  ],
  [
    "the same part twice",
    (sheet) => sheet.parts.push(structuredClone(sheet.parts[3]!)),
    [["/parts/16/id", '"gland-plate" is used twice. Give each its own id.']],
  ],
  [
    "a low limit turned round",
    (sheet) => {
      collar(sheet).low = 20;
    },
    [["/checks/5/low", "The low limit is not below the high one."]],
  ],
];

describe("all that is said of a sheet with", () => {
  it.each(CHANGES)("%s", (_name, change, said) => {
    const sheet = structuredClone(wet);
    change(sheet);
    expect(checkSheet(sheet).map(({ path, message }) => [path, message])).toEqual(said);
  });
});
