import { describe, expect, it } from "vitest";
import type { Line, Sheet } from "../formats";
import { lineOf, node, pipe, valve } from "../isolation/isolation.fixtures";
import { librarySheet } from "../job/job.fixtures";
import { type Act, differences, perform, siteOf, type Truth, World } from ".";

/** A hydrant on a main with a drain and a vent, two ways in, and a zone of fire protection behind it. */
const main = lineOf(
  [
    node("S", "source", { pressure_bar: 5 }),
    node("N", "source", { pressure_bar: 4 }),
    node("J"),
    node("D", "drain"),
    node("V", "vent"),
    node("H", "consumer", { asset: "H-1", hydrant: true }),
    node("Z", "consumer", { protects: true }),
    node("U", "consumer"),
  ],
  [
    valve("A", "S", "J"),
    valve("B", "N", "J"),
    pipe("jd", "J", "D"),
    pipe("jv", "J", "V"),
    pipe("jh", "J", "H"),
    pipe("jz", "J", "Z"),
    valve("C", "J", "U"),
  ],
);
const hydrant = librarySheet("brae-quaywall-4");

function worldOn(
  { line = main, sheet = hydrant, held }: { line?: Line; sheet?: Sheet; held?: [string, string][] } = {},
  truth?: Truth,
): World {
  const site = siteOf({
    sheet,
    line,
    at: "H-1",
    build: "bayonet",
    ...(held !== undefined && { held: new Map(held.map(([link, job]) => [link, { job }])) }),
  });
  return new World(site, truth);
}
/** Does acts one after the other. @returns the kinds of harm of the last, or of all */
function doing(world: World, ...acts: readonly Act[]): string[] {
  let last: string[] = [];
  for (const act of acts) last = perform(world, act).map((harm) => harm.kind);
  return last;
}
const TOLD: Act = { do: "tell", nodes: ["H", "Z", "U"] };
const DEAD: readonly Act[] = [
  TOLD,
  { do: "shut", link: "A" },
  { do: "lock", at: "A" },
  { do: "shut", link: "B" },
  { do: "lock", at: "B" },
  { do: "open-point", node: "D" },
  { do: "drain", node: "D" },
];
const ZERO: Act = { do: "read-zero", node: "H", bound_bar: 0 };
const off = (part: string, more: Partial<Extract<Act, { do: "take-off" }>> = {}): Act => ({
  do: "take-off",
  part,
  tools: [],
  warned: true,
  ...more,
});

describe("the line", () => {
  it("goes out only when the last way in is shut, and whoever was not told is said once", () => {
    const world = worldOn();
    expect(doing(world, { do: "shut", link: "A" })).toEqual([]);
    expect(doing(world, { do: "shut", link: "B" })).toEqual([
      "fire-protection-out-unsaid",
      "fire-protection-out-unsaid",
      "service-out-unsaid",
    ]);
    expect(doing(world, { do: "shut", link: "C" })).toEqual([]);
    expect(doing(worldOn(), ...DEAD)).toEqual([]);
  });

  it("lets out at a point that stands open on what is live, and not where it is the vent that fills", () => {
    expect(doing(worldOn(), { do: "open-point", node: "D" })).toEqual(["let-out"]);
    const open = (airOut?: string): Act => ({
      do: "open",
      link: "A",
      crack: true,
      ...(airOut !== undefined && { airOut }),
    });
    expect(doing(worldOn(), ...DEAD, open())).toEqual(["let-out"]);
    const vented: readonly Act[] = [
      ...DEAD,
      { do: "shut-point", node: "D" },
      { do: "open-point", node: "V" },
    ];
    expect(doing(worldOn(), ...vented, open("V"))).toEqual([]);
    expect(doing(worldOn(), ...vented, open())).toEqual(["let-out"]);
  });

  it("stays under pressure when it is shut in and nothing lets it out: the gate does not open", () => {
    const world = worldOn();
    doing(world, TOLD, { do: "shut", link: "A" }, { do: "shut", link: "B" }, ZERO);
    expect(world.halted).toBe(true);
    const drained = worldOn();
    doing(drained, ...DEAD, ZERO);
    expect(drained.halted).toBe(false);
  });

  it("shows a closure that passes after a wait, unless it runs out unseen", () => {
    const shut: Act = { do: "shut-point", node: "D" };
    const wait: Act = { do: "wait", minutes: 10, for: "the-section" };
    const passing = worldOn({}, { kind: "passes", link: "A" });
    expect(doing(passing, ...DEAD, ZERO, shut, wait)).toEqual([]);
    expect(passing.bar("H")).toBe(5);
    doing(passing, ZERO);
    expect(passing.halted).toBe(true);
    const unseen = worldOn({}, { kind: "passes", link: "A" });
    expect(doing(unseen, ...DEAD, ZERO, wait)).toEqual(["wait-shows-nothing"]);
  });

  it("a gauge that reads low is believed", () => {
    const low = worldOn({}, { kind: "gauge-reads-low", bar: 6 });
    doing(low, TOLD, { do: "shut", link: "A" }, { do: "shut", link: "B" }, ZERO);
    expect(low.halted).toBe(false);
  });

  it("keeps its hands off what another job holds", () => {
    const world = worldOn({ held: [["B", "job-2"]] });
    expect(doing(world, { do: "open", link: "B", crack: true })).toEqual(["anothers-lock"]);
    expect(doing(worldOn({ held: [["B", "job-2"]] }), TOLD, { do: "shut", link: "A" })).toEqual([]);
  });
});

