import { expect } from "vitest";
import { calculatorNamed } from "@/core/calculators";
import { type Row, works } from "./row.fixtures";
import { testedIn } from "./shown.fixtures";

/** Combination air valve. */
export const airValve: readonly Row[] = [
  works("CAV-01", "Both parts of it, each by itself or together", (on) => {
    expect(on.ids("hisses")).not.toContain("strip:cover");
    expect(on.ids("leaks")).not.toContain("strip:small-head");
    expect(on.ids("due")).toEqual(expect.arrayContaining(["strip:cover", "strip:small-head"]));
  }),
  works("CAV-02", "The cock below shut", (on) =>
    expect(on.cards().filter(({ kind }) => kind === "shut")).toHaveLength(1),
  ),
  works("CAV-03", "Let out at the port; the cover is the last way", (on) => {
    expect(on.sheet.release?.map(({ rung }) => rung)).toEqual(["port", "cover"]);
    testedIn("src/core/build/ladders.test.ts", "is the gentlest of those there are");
  }),
  works("CAV-04", "Nothing comes off before zero", (on) =>
    on.inOrder(["release", "prove:gauge", "prove:again", "crack:cover-bolts"], "due"),
  ),
  works("CAV-05", "The large part first", (on) =>
    on.inOrder(["strip:cover-bolts", "strip:cover", "strip:small-head"], "due"),
  ),
  works("CAV-06", "Floats: dents by eye, water by ear and scale", (on) => {
    expect(on.renewed("hisses", { "small-float-water": "no-go" })).toContain("small-float");
    expect(on.renewed("leaks", { "float-water": "no-go" })).toContain("large-float");
    expect(on.check("float-water").how).toContainEqual(expect.stringMatching(/weigh it/));
  }),
  works("CAV-07", "Rings, seal and seat looked at, each drawn", (on) => {
    for (const look of ["cover-ring-look", "large-seat"]) expect(on.check(look).rubric).toBeDefined();
    on.inOrder(["strip:cover", "check:cover-ring-look", "check:large-seat"], "leaks");
  }),
  works("CAV-08", "Washed before it is closed", (on) => {
    on.inOrder(["task:wash-large", "fit:cover"], "leaks");
    expect(on.card("task", "wash-large", "leaks").lines).toHaveLength(3);
  }),
  works("CAV-09", "Cover crosswise, with its figure", (on) =>
    expect(on.card("tighten", "cover-bolts", "leaks").order).not.toEqual([0, 1, 2, 3, 4, 5]),
  ),
  works("CAV-10", "The base held while the small part turns: where it is gripped, drawn", (on) => {
    on.speaks(on.card("strip", "small-head"), /Hold the base/);
    expect(on.part("small-head").ways[0]?.grip?.keepOff?.at).toBe("middle");
  }),
  works("CAV-11", "Stem, float and seal as one set", (on) =>
    on.speaks(on.card("strip", "rolling-seal"), /as one set/),
  ),
  works("CAV-12", "Light through the small orifice", (on) => {
    on.inOrder(["strip:small-head", "check:orifice-light"]);
    expect(on.answer("orifice-light", "no-go").says).toMatch(/Never a drill/);
  }),
  works("CAV-13", "The rolling seal: torn or sound, drawn", (on) =>
    expect(on.check("roll")).toMatchObject({ rubric: "diaphragm" }),
  ),
  works("CAV-14", "Sound it goes back, torn a new one", (on) => {
    expect(on.renewed("hisses")).not.toContain("rolling-seal");
    expect(on.renewed("hisses", { roll: "torn" })).toContain("rolling-seal");
  }),
  works("CAV-15", "Narrow side down, middle at the parting line: drawn and looked at", (on) => {
    expect(on.card("fit", "rolling-seal").drawn).toContainEqual({ kind: "arrow", to: "down" });
    on.inOrder(["fit:rolling-seal", "check:parting"]);
  }),
  works("CAV-16", "Half in, pushed together, flush", (on) => {
    on.speaks(on.card("fit", "clamp"), /only half in/);
    on.inOrder(["fit:clamp", "fit:clamp-screws", "check:stem-flush"]);
  }),
  works("CAV-17", "The float moved, and looked through", (on) =>
    on.inOrder(["check:stem-flush", "check:small-moves", "fit:small-head"]),
  ),
  works("CAV-18", "Is the base ring in, before it is screwed on", (on) =>
    on.inOrder(["check:ring-in", "fit:small-head"]),
  ),
  works("CAV-19", "The cock opened slowly by the watch; dry afterwards", (on) => {
    on.inOrder(["restore:slow", "open:MG-K1", "check:closing", "check:dry-after"]);
    expect(on.answer("closing", "below").means).toBe("stop");
  }),
  works("CAV-20", "The sister model by the same sheet, its bolts by their own figure", (on) => {
    expect(on.card("tighten", "cover-bolts", "leaks").stated_Nm).toBe(34);
    expect(on.card("tighten", "cover-bolts", "leaks", { "which-model": "50 H" }).stated_Nm).toBe(48);
  }),
  works("CAV-21", "How fast it fills, and whether it is crushed as it empties", (on) => {
    expect(on.sums(on.card("open", "MG-K1"))).toContain("fill-and-vent");
    expect(calculatorNamed("fill-and-vent")?.outputs.map(({ name }) => name)).toEqual(
      expect.arrayContaining(["vacuum", "crushed"]),
    );
  }),
  works("CAV-22", "Sand found halves the interval", (on) => {
    expect(on.after("leaks", { "large-seat": "sand" }).shorter?.seals).toBe(24);
    expect(on.sheet.rechecks?.map(({ id }) => id)).toEqual(["week"]);
  }),
];
