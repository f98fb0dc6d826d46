import { expect } from "vitest";
import { depthOf } from "@/core/depth";
import { type Row, works } from "./row.fixtures";
import { testedIn } from "./shown.fixtures";

const OLD = { stops: "Cast on the body" };

/** Swing-out ball valve of a fire engine. */
export const apparatusBall: readonly Row[] = [
  works("ABV-01", "Two scopes: seats and rings, or all of it with the ball", (on) => {
    expect(on.sheet.depths?.map(({ id }) => id)).toEqual(["seats", "ball"]);
    expect(on.renewed("due")).toEqual(expect.arrayContaining(["seat-in", "seat-out", "upper-seal"]));
    expect(on.sheet.kits.find(({ id }) => id === "B-SO3-C")?.contents.map(({ part }) => part)).toContain(
      "ball",
    );
  }),
  works("ABV-02", "By leak and access, with the reason in words", (on) => {
    on.inOrder(["check:triage-where", "check:how-much"]);
    const ask = on.inputs("weeps", { reach: on.sheet.depths![1]!.reach });
    expect(
      depthOf(ask, { id: "ball", leak: "runs", access: "hard", reason: "Hard to get at: once only." }).ok,
    ).toBe(true);
  }),
  works("ABV-03", "New kits go into old bodies, never the reverse", (on) => {
    expect(on.sheet.kits.find(({ id }) => id === "B-SO3-B")?.generations).toBeUndefined();
    expect(on.sheet.kits.find(({ id }) => id === "B-SO3-A")?.generations).toEqual(["A"]);
  }),
  works("ABV-04", "Loose plate or cast stops, drawn; the rim tells the generation", (on) => {
    expect(on.card("mark", "stops").shapes).toBeDefined();
    expect(on.cards("due", OLD).some(({ kind }) => kind === "other-build")).toBe(true);
    expect(on.sheet.capture.find(({ id }) => id === "generation")?.byGeneration).toEqual({
      A: "7.5 mm",
      B: "9 mm",
    });
  }),
  works("ABV-05", "What may stand in for a spanner, on its card", (on) =>
    expect(on.card("strip", "set-a").tools[0]?.substitutes).toContainEqual(
      expect.objectContaining({ name: "5/8 in ring spanner" }),
    ),
  ),
  works("ABV-06", "Handle and stop noted with a photograph, drawn", (on) => {
    expect(on.card("mark", "handle")).toMatchObject({ photo: true, dials: expect.anything() });
    on.inOrder(["mark:handle", "mark:stop-side", "strip:handle"], "due");
  }),
  works("ABV-07", "Engine off, key out, tank shut, every drain open, zero", (on) => {
    expect(on.sheet.isolation.noLine).toMatch(/shut the tank-to-pump valve/);
    on.inOrder(["isolate:by-hand", "release", "prove:again", "crack:set-a"]);
  }),
  works("ABV-08", "All sets from above: which is in hand, which is the hinge", (on) => {
    const sets = on.card("strip", "set-a").drawn?.find(({ kind }) => kind === "sets");
    expect(sets).toMatchObject({
      now: "A",
      sets: expect.arrayContaining([expect.objectContaining({ hinge: true })]),
    });
    testedIn("src/words/drawn.test.ts", "the hinge");
  }),
  works("ABV-09", "Held before the last bolt of the hinge", (on) => {
    expect(on.card("strip", "set-c").dangers).toContainEqual(
      expect.objectContaining({ can: expect.stringMatching(/swings down on its last bolt/) }),
    );
    expect(on.card("strip", "ball-body").dangers.length).toBeGreaterThan(0);
  }),
  works("ABV-10", "Lower trunnion, its ring never again", (on) => {
    on.inOrder(["strip:trunnion-low", "strip:trunnion-ring"], "due");
    expect(on.renewed("due")).toContain("trunnion-ring");
    expect(on.part("trunnion-ring").oneUse).toBeDefined();
  }),
  works("ABV-11", "Emery on the trunnion, 400 on the ball, nothing on a seat", (on) => {
    expect(on.answer("trunnion-look", "burr").says).toMatch(
      /fine emery.*400 grit at most, on a seat nothing/,
    );
    expect(on.check("seats").why).toMatch(/never dressed/);
  }),
  works("ABV-12", "Half shut the seats come free: drawn", (on) => {
    expect(on.card("position", "part").drawn).toContainEqual({ kind: "lever", to_deg: 45, from_deg: 90 });
    on.inOrder(["strip-position:part", "strip:seat-out", "strip:ball"]);
  }),
  works("ABV-13", "Washed, then looked at", (on) => expect(on.check("nail").do).toMatch(/soap and water/)),
  works("ABV-14", "It catches: a new ball; else 400 grit and again", (on) => {
    expect(on.renewed("due", { nail: "catches" })).toContain("ball");
    expect(on.answer("nail", "fine")).toMatchObject({
      means: "clean",
      says: expect.stringMatching(/400 grit/),
    });
  }),
  works("ABV-15", "Through the head or through the bore, by body", (on) => {
    expect(on.ids("stem")).toContain("strip:head");
    expect(on.ids("stem", OLD)).not.toContain("strip:head");
  }),
  works("ABV-16", "New parts laid out and ticked", (on) => {
    expect(on.card("kit", undefined, "due").lines!.length).toBeGreaterThan(3);
    testedIn("src/core/job/kit-lines.test.ts", "taken in the hand");
  }),
  works("ABV-17", "Rings greased with what suits rubber and water", (on) =>
    expect(on.card("fit", "upper-seal", "due").rules).toContainEqual(
      expect.objectContaining({ kind: "lubricate" }),
    ),
  ),
  works("ABV-18", "Ball and seats dry", (on) => {
    for (const part of ["ball", "seat-in", "seat-out"])
      expect(on.card("fit", part, "due").rules).toContainEqual(
        expect.objectContaining({ kind: "stays-dry" }),
      );
  }),
  works("ABV-19", "Bush and wave spring of older bodies, where they are", (on) => {
    expect(on.sheet.parts.filter(({ option }) => option === "bush").map(({ id }) => id)).toEqual([
      "bush",
      "wave-spring",
    ]);
    on.inOrder(["strip:trunnion-up", "mark:has-bush"], "due");
  }),
  works("ABV-20", "Brake tabs in their slots, looked at again once it is tight", (on) =>
    on.inOrder(["fit:brake", "fit:handle", "fit:handle-nut", "check:tabs"], "due"),
  ),
  works("ABV-21", "Stop and handle as they were", (on) =>
    on.inOrder(["fit:handle", "confirm:handle", "confirm:stop-side"], "due"),
  ),
  works("ABV-22", "A seat that sits a little loose is right", (on) => {
    on.speaks(on.card("fit", "seat-out"), /a little loose is right/);
    on.inOrder(["fit:ball", "fit:seat-out", "fit:trunnion-low"]);
  }),
  works("ABV-23", "The lower trunnion to its figure, never above", (on) =>
    expect(on.card("fit", "trunnion-low").limit_Nm).toBeLessThanOrEqual(55),
  ),
  works("ABV-24", "All sets in loose, the ball shut, then pulled diagonally", (on) => {
    on.inOrder(["fit:set-c", "fit:set-b", "fit:set-a", "check:shut-again", "tighten:set-a", "tighten:set-c"]);
    expect(on.card("tighten", "set-b").order).toEqual([0, 2, 1, 3]);
  }),
  works("ABV-25", "Five minutes at pump pressure, then the handle by its label", (on) => {
    expect(on.check("leak").wait_min).toBe(5);
    on.inOrder(["check:leak", "check:handle-way"]);
  }),
];
