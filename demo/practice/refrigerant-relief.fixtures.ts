import { expect } from "vitest";
import { calculatorNamed } from "@/core/calculators";
import { partly, type Row, works } from "./row.fixtures";
import { Shown, testedIn } from "./shown.fixtures";

const twin = new Shown({ tag: "GN-RV4A", sheet: "pell-guardian-t2", line: "gannet-low-side" });
const cartridge = new Shown({
  tag: "GC-RV5",
  sheet: "pell-guardian-c3",
  line: "gannet-co2",
  valve: { generation: "2" },
});
/** Refrigerant relief valve: single, twin on a three-way stem, cartridge. */
export const refrigerantRelief: readonly Row[] = [
  works("RRV-01", "Exchanged: single, twin, cartridge, each by its own sheet", (on) => {
    for (const each of [on, twin, cartridge]) expect(each.renewed("due")).toContain("valve");
  }),
  works("RRV-02", "One relief or two, by the vessel's volume, before the trip", (on) =>
    expect(on.sums(on.card("kit"))).toContain("relief-check"),
  ),
  partly("RRV-03", "A cartridge instead, weighed", "our cartridge's vent flange comes off as well", (on) =>
    expect(on.sheet.depths?.find(({ id }) => id === "cartridge")).toMatchObject({
      kind: "whole-valve",
      besides: 640,
    }),
  ),
  works("RRV-04", "Disc, flag or nothing: noted, read, and looked at on patrol", (on) => {
    expect(on.card("mark", "indicator").choices).toHaveLength(3);
    expect(on.cards("round").map(({ kind }) => kind)).toContain("check");
    expect(on.cards("round").some(({ kind }) => kind === "strip")).toBe(false);
  }),
  works("RRV-05", "Five years from the exchange, or at once after a lift", (on) => {
    const five = on.sheet.intervals.find(({ id }) => id === "five");
    expect(five).toMatchObject({ every_months: 60, renews: ["valve"], atOnceAfter: ["lifted"] });
    expect(on.answer("patrol", "lifted").makesDue).toBe("five");
  }),
  works("RRV-06", "Gear, and how far a filter goes", (on) => {
    expect(on.sheet.protective.join()).toMatch(/helmet, hearing/);
    expect(on.sums(on.card("kit"))).toContain("exposure");
  }),
  works("RRV-07", "Pumped out, then every valve of the vessel shut and locked", (on) =>
    on.inOrder(["pump-out:OP", "shut:GN-O1", "shut:GN-O2", "prove:gauge"]),
  ),
  works("RRV-08", "Hose, drum, fan: asked before anything is let out", (on) => {
    on.inOrder(["check:drum", "release"]);
    expect(on.check("drum").why).toMatch(/heats the water.*draws the water up/);
  }),
  works("RRV-09", "What is left in the vessel, and the water for it", (on) =>
    expect(on.sums(on.card("check", "drum"))).toEqual(expect.arrayContaining(["vessel-content", "exposure"])),
  ),
  works("RRV-10", "An hour at zero, from the start again if it rises", (on) => {
    expect(on.card("hold").minutes).toBe(60);
    testedIn("src/core/job/clock.test.ts", "prove:hold");
  }),
  works("RRV-11", "It may smell at zero: the monitor decides", (on) => {
    expect(on.check("monitor")).toMatchObject({ kind: "measure", unit: "ppm", high: 25 });
    expect(on.check("monitor").why).toMatch(/may smell although the gauge stands at zero/);
  }),
  works("RRV-12", "The vent first, then the valve", (on) => on.inOrder(["strip:vent-union", "strip:valve"])),
  works("RRV-13", "Both shipping caps", (on) => {
    on.inOrder(["fit:valve", "check:caps"]);
    expect(on.answer("caps", "on").means).toBe("stop");
  }),
  works("RRV-14", "Paste on the male thread, sparingly", (on) =>
    expect(on.card("fit", "valve").rules).toContainEqual(
      expect.objectContaining({
        kind: "sealant",
        why: expect.stringMatching(/Sparingly, on the male thread only/),
      }),
    ),
  ),
  works("RRV-15", "Every valve that was shut is opened", (on) => {
    const shut = on.ids().filter((id) => id.startsWith("shut:"));
    for (const id of shut) expect(on.ids()).toContain(id.replace("shut", "open"));
  }),
  works("RRV-16", "Punched, photographed, and the next date from the exchange", (on) => {
    expect(on.cards().some(({ kind }) => kind === "tag")).toBe(true);
    expect(Object.keys(on.after("due").last ?? {})).toContain("five");
    testedIn("src/core/job/noted.test.ts", "a photograph of the tag");
  }),
  works("RRV-17", "Twin: the stem turned, one always live", () => {
    twin.inOrder(["check:twin", "shut:GN-RS4", "release", "strip:valve", "open:GN-RS4"], "due");
    expect(twin.card("mark", "stem", "due").dials).toBeDefined();
    testedIn("e2e/build.spec.ts", "a twin relief set");
  }),
  works("RRV-18", "Cartridge: gauge valve shut, gauge slackened, zero, then the gauge off", () => {
    expect(cartridge.sheet.release?.[0]?.do).toMatch(/Shut the gauge valve and slacken the gauge/);
    cartridge.inOrder(["release", "prove:again", "strip:gauge", "strip:retainer"], "due");
  }),
  works("RRV-19", "The gauge back, its valve open again, the leak looked for", () => {
    cartridge.inOrder(["strip:gauge", "fit:gauge", "tray", "restore:pressure", "check:leak"], "due");
    cartridge.speaks(cartridge.card("ready", "pressure", "due"), /Open the gauge valve again/);
  }),
  works("RRV-20", "Set and capacity to the vessel, above the liquid, nothing before it", (on) => {
    on.inOrder(["check:set-pressure", "check:capacity", "check:place"]);
    expect(on.answer("place", "no-go").means).toBe("stop");
  }),
  works("RRV-21", "Where it blows", (on) => {
    expect(on.check("discharge").how).toHaveLength(4);
    expect(on.answer("discharge", "no-go").means).toBe("stop");
  }),
  works("RRV-22", "No damp cold, and a pipe that carries itself", (on) => {
    expect(on.check("place").how).toContainEqual(expect.stringMatching(/no damp/));
    expect(on.card("fit", "valve").dangers).toContainEqual(
      expect.objectContaining({ can: expect.stringMatching(/vent pipe does not hold weight/) }),
    );
  }),
  works("RRV-23", "Never reset, never refitted", (on) => {
    expect(on.part("valve").oneUse).toMatch(/never reset/);
    expect(on.check("set-pressure").why).toMatch(/never touched/);
  }),
  works("RRV-24", "Capacity and vent by sum", () => {
    for (const sum of ["relief-check", "relief-vent"]) expect(calculatorNamed(sum)).toBeDefined();
  }),
  works("RRV-25", "Joints, and where the stem stands at the end", () => {
    twin.inOrder(["open:GN-RS4", "check:stem-back", "check:leak"], "due");
    expect(twin.answer("stem-back", "mid").means).toBe("stop");
  }),
];
