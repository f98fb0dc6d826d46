import { expect } from "vitest";
import type { Answers } from "@/core/job/job.fixtures";
import { partly, type Row, works } from "./row.fixtures";
import { testedIn } from "./shown.fixtures";

const DUE = "due";

/** Softener or filter head, full strip: power head, piston, valves, stack; then controls, injector, meter, refitting. */
export const treatmentHead: readonly Row[] = [
  works("THA-01", "Full strip, by what is fitted", (on) => {
    expect(on.sheet.options!.map(({ id }) => id)).toEqual(["meter", "switch", "rod-screw", "air-draw"]);
    const bare = { "has-meter": "No meter: a plain pipe" };
    expect(on.cards(DUE, bare).some(({ id }) => id === "strip:meter")).toBe(false);
    expect(on.cards(DUE).some(({ id }) => id === "strip:meter")).toBe(true);
  }),
  works("THA-02", "No cycle runs, bypassed, bled, then unplugged", (on) => {
    expect(on.card("mark", "idle", DUE).right).toBe("It stands in service");
    on.inOrder(["mark:idle", "release", "prove:gauge", "strip:cover", "strip:board"], DUE);
  }),
  works("THA-03", "Plugs by colour and socket, meter and switch where there are", (on) => {
    const without = { "has-meter": "No meter: a plain pipe", "has-switch": "No switch" };
    const sits = (more: Answers) =>
      on
        .cards(DUE, more)
        .flatMap((step) => (step.kind === "mark" && step.about.kind === "sits" ? [step.about.name] : []));
    expect(sits({})).toEqual(["motor plug", "meter plug", "switch plug"]);
    expect(sits(without)).toEqual(["motor plug"]);
  }),
  works("THA-04", "Settings photographed before the power goes", (on) => {
    expect(on.card("mark", "settings", DUE).photo).toBe(true);
    const cards = on.cards(DUE);
    expect(cards.findIndex(({ id }) => id === "mark:settings")).toBeLessThan(
      cards.findIndex(({ kind }) => kind === "shut"),
    );
    testedIn("src/core/job/noted.test.ts", "is not noted before it was photographed");
  }),
  works("THA-05", "The switch swings on a screw that is only slackened", (on) => {
    expect(on.card("strip", "switch-rear", DUE).slackened).toBe(true);
    on.speaks(on.card("strip", "switch-rear", DUE), /slacken only/);
    on.inOrder(["strip:switch-front", "strip:switch-rear", "strip:switch", "strip:motor"], DUE);
  }),
  works("THA-06", "Motor's fasteners counted", (on) => {
    expect(on.walked(DUE).job.tray.balances).toBe(true);
    on.inOrder(["strip:switch", "strip:motor", "strip:cam"], DUE);
  }),
  works("THA-07", "Cam as found and as it has to be, drawn", (on) => {
    expect(on.card("mark", "cam", DUE).dials).toEqual({ "At SERVICE": 0, "At BACKWASH": 120, Between: 60 });
    expect(on.card("confirm", "cam", DUE).noted).toBe("At SERVICE");
  }),
  works("THA-08", "A tool for the cam, with its stand-in", (on) => {
    expect(on.card("strip", "cam", DUE).tools).toMatchObject([{ id: "cam-key", substitutes: [{}] }]);
  }),
  works("THA-09", "A cam that jams, gentle first", (on) =>
    on.speaks(on.card("strip", "cam", DUE), /press that stem down/),
  ),
  works("THA-10", "Cables by where they sit", (on) => on.inOrder(["mark:at:j1", "strip:board"], DUE)),
  works("THA-11", "The extra screw of newer heads, looked for before the plate is pulled", (on) => {
    on.inOrder(["mark:has-rod-screw", "strip:rod-screw", "strip:drive"], DUE);
    const old = { "has-rod-screw": "No screw: a smooth rod" };
    expect(on.cards(DUE, old).some(({ id }) => id === "strip:rod-screw")).toBe(false);
  }),
  works("THA-12", "Tabs, lift, draw forward, cables through", (on) =>
    on.speaks(on.card("strip", "drive", DUE), /tabs/, /cables/),
  ),
  works("THA-13", "Screws counted, sizes apart", (on) => {
    expect(on.card("strip", "drive-screws", DUE).count).toBe(4);
  }),
  works("THA-14", "The rod turned to clear the plate", (on) =>
    on.speaks(on.card("strip", "drive", DUE), /so that it clears/),
  ),
  works("THA-15", "Air valve looked at: ring, openings, seal pressed", (on) => {
    expect(on.check("air-valve-look")).toMatchObject({ part: "brine-valve", rubric: "ring" });
    expect(on.renewed("noair", { "air-valve-look": "scored" })).toContain("brine-valve");
  }),
  works("THA-16", "Three look-alikes by height", (on) => {
    expect(on.part("brine-valve").lookAlikes![0]!.features[0]).toMatchObject({ nominal_mm: 41 });
  }),
  works("THA-17", "The ring that stays in the bore", (on) => {
    on.inOrder(
      ["strip:brine-valve", "strip:bore-ring", "check:bore-ring-look", "fit:bore-ring", "fit:brine-valve"],
      DUE,
    );
  }),
  works("THA-18", "Cap and rod pulled straight", (on) =>
    on.speaks(on.card("strip", "piston", DUE), /straight out/),
  ),
  works("THA-19", "The softener's piston refused", (on) => {
    expect(on.part("piston").lookAlikes![0]!.why).toMatch(/jams/);
  }),
  partly("THA-20", "Hook, driver, puller on the list", "whether the van has them", (on) => {
    expect(on.card("tools", undefined, DUE).bring.map(({ id }) => id)).toEqual(
      expect.arrayContaining(["hook", "driver", "puller"]),
    );
  }),
  works("THA-21", "Counted out; by turns, checked in the sheet", (on) => {
    expect(on.card("strip", "stack", DUE).pieces).toHaveLength(11);
  }),
  works("THA-22", "No further with a piece inside, and why", (on) => {
    on.speaks(on.card("strip", "stack", DUE), /shifts all the others/);
    testedIn("src/core/job/handling.test.ts", "holds under any run of undos and redos of a stack job");
  }),
  works("THA-23", "One bad seal condemns the set", (on) => {
    const set = on.walked("iron", { lips: "frayed" }).job.plan.renewals.find(({ part }) => part === "stack");
    expect(set).toMatchObject({ because: "found" });
    expect(set).not.toHaveProperty("pieces");
  }),
  works("THA-24", "Greased, pressed, the driver turned over for each spacer", (on) => {
    expect(on.card("fit", "stack", DUE).pieces[2]!.cue).toMatch(/Turn the driver over/);
  }),
  works("THA-25", "Depth of the stack, stand-out of the cap, and what each deviation means", (on) => {
    on.inOrder(["check:depth", "fit:retainer", "check:cap-proud"], DUE);
    const proud = on.check("cap-proud");
    expect(proud.kind === "measure" && [proud.below?.says, proud.above?.says].join()).toMatch(
      /missing.*cocked/,
    );
  }),
  works("THB-01", "Clips by colour", (on) => on.speaks(on.card("strip", "refill-clip", DUE), /grey clip/)),
  works("THB-02", "Which control is in against which it was designed for", (on) => {
    expect(on.card("mark", "refill-number", DUE)).toMatchObject({
      right: "0.7",
      choices: ["0.5", "0.7", "1.2"],
    });
    testedIn("src/core/job/coming-back.test.ts", "what was found wrong is put right");
  }),
  works("THB-03", "Refill, salt and capacity", () =>
    testedIn("src/core/calculators/treatment/brine.ts", "brine"),
  ),
  works("THB-04", "Warm water and a soft brush, never a probe", (on) => {
    expect(on.card("task", "controls", DUE).forbidden).toMatchObject([{ tool: "Needle or wire" }]);
  }),
  works("THB-05", "What does not come clean is renewed", (on) => {
    expect(on.renewed(DUE, { "refill-look": "stays" })).toContain("refill-control");
  }),
  works("THB-06", "Where to lever, drawn, and where not", (on) => {
    expect(on.card("strip", "refill-clip", DUE).grip).toMatchObject({ at: "left", keepOff: { at: "top" } });
  }),
  works("THB-07", "Cap ring and screen looked at", (on) => {
    on.inOrder(["strip:injector-cap", "check:cap-ring", "check:screen-look"], DUE);
  }),
  works("THB-08", "Injector out straight, with a clip, never twisted", (on) =>
    on.speaks(on.card("strip", "injector", DUE), /notched end/, /never twist/),
  ),
  works("THB-09", "Each opening of the injector looked through", (on) => {
    expect(on.check("injector-clear")).toMatchObject({ kind: "measure", low: 3, unit: "of 3" });
  }),
  partly("THB-10", "Injector by its colour, refused if another", "its size from pressure and tank", (on) => {
    expect(on.card("mark", "injector-colour", DUE).right).toBe("Red");
    expect(on.part("injector").lookAlikes).toHaveLength(1);
  }),
  works("THB-11", "Where a plug sits, it stays", (on) => {
    const plug = { draws: "A plug" };
    expect(on.cards(DUE, plug).some(({ id }) => id === "strip:injector")).toBe(false);
  }),
  works("THB-12", "Drain clip and fitting", (on) =>
    on.inOrder(["strip:drain-nut", "strip:drain-clip", "strip:drain-control"], DUE),
  ),
  works("THB-13", "Elbow or straight, drawn; the control left behind in the body", (on) => {
    expect(Object.keys(on.card("mark", "drain-shape", DUE).shapes ?? {})).toEqual(["Elbow", "Straight"]);
    const straight = { "drain-shape": "Straight" };
    const off = on.cards(DUE, straight).find(({ id }) => id === "strip:drain-control")!;
    on.speaks(off, /stayed behind in the body/);
  }),
  works("THB-14", "Drain control and rings looked at", (on) => {
    expect(on.check("drain-look")).toMatchObject({ part: "drain-control", rubric: "holes" });
  }),
  partly("THB-15", "Backwash measured against its band", "computed from tank and filter media", (on) => {
    expect(on.card("check", "backwash", DUE).check).toMatchObject({ low: 22, high: 30 });
  }),
  works("THB-16", "Meter plug and turbine", (on) => on.inOrder(["strip:meter-nut", "strip:meter"], DUE)),
  works("THB-17", "Turbine spins smooth", (on) => expect(on.check("meter-spin").kind).toBe("trick")),
  works("THB-18", "Drag means a new meter", (on) =>
    expect(on.renewed("meter", { "meter-spin": "no-go" })).toContain("meter"),
  ),
  works("THB-19", "In the hand before it begins: ticked line by line", (on) => {
    const kit = on.card("kit", undefined, DUE);
    expect(kit.lines!.length).toBeGreaterThan(4);
    testedIn("src/core/job/kit-lines.test.ts", "is not done before each line was taken in the hand");
  }),
  works("THB-20", "Silicone where it belongs, and what never", (on) => {
    expect(on.card("fit", "stack", DUE).rules).toContainEqual(
      expect.objectContaining({ kind: "lubricate", never: expect.arrayContaining(["petroleum"]) }),
    );
  }),
  works("THB-21", "Piston straight, felt to seat", (on) => {
    expect(on.card("fit", "piston", DUE).end).toMatchObject({ kind: "until-stop" });
  }),
  works("THB-22", "Everything else in reverse", (on) => {
    const { removed } = on.walked(DUE).job.plan;
    const fitted = on.cards(DUE).flatMap((step) => (step.kind === "fit" ? [step.part!] : []));
    expect(fitted.toSorted()).toEqual([...removed].toSorted());
  }),
  works("THB-23", "Settings, clock, each position, bypass", (on) => {
    expect(on.card("ready", "wash", DUE).lines).toHaveLength(4);
    expect(on.card("ready", "set", DUE).lines!.map(({ name }) => name)).toContain("Time of day");
  }),
  works("THB-24", "What is in stands in the record", (on) => {
    const stands = on.record(DUE).stands.map(({ noted }) => noted);
    expect(stands).toEqual(expect.arrayContaining(["0.7", "7", "Red"]));
  }),
];
