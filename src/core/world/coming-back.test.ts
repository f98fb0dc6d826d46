import { describe, expect, it } from "vitest";
import type { Line, Medium, Sheet } from "../formats";
import { lineOf, node, pipe, valve } from "../isolation/isolation.fixtures";
import { librarySheet } from "../job/job.fixtures";
import { type Act, differences, perform, siteOf, World } from ".";

const worldOn = (line: Line, sheet: Sheet, at: string) => new World(siteOf({ sheet, line, at }));
/** Does acts one after the other. @returns the kinds of harm of them all */
const doing = (world: World, ...acts: readonly Act[]): string[] =>
  acts.flatMap((act) => perform(world, act).map((harm) => harm.kind));
const open = (link: string): Act => ({ do: "open", link, crack: true });
const shut = (link: string): Act => ({ do: "shut", link });
const on = (link: string): Act => ({ do: "switch-on", link });

describe("a refrigerant comes back", () => {
  /** Liquid on one side, suction on the other, and a gauge valve at what was opened. */
  const cold = (medium: Medium): Line =>
    lineOf(
      [
        node("L", "source", { pressure_bar: 20, stream: "liquid" }),
        node("S", "source", { pressure_bar: 3, stream: "suction" }),
        node("V", "junction", { asset: "V" }),
        node("G", "vent"),
      ],
      [
        valve("A", "L", "V", { stream: "liquid" }),
        valve("B", "S", "V", { stream: "suction" }),
        pipe("g", "V", "G"),
      ],
      { medium },
    );
  const sheet = librarySheet("pell-frostgate-32");
  /** Shut off, run out through the gauge valve, and shut in again: it holds air at nothing. */
  const opened = (medium: Medium) => {
    const world = worldOn(cold(medium), sheet, "V");
    doing(world, { do: "tell", nodes: ["V"] }, shut("A"), shut("B"), { do: "open-point", node: "G" });
    doing(world, { do: "drain", node: "G" }, { do: "shut-point", node: "G" });
    return world;
  };
  const evacuate: Act = { do: "evacuate", node: "G" };
  const charge = (to_bar: number): Act => ({ do: "charge", node: "G", to_bar });

  it("with its air still in, it is named whatever opens it", () => {
    expect(doing(opened("ammonia"), open("B"))).toEqual(["air-left-in"]);
    expect(doing(opened("ammonia"), evacuate, open("B"))).toEqual([]);
  });

  it("a vacuum is drawn only of what is shut to the outside", () => {
    const world = opened("ammonia");
    expect(doing(world, { do: "open-point", node: "G" }, evacuate)).toEqual([]);
    expect(doing(world, { do: "shut-point", node: "G" }, open("B"))).toEqual(["air-left-in"]);
  });

  it("liquid ammonia flashes into a place without pressure, and not into vapour", () => {
    expect(doing(opened("ammonia"), evacuate, open("A"))).toEqual(["hits-empty"]);
    expect(doing(opened("ammonia"), evacuate, open("B"), open("A"))).toEqual([]);
  });

  it.each([
    [0, ["ice"]],
    [4, ["ice"]],
    // The triple point: 5.18 bar abs.
    [4.2, []],
    [7, []],
  ])("liquid CO2 into %s bar g of vapour: %j", (bar, harms) => {
    expect(doing(opened("co2"), evacuate, charge(bar), open("A"))).toEqual(harms);
  });

  it("vapour is not let in at what stands open", () => {
    const world = opened("co2");
    expect(doing(world, evacuate, { do: "open-point", node: "G" }, charge(7))).toEqual(["let-out"]);
  });

  it("a gate that reads too little stops the work, without harm", () => {
    const gate: Act = { do: "read-above", node: "G", bound_bar: 7 };
    const low = opened("co2");
    expect(doing(low, evacuate, charge(3), gate)).toEqual([]);
    expect(low.halted).toBe(true);
    const high = opened("co2");
    doing(high, evacuate, charge(7), gate);
    expect(high.halted).toBe(false);
  });

  it("a card that needs pressure finds none, and says so", () => {
    const expected: Act = { do: "expect", open: [], shut: ["A"], fed: ["V"], off: [], fitted: [], loose: [] };
    expect(doing(opened("co2"), expected)).toEqual(["not-so"]);
    expect(doing(opened("co2"), evacuate, charge(7), expected)).toEqual([]);
  });

  it("a vessel of CO2 is drawn down to nothing only without its liquid", () => {
    const vessel = () => worldOn(cold("co2"), sheet, "V");
    const down: Act = { do: "pump-down", node: "V" };
    expect(doing(vessel(), down)).toEqual(["ice"]);
    expect(doing(vessel(), { do: "let-liquid-out", node: "V" }, down)).toEqual([]);
    expect(doing(worldOn(cold("ammonia"), sheet, "V"), down)).toEqual([]);
  });
});