describe("the joint", () => {
  const crack: Act = { do: "crack", part: "gland-bolts" };

  it("is opened on a proven zero behind locked ways in, and on nothing else", () => {
    expect(doing(worldOn(), ...DEAD, ZERO, crack)).toEqual([]);
    expect(doing(worldOn(), ...DEAD, crack)).toEqual(["zero-not-proven"]);
    expect(doing(worldOn(), crack)).toEqual(["opened-under-pressure"]);
    const unlocked = DEAD.filter((act) => act.do !== "lock");
    expect(doing(worldOn(), ...unlocked, ZERO, crack)).toEqual(["not-locked", "not-locked"]);
  });

  it("a zero holds until pressure comes back", () => {
    const again: readonly Act[] = [
      { do: "shut-point", node: "D" },
      { do: "open", link: "A", crack: true },
      { do: "shut", link: "A" },
      { do: "open-point", node: "D" },
    ];
    expect(doing(worldOn(), ...DEAD, ZERO, ...again, crack)).toEqual(["zero-not-proven"]);
  });

  it("what is caught behind it shows when it is cracked, and flies out where it is not", () => {
    const caught: Truth = { kind: "caught", bar: 2 };
    const cracked = worldOn({}, caught);
    expect(doing(cracked, ...DEAD, ZERO, crack)).toEqual([]);
    expect(cracked.halted).toBe(true);
    expect(doing(worldOn({}, caught), ...DEAD, ZERO, off("gland-bolts"))).toContain("opened-under-pressure");
  });

  it("runs out when the line comes back to an open valve", () => {
    const world = worldOn();
    doing(world, ...DEAD, ZERO, crack, { do: "shut-point", node: "D" });
    expect(doing(world, { do: "open", link: "A", crack: true })).toContain("let-out");
  });
});

