import { expect } from "vitest";
import { checkSheet } from "@/core/build";
import { partly, type Row, works } from "./row.fixtures";
import { testedIn } from "./shown.fixtures";

/** Softener stack: drawn out in place, cleaned, judged piece by piece, put back. */
export const softenerStack: readonly Row[] = [
  works("SSP-01", "Clean and return, an outcome for each part", (on) => {
    expect(on.cards("gummed").some(({ kind }) => kind === "task")).toBe(true);
    expect(on.renewed("gummed")).toEqual([]);
    expect(on.renewed("gummed", { lips: "sound" })).toEqual([]);
    expect(on.card("check", "lips", "gummed").pieces).toHaveLength(9);
  }),
  works("SSP-02", "Shut off by the bypass: which valves, one by one, where they stand", (on) => {
    const shut = on.cards("hard").filter(({ kind }) => kind === "shut");
    expect(shut.length).toBeGreaterThanOrEqual(2);
    expect(on.cards("hard").some(({ kind }) => kind === "notify")).toBe(true);
  }),
  works("SSP-03", "Pressure out by a cycle before the power is locked off; zero read", (on) => {
    const cards = on.cards("hard");
    const power = cards.findIndex(
      (step) => step.kind === "shut" && step.by.kind === "closure" && step.by.medium === "electricity",
    );
    expect(cards.findIndex(({ kind }) => kind === "release")).toBeLessThan(power);
    on.inOrder(["release", "prove:gauge", "strip:cover"], "hard");
  }),
  works("SSP-04", "Tools by card, with their stand-ins", (on) => {
    expect(on.card("strip", "drive-screws").tools.map(({ id }) => id)).toEqual(["hex-5"]);
    expect(on.card("tools").bring.length).toBeGreaterThan(4);
  }),
  works("SSP-05", "A fixed order, and a fastener's place, count, drive and length", (on) => {
    on.inOrder([
      "strip:cover",
      "strip:drive-screws",
      "strip:drive",
      "strip:retainer",
      "strip:piston",
      "strip:stack",
    ]);
    on.speaks(
      on.card("strip", "drive-screws"),
      /M6, hex socket 5 mm/,
      /1 × 20 mm at the rear/,
      /1 × 14 mm at the front/,
    );
  }),
  works("SSP-06", "A numbered place on the tray, and a photograph", (on) => {
    const walk = on.walked();
    expect(walk.job.tray.items.map(({ order }) => order)).toEqual(
      walk.job.tray.items.map((_, index) => index + 1),
    );
    testedIn(
      "src/core/job/handling.test.ts",
      "a photograph belongs to a note, a look or a part that comes off",
    );
  }),
  works("SSP-07", "Pieces that came out with the piston", (on) => {
    on.inOrder(["strip:piston", "mark:with-piston", "strip:stack"]);
    expect(on.card("mark", "with-piston").figure).toMatchObject({ low: 0, high: 9 });
  }),
  works("SSP-08", "Counted out, and no further before it is right", () => {
    testedIn("src/core/job/handling.test.ts", "holds under any run of undos and redos of a stack job");
  }),
  works("SSP-09", "The odd piece, at removal and refit", (on) => {
    expect(on.card("strip", "stack").pieces[0]!.odd).toMatch(/no holes/);
    expect(on.card("fit", "stack").pieces[0]!.odd).toMatch(/no holes/);
  }),
  works("SSP-10", "A wash list with a slot for the odd piece", (on) => {
    expect(on.card("task", "wash").lines!.map(({ name }) => name)).toContain("End spacer, in its slot");
  }),
  works("SSP-11", "Vinegar by how fouled it is, timed, with its end; material checked; rinsed", (on) => {
    expect(on.cards(undefined, { fouling: "clean" }).some(({ kind }) => kind === "soak")).toBe(false);
    expect(on.card("soak", "soak-light", undefined, { fouling: "light" }).minutes).toBe(30);
    expect(on.card("soak", "soak-heavy", undefined, { fouling: "heavy" })).toMatchObject({
      minutes: 120,
      most_min: 180,
    });
    on.inOrder(["soak:soak-heavy", "task:rinse"], undefined, { fouling: "heavy" });
    const iron = {
      ...on.sheet,
      parts: on.sheet.parts.map((part) =>
        part.id === "stack" ? { ...part, material: "iron" as const } : part,
      ),
    };
    expect(
      checkSheet(iron)
        .map(({ message }) => message)
        .join(),
    ).toMatch(/may stand on iron for 60 min/);
  }),
  works("SSP-12", "Lips good, marginal or gone, drawn, photographed", (on) => {
    const lips = on.check("lips");
    expect(lips.rubric).toBe("lip");
    expect(lips.kind === "pieces" && lips.options.map(({ grade }) => grade)).toEqual([
      "good",
      "good",
      "marginal",
      "gone",
      "gone",
    ]);
    testedIn("src/ui/draw/wear.test.tsx", "each grade of each rubric is drawn otherwise");
  }),
  works("SSP-13", "A frayed lip asks for the piston's scratches", (on) => {
    expect(on.cards().some(({ id }) => id === "check:scratches")).toBe(false);
    expect(on.card("check", "scratches", undefined, { lips: "glazed" }).check.part).toBe("piston");
    expect(on.renewed(undefined, { lips: "glazed", scratches: "catch" })).toEqual(["piston"]);
  }),
  works("SSP-14", "By the piece: spacers go back, how often is on record", (on) => {
    const { renewals, kits } = on.walked("hard", { lips: "frayed" }).job.plan;
    const stack = renewals.find(({ part }) => part === "stack");
    expect(stack?.because === "found" && stack.pieces).toEqual([2, 4, 6, 8]);
    expect(kits.picks.map(({ id }) => id)).toContain("O-BR20-L");
    expect(on.after("hard").served).toMatchObject({ stack: 1, piston: 1 });
  }),
  works("SSP-15", "The cause asked; a strainer proposed and a shorter interval", (on) => {
    expect(on.card("check", "cause", undefined, { lips: "glazed" }).check.ask).toMatch(/wore/);
    expect(on.after("hard", { lips: "glazed", cause: "grit" }).shorter).toEqual({ stack: 24 });
  }),
  works("SSP-16", "The keyed spacer first, felt to lock", (on) => {
    expect(on.card("fit", "stack").pieces[0]!.cue).toMatch(/feel it lock/);
  }),
  partly("SSP-17", "Seal and spacer by turns, each tapped", "spoken aloud, hands free", (on) => {
    const kinds = on.card("fit", "stack").pieces.map(({ kind }) => kind);
    expect(kinds.every((kind, index) => kind !== kinds[index + 1])).toBe(true);
  }),
  partly(
    "SSP-18",
    "Fished out and begun again without losing count",
    "a rehearsal with a cocked seal",
    () => {
      testedIn("src/core/job/handling.test.ts", "holds under any run of undos and redos of a stack job");
    },
  ),
  works("SSP-19", "Depth: proud or deep, and what that means", (on) => {
    const depth = on.check("depth");
    expect(depth.kind === "measure" && depth.below?.says).toMatch(/too many|cocked/);
    expect(depth.kind === "measure" && depth.above?.says).toMatch(/short/);
  }),
  works("SSP-20", "Two of a kind on each other are refused in the sheet itself", (on) => {
    const sheet = structuredClone(on.sheet);
    const pieces = sheet.parts.find(({ id }) => id === "stack")!.pieces!;
    [pieces[1], pieces[2]] = [pieces[2]!, pieces[1]!];
    expect(
      checkSheet(sheet)
        .map(({ message }) => message)
        .join(),
    ).toMatch(/by turns/);
  }),
  works("SSP-21", "Plate, screws, head, counted", (on) => {
    on.inOrder(["fit:stack", "fit:piston", "fit:retainer", "fit:drive", "fit:drive-screws", "fit:cover"]);
  }),
  works("SSP-22", "The yoke's mark and stroke, noted and held to", (on) => {
    on.inOrder(["mark:cam", "mark:stroke", "strip:drive", "fit:drive", "confirm:stroke"]);
    expect(on.card("confirm", "stroke").figure).toMatchObject({ tolerance: 2, unit: "mm" });
  }),
  partly("SSP-23", "How long it takes", "corrected by what this crew has taken", (on) => {
    expect(on.walked().job.plan.minutes).toBeGreaterThan(30);
  }),
  works("SSP-24", "Back: filled slowly, each position run, drain, hardness", (on) => {
    expect(on.card("ready", "cycle").lines).toHaveLength(4);
    on.inOrder(["restore:cycle", "check:hardness", "sign-off"]);
    expect(on.sheet.rechecks?.map(({ after_days }) => after_days)).toEqual([7]);
    expect(Object.keys(on.after("hard").recheck ?? {})).toEqual(["soft-again"]);
  }),
  works("SSP-25", "Rings sooner by iron and grit", (on) => {
    expect(on.after("hard", { "raw-iron": "1.5" }).shorter).toEqual({ stack: 36 });
  }),
];