describe("a mixer comes back", () => {
  const bath = lineOf(
    [
      node("C", "source", { pressure_bar: 3, stream: "cold" }),
      node("H", "source", { pressure_bar: 3, stream: "hot" }),
      node("P", "source", { medium: "electricity" }),
      node("M", "junction", { asset: "M", stream: "mixed", with: ["E"] }),
      node("E", "consumer", { medium: "electricity" }),
      node("U", "consumer"),
    ],
    [
      valve("VC", "C", "M", { stream: "cold" }),
      valve("VH", "H", "M", { stream: "hot" }),
      valve("VM", "M", "U", { stream: "mixed" }),
      valve("Q", "P", "E", { medium: "electricity" }),
    ],
  );
  const sheet = librarySheet("ottermouth-spoolmix-25");
  /** Shut off on all sides, opened and whole again. */
  const serviced = () => {
    const world = worldOn(bath, sheet, "M");
    doing(world, { do: "tell", nodes: ["M", "U", "E"] }, { do: "switch-off", link: "Q" });
    doing(world, shut("VH"), shut("VC"), shut("VM"), { do: "read-zero", node: "M", bound_bar: 0 });
    world.wasOpen = true;
    return world;
  };
  const measured: Act = { do: "test", check: "mixed-temp" };
  const whole: readonly Act[] = [open("VC"), open("VH"), on("Q"), measured, open("VM")];

  it("its outlet opens once it has power and its temperature is proven", () => {
    expect(doing(serviced(), ...whole)).toEqual([]);
  });

  it.each([
    ["before the temperature is proven", [open("VC"), open("VH"), on("Q"), open("VM")]],
    ["without power", [open("VC"), open("VH"), measured, open("VM")]],
    ["before the hot, that then runs through", [open("VC"), on("Q"), open("VM"), open("VH")]],
  ] as const)("%s somebody can be scalded", (_, acts) => {
    expect(doing(serviced(), ...acts)).toEqual(["scald"]);
  });

  it("one that was never opened scalds nobody", () => {
    expect(doing(worldOn(bath, sheet, "M"), shut("VM"), open("VM"))).not.toContain("scald");
  });
});

describe("a pre-action set comes back", () => {
  const shed = lineOf(
    [
      node("W", "source", { pressure_bar: 5 }),
      node("A", "source", { pressure_bar: 1.4, medium: "air" }),
      node("N", "junction", { asset: "N", with: ["NA"] }),
      node("NA", "junction", { medium: "air" }),
    ],
    [valve("VW", "W", "N"), valve("VA", "A", "NA", { medium: "air" })],
  );
  const sheet = librarySheet("quillon-watchair-1");
  const off = () => {
    const world = worldOn(shed, sheet, "N");
    doing(world, { do: "tell", nodes: ["N", "NA"] }, shut("VW"), shut("VA"));
    return world;
  };

  it("its air first, then the water it holds", () => {
    expect(doing(off(), open("VA"), open("VW"))).toEqual([]);
    expect(doing(off(), open("VW"), open("VA"))).toEqual(["trips"]);
  });
});

describe("what covers what has to be moved", () => {
  const stem = (capped: boolean) =>
    node("RS", "three-way", {
      threeWay: {
        positions: [
          { id: "a-off", name: "front", joins: [["c", "b"]] },
          { id: "b-off", name: "back", joins: [["c", "a"]] },
        ],
        normally: "b-off",
        operable: true,
        lockable: true,
        access_min: 3,
        capped,
      },
    });
  const twin = (capped: boolean) =>
    lineOf(
      [
        node("V", "vessel", { pressure_bar: 8 }),
        stem(capped),
        node("RA", "relief", { asset: "RA" }),
        node("RB", "relief"),
      ],
      [pipe("c", "V", "RS"), pipe("a", "RS", "RA"), pipe("b", "RS", "RB")],
      { medium: "ammonia" },
    );
  const sheet = librarySheet("pell-guardian-t2");
  const turn: Act = { do: "turn", node: "RS", to: "a-off" };
  const uncap: Act = { do: "uncap", node: "RS" };

  it("a stem is turned with its cap off, and left with its cap on", () => {
    expect(doing(worldOn(twin(true), sheet, "RA"), turn)).toContain("cannot-be-done");
    expect(doing(worldOn(twin(false), sheet, "RA"), turn)).not.toContain("cannot-be-done");
    const world = worldOn(twin(true), sheet, "RA");
    expect(doing(world, uncap, turn)).not.toContain("cannot-be-done");
    expect(differences(world)).toContainEqual({ kind: "cap-off", node: "RS" });
    doing(world, { do: "turn", node: "RS", to: "b-off" }, { do: "cap", node: "RS" });
    expect(differences(world).map((each) => each.kind)).not.toContain("cap-off");
  });

  it("a spindle is set with its cover off", () => {
    const world = worldOn(twin(false), librarySheet("pell-meter-h20"), "RA");
    const mid: Act = { do: "move", to: "mid" };
    expect(doing(world, mid)).toEqual(["cannot-be-done"]);
    world.valve.off.add("cap");
    expect(doing(world, mid)).toEqual([]);
    expect(doing(world, { do: "test", check: "turns" }, mid)).toEqual(["moved-after-test"]);
  });
});