describe("the valve", () => {
  const dead = () => {
    const world = worldOn();
    doing(world, ...DEAD, ZERO, { do: "crack", part: "gland-bolts" }, off("stem-nut"), off("stem-ring"));
    return world;
  };

  it("a part comes off when nothing holds it, once, and goes in when it is off", () => {
    expect(doing(dead(), off("gland-plate"))).toContain("cannot-be-done");
    expect(doing(dead(), off("gland-bolts"), off("gland-plate"))).toEqual([]);
    expect(doing(dead(), off("gland-bolts"), off("gland-bolts"))).toContain("cannot-be-done");
    expect(doing(dead(), { do: "put-on", part: "gland-plate", fresh: false })).toEqual(["cannot-be-done"]);
    expect(doing(dead(), { do: "put-on", part: "propeller", fresh: true })).toEqual(["cannot-be-done"]);
  });

  it("a seal that lay open is not closed on, and not put back", () => {
    const world = dead();
    doing(world, off("gland-bolts"), off("gland-plate"));
    const gasket = [...world.valve.uncovered];
    expect(gasket).toContain("gland-gasket");
    expect(doing(world, { do: "put-on", part: "gland-plate", fresh: false })).toEqual(["used-seal"]);
    const renewed = dead();
    const acts: readonly Act[] = [off("gland-bolts"), off("gland-plate"), off("gland-gasket")];
    doing(renewed, ...acts);
    expect(doing(renewed, { do: "put-on", part: "gland-gasket", fresh: false })).toEqual(["used-seal"]);
    const unbrought = dead();
    doing(unbrought, ...acts);
    expect(doing(unbrought, { do: "put-on", part: "gland-gasket", fresh: true })).toEqual(["not-brought"]);
    const fresh = dead();
    doing(fresh, { do: "bring", parts: ["gland-gasket"] }, ...acts);
    expect(doing(fresh, { do: "put-on", part: "gland-gasket", fresh: true })).toEqual([]);
  });

  it("a wrench shows what lies in its range", () => {
    const tighten = (least_Nm: number, most_Nm: number): Act => ({
      do: "tighten",
      part: "gland-bolts",
      least_Nm,
      most_Nm,
      tools: ["torque"],
    });
    expect(doing(worldOn(), tighten(5, 60))).toEqual([]);
    expect(doing(worldOn(), tighten(4, 18))).toEqual(["out-of-the-wrench"]);
    expect(doing(worldOn(), tighten(18, 61))).toEqual(["out-of-the-wrench"]);
    expect(doing(dead(), off("gland-bolts"), tighten(5, 18))).toEqual(["cannot-be-done"]);
  });

  it("what harms a part is not in the hand", () => {
    const hammer = { id: "hammer", class: "hammer" } as const;
    expect(doing(dead(), off("gland-bolts"), off("gland-plate", { tools: [hammer] }))).toEqual([
      "forbidden-tool",
    ]);
  });

  it("what was moved is noted too late", () => {
    expect(doing(worldOn(), { do: "note", mark: "facing" })).toEqual([]);
    expect(doing(dead(), off("gland-bolts"), { do: "note", mark: "facing" })).toEqual(["asked-too-late"]);
    expect(doing(worldOn(), { do: "confirm", mark: "facing" })).toEqual(["asked-too-late"]);
  });
});

describe("who relies on it", () => {
  it("is told back when it is fed, and tested before", () => {
    const back: readonly Act[] = [
      { do: "shut-point", node: "D" },
      { do: "unlock", at: "A" },
      { do: "open", link: "A", crack: true },
      { do: "unlock", at: "B" },
      { do: "open", link: "B", crack: true },
    ];
    const tell: Act = { do: "tell-back", nodes: ["H", "Z", "U"] };
    expect(doing(worldOn(), ...DEAD, tell)).toHaveLength(3);
    const world = worldOn();
    expect(doing(world, ...DEAD, ...back, { do: "test", check: "flow" }, tell, { do: "sign" })).toEqual([]);
    expect(differences(world)).toEqual([]);
    expect(doing(world, { do: "test", check: "late" })).toEqual(["told-back-before-test"]);
  });

  it("is not signed away while it goes without, whoever shut what", () => {
    expect(doing(worldOn(), ...DEAD, { do: "sign" })).toEqual([
      "signed-while-out",
      "signed-while-out",
      "signed-while-out",
    ]);
    const others = worldOn({
      held: [
        ["A", "job-2"],
        ["B", "job-3"],
      ],
    });
    // Its own place has nothing; who else hangs on those valves is the business of the jobs that hold them.
    expect(doing(others, { do: "sign" })).toEqual(["signed-while-out"]);
  });
});

it("at the end everything stands as service wants it, or is named", () => {
  const world = worldOn();
  doing(world, ...DEAD, ZERO, { do: "crack", part: "gland-bolts" }, off("gland-bolts"), {
    do: "stop-pump",
    link: "P",
  });
  const kinds = differences(world).map((each) => each.kind);
  expect(new Set(kinds)).toEqual(
    new Set(["link", "locked", "point-open", "pump-stopped", "part-off", "without-service"]),
  );
});
