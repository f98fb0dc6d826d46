import { expect } from "vitest";
import { checkSheet, stuckLadder } from "@/core/build";
import { caution, partly, type Row, works } from "./row.fixtures";
import { testedIn } from "./shown.fixtures";

/** Vapour radiator valve, heritage: nobody makes its parts. */
export const vapourRadiatorValve: readonly Row[] = [
  works("VRV-01", "An obsolete valve rebuilt", (on) => {
    expect(on.sheet.parts.filter(({ standIn }) => standIn !== undefined).map(({ id }) => id)).toEqual([
      "wheel-screw",
      "wheel",
      "ring-nut",
      "disc-screw",
      "disc",
    ]);
  }),
  works("VRV-02", "Heating surface to a number of the dial", (on) => {
    expect(on.sums(on.card("check", "restrictor-set", "cold"), "cold")).toContain("radiator");
    testedIn("src/core/calculators/steam/radiator.ts", "Dial set to");
  }),
  partly("VRV-03", "Share of the radiator, and its number", "all radiators of a house on one sheet", (on) => {
    expect(on.sums(on.card("check", "restrictor-set", "cold"), "cold")).toContain("radiator");
  }),
  works("VRV-04", "A screw that must not be lost: bagged, photographed", (on) => {
    expect(on.card("strip", "wheel-screw").keep).toBeDefined();
    testedIn("src/words/english/card.ts", "bag it, write the valve's tag on the bag, and photograph it");
  }),
  works("VRV-05", "Lost, it is re-tapped: sizes, tap and die", (on) => {
    expect(on.card("strip", "wheel-screw").standIn).toMatchObject({
      besides: [expect.stringMatching(/10-32/)],
    });
    expect(on.part("wheel-screw").standIn!.sizes.map(({ name }) => name)).toEqual([
      "outside",
      "length",
      "head",
    ]);
  }),
  works("VRV-06", "A seized spindle: no wrench, and a ladder that stops before it shears", (on) => {
    expect(stuckLadder(on.part("spindle"), on.sheet).at(-1)).toMatchObject({ how: "shears", stop: true });
    expect(on.card("strip", "ring-nut").forbidden).toContainEqual(
      expect.objectContaining({ tool: "Pipe wrench" }),
    );
  }),
  works("VRV-07", "Sheared or worn: repaired, rebuilt or a modern valve, weighed", (on) => {
    expect(on.sheet.depths!.map(({ kind }) => kind)).toEqual(["repair", "overhaul", "whole-valve"]);
    testedIn("src/core/depth/weigh.test.ts", "hard access and an old valve make the deeper one cheaper");
  }),
  works("VRV-08", "Castle nut key, or one that is made", (on) => {
    expect(on.card("strip", "ring-nut").tools).toMatchObject([
      { substitutes: [{ name: expect.stringMatching(/made from pipe/) }] },
    ]);
  }),
  caution(
    "VRV-09",
    "Old packing ground out with a hole saw",
    "It may hold asbestos: it is hooked out, with extraction, never ground.",
  ),
  works("VRV-10", "Asbestos by the year it was built in; never skipped", (on) => {
    const old = on.card("check", "asbestos", "weeps");
    expect(old.mayOverride).toBe(false);
    const young = { valve: { ...on.inputs().valve, installed: "2015-01-01" } };
    expect(on.cards("weeps", {}, young).some(({ id }) => id === "check:asbestos")).toBe(false);
  }),
  works("VRV-11", "The spindle proven to move, open, before the top is turned", (on) => {
    on.inOrder(["check:moves", "strip:top"], "shut");
    expect(on.card("soak", "penetrate", "shut", { moves: "stiff" }).minutes).toBe(10);
    expect(on.part("top").ways[0]!.position).toEqual({ before: "open" });
  }),
  works("VRV-12", "The right spanner, in inches too", (on) => {
    expect(on.card("strip", "top", "shut").tools).toMatchObject([
      { size: expect.stringMatching(/1 7\/16 in/) },
    ]);
  }),
  works("VRV-13", "Steam off, held, and cold by a cool-down that is worked out and rings", (on) => {
    expect(on.sums(on.card("check", "body-temp", "shut"), "shut")).toContain("cool-down");
    testedIn("src/core/job/bells.test.ts", "a cool-down that was worked out");
    expect(on.cards("shut").some(({ kind }) => kind === "hold")).toBe(true);
  }),
  works("VRV-14", "Restrictor and washer looked at", (on) => {
    expect(on.check("restrictor-look")).toMatchObject({ part: "restrictor", rubric: "face" });
  }),
  works("VRV-15", "The ring nut that is not made any more", (on) => {
    expect(on.card("strip", "ring-nut", "shut").keep).toMatch(/not made/);
  }),
  works("VRV-16", "A common screw in its place", (on) => {
    expect(on.card("fit", "disc-screw", "shut").standIn).toMatchObject({ name: "M5 pan-head brass screw" });
  }),
  works("VRV-17", "The disc by its sizes, and what it bears", (on) => {
    expect(on.part("disc").standIn).toMatchObject({
      hottest_C: 130,
      sizes: [{ nominal_mm: 26 }, { nominal_mm: 5 }, { nominal_mm: 5.5 }],
    });
  }),
  works("VRV-18", "Washer and nut that go with it", (on) => {
    expect(on.part("disc-screw").standIn!.besides).toHaveLength(2);
  }),
  works("VRV-19", "EPDM and oil: wiped before it goes in, ticked", (on) => {
    expect(on.card("fit", "disc", "shut").wipe).toBe(true);
    const greased = structuredClone(on.sheet);
    greased.parts.find(({ id }) => id === "disc")!.fit!.surface = {
      kind: "lubricate",
      with: "petroleum",
      where: "face",
    };
    expect(
      checkSheet(greased)
        .map(({ message }) => message)
        .join(),
    ).toMatch(/swells EPDM/);
  }),
  works("VRV-20", "The dial found again: an angle, a photograph", (on) => {
    expect(on.card("mark", "swing", "shut")).toMatchObject({
      photo: true,
      figure: { dimension: "angle", tolerance: 5 },
    });
    on.inOrder(["mark:swing", "fit:spindle", "confirm:swing"], "shut");
  }),
  works("VRV-21", "Set to the mark and looked at again", (on) =>
    on.inOrder(["mark:centre", "fit:spindle", "confirm:centre"], "shut"),
  ),
  works("VRV-22", "Packing cord by length and turns", () =>
    testedIn("src/core/calculators/seals/packing.ts", "packing"),
  ),
  works("VRV-23", "A printed wheel, only of what bears steam", (on) => {
    const soft = structuredClone(on.sheet);
    soft.parts.find(({ id }) => id === "wheel")!.standIn!.hottest_C = 98;
    expect(checkSheet(soft).map(({ path }) => path)).toEqual(["/parts/1/standIn/hottest_C"]);
  }),
  works("VRV-24", "How it is made when nobody sells it", (on) => {
    expect(on.part("ring-nut").standIn!.make).toMatch(/lathe/);
  }),
  works("VRV-25", "Vapour on, packing dry, and looked at the next day", (on) => {
    on.inOrder(["check:shuts", "check:packing-leak"], "weeps");
    expect(Object.keys(on.after("weeps").recheck ?? {})).toEqual(["packing-next-day"]);
  }),
];
