import { expect } from "vitest";
import { calculatorNamed } from "@/core/calculators";
import { partly, type Row, works } from "./row.fixtures";
import { testedIn } from "./shown.fixtures";

/** Check valve on a booster pump. */
export const checkValve: readonly Row[] = [
  works("BCV-01", "A new body with new gaskets, rigged", (on) => {
    expect(on.renewed("due")).toEqual(expect.arrayContaining(["valve", "gaskets", "spool-gaskets"]));
    on.inOrder(["task:support", "strip:valve", "fit:valve"], "due");
  }),
  works("BCV-02", "From how often it wakes and how warm it is to what it is", (on) => {
    on.inOrder(["check:symptom", "check:wakes", "check:casing", "isolate:discharge"], "passes");
    expect(on.answer("casing", "hot").means).toBe("stop");
    expect(on.sums(on.card("check", "wakes"))).toContain("leak-by");
  }),
  works("BCV-03", "Interval and fall become a leak rate, at triage", (on) => {
    expect(on.check("wakes").phase).toBe("triage");
    expect(on.sums(on.card("check", "symptom"))).toContain("leak-by");
  }),
  works("BCV-04", "How fast a churning pump heats", () =>
    expect(calculatorNamed("leak-by")?.outputs.map(({ name }) => name)).toContain("churn"),
  ),
  works("BCV-05", "Drive locked and waited for, both stops, zero twice", (on) =>
    on.inOrder(["pump-off:SK-P1", "isolate:discharge", "prove:dead:E1", "prove:gauge", "prove:again"]),
  ),
  works("BCV-06", "The spool first, and the room computed before the trip", (on) => {
    on.inOrder(["strip:spool", "strip:valve"]);
    expect(on.sums(on.card("kit"))).toContain("draw-out");
  }),
  works("BCV-07", "Rods that will not pass what stands behind them", (on) => {
    expect(on.sheet.beforeTrip?.find(({ sum }) => sum === "draw-out")?.start).toMatchObject({
      rod: "170 mm",
    });
    testedIn("src/core/calculators/bolts/draw-out.ts", "The rod does not pass");
  }),
  works("BCV-08", "Supported and ticked before the first bolt", (on) => {
    expect(on.card("task", "support").lines).toHaveLength(5);
    on.inOrder(["task:support", "crack:spool-bolts"]);
  }),
  works("BCV-09", "Jack, sling, spanners", (on) =>
    expect(on.card("tools").bring.map(({ id }) => id)).toEqual(
      expect.arrayContaining(["jack", "sling", "sp-24"]),
    ),
  ),
  works("BCV-10", "No finger in a bolt hole, coming out and going in", (on) => {
    for (const card of [on.card("strip", "spool"), on.card("fit", "rods"), on.card("fit", "valve")])
      expect(card.dangers).toContainEqual(
        expect.objectContaining({ can: expect.stringMatching(/finger in a bolt hole/) }),
      );
  }),
  works("BCV-11", "Which gaskets were in it", (on) => on.inOrder(["strip:spool", "mark:gasket-kind"])),
  works("BCV-12", "Ring or whole face, and of what, by face, metal, medium and heat", (on) => {
    expect(on.sums(on.card("fit", "gaskets"))).toContain("gasket-cutter");
    const inputs = calculatorNamed("gasket-cutter")!.inputs.map(({ name }) => name);
    expect(inputs).toEqual(expect.arrayContaining(["face", "metal", "medium", "hottest"]));
    expect(on.sheet.kits.find(({ id }) => id === "B-SC100-F")?.note).toMatch(/bend the rim/);
  }),
  works("BCV-13", "What let it pass: collar, screw, plate or sand", (on) => {
    on.inOrder(["strip:valve", "check:old-one"]);
    expect(on.answer("old-one", "grit").shortens).toEqual({ interval: "look", to_months: 6 });
    expect(on.after("passes", { "old-one": "grit" }).shorter).toBeDefined();
  }),
  works("BCV-14", "What the gap wants, and never off a face beyond its maker's word", () =>
    testedIn("src/core/calculators/bolts/draw-out.ts", "more than its maker allows"),
  ),
  works("BCV-15", "Held loosely, nothing pulled", (on) => expect(on.card("fit", "rods").loose).toBe(true)),
  works("BCV-16", "Jack down and lined up before the next piece goes in", (on) =>
    on.inOrder(["fit:rods", "check:line-up", "fit:spool"]),
  ),
  works("BCV-17", "Gaskets in the order", (on) =>
    on.inOrder(["fit:gaskets", "fit:spool-gaskets", "fit:spool"]),
  ),
  works("BCV-18", "Nothing pulled until all is in and level", (on) =>
    on.inOrder(["fit:spool", "fit:spool-bolts", "check:level", "tighten:spool-bolts", "tighten:rods"]),
  ),
  works("BCV-19", "A joint that springs apart: warned of, photographed", (on) => {
    expect(
      on.card("strip", "spool-bolts").dangers.concat(on.card("crack", "spool-bolts").dangers),
    ).toContainEqual(expect.objectContaining({ can: expect.stringMatching(/springs apart/) }));
    expect(on.card("mark", "strain").photo).toBe(true);
  }),
  works("BCV-20", "Arrow with the flow: noted, drawn, confirmed", (on) => {
    on.inOrder(["mark:arrow", "fit:valve", "confirm:arrow"]);
    expect(on.card("fit", "valve").drawn).toContainEqual({ kind: "arrow", to: "flow" });
  }),
  works("BCV-21", "Anti-seize, and the lower figure it asks for", (on) => {
    const { condition, stated, passes } = on.card("tighten", "rods");
    expect([condition, stated]).toEqual(["anti-seize", "dry"]);
    expect(passes.at(-1)!.torque_Nm).toBeLessThan(120);
  }),
  works("BCV-22", "Eight bolts crosswise, with their figure", (on) =>
    expect(on.card("tighten", "spool-bolts").order).toHaveLength(8),
  ),
  works("BCV-23", "How often it wakes, before and after", (on) => {
    on.inOrder(["check:wakes", "check:standing", "check:wakes-after"], "passes");
    expect(on.answer("wakes-after", "below").means).toBe("stop");
  }),
  partly(
    "BCV-24",
    "How long it will take, and two people",
    "times are the sheet's, not learnt from past jobs",
    (on) => {
      expect(on.sheet.competence).toMatch(/Two people/);
      expect(on.walked().job.plan.steps.reduce((sum, { minutes }) => sum + minutes, 0)).toBeGreaterThan(60);
    },
  ),
];
