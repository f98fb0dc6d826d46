import { expect } from "vitest";
import { calculatorNamed } from "@/core/calculators";
import { partly, type Row, works } from "./row.fixtures";
import { testedIn } from "./shown.fixtures";

/** Gas plug cock at a meter, greased in service. */
export const meterCock: readonly Row[] = [
  works("GMC-01", "Greased where it may be, declined where not", (on) => {
    on.inOrder(["check:tamper", "check:riser", "isolate:live", "task:grease-open"]);
    expect(on.answer("tamper", "leak").means).toBe("stop");
  }),
  works("GMC-02", "Pin, wing lock, nut: its stop is nobody's to skip", (on) =>
    expect(on.card("check", "tamper").mayOverride).toBe(false),
  ),
  works("GMC-03", "Gloves, eyes, and plan B found before a wrench is on", (on) => {
    expect(on.card("mark", "plan-b").choices).toHaveLength(2);
    on.inOrder(["prepare:protect", "mark:plan-b", "strip:port-a"]);
  }),
  works("GMC-04", "Stiff, dry or passing when shut: greased; a leak is not", (on) =>
    expect(on.sheet.symptoms.map(({ id }) => id)).toEqual(
      expect.arrayContaining(["stiff", "seep", "passes"]),
    ),
  ),
  partly("GMC-05", "Broken or incomplete: not greased", "the repair order is written by hand", (on) =>
    expect(on.answer("tamper", "broken").says).toMatch(/repair order/),
  ),
  works("GMC-06", "A copper riser is not disturbed", (on) =>
    expect(on.answer("riser", "copper").means).toBe("stop"),
  ),
  works("GMC-07", "A leak graded where it is found; what does not leak has no grade", (on) => {
    expect(on.sums(on.card("check", "tamper"))).toContain("leak-grade");
    expect(on.answer("tamper", "broken").says).toMatch(/no leak, no grade/);
    expect(calculatorNamed("leak-grade")?.outputs.map(({ name }) => name)).toContain("repair");
  }),
  works("GMC-08", "Not in the cold where nobody lets in", (on) => {
    expect(on.answer("season", "cold").means).toBe("stop");
    expect(on.sums(on.card("check", "season"))).toContain("season-gate");
  }),
  works("GMC-09", "Hose, second elbow, filled nipples: on the list", (on) => {
    expect(on.sheet.tools.map(({ id }) => id)).toEqual(
      expect.arrayContaining(["hose", "elbow-2", "nipples"]),
    );
    expect(on.card("task", "gun").lines?.map(({ name }) => name)).toContain("Elbows and nipples filled");
  }),
  works("GMC-10", "No pipe wrench", (on) =>
    expect(on.card("strip", "port-a").forbidden).toContainEqual(
      expect.objectContaining({ tool: "Pipe wrench" }),
    ),
  ),
  works("GMC-11", "Plug-cock sealant alone", (on) => {
    expect(on.sheet.supplies.map(({ base }) => base)).toEqual(["plug-cock"]);
    expect(on.sheet.tasks?.find(({ id }) => id === "grease-open")?.with).toBe("sealant");
  }),
  works("GMC-12", "A cold gun is warmed first, never at a flame", (on) => {
    expect(on.answer("cold", "below")).toMatchObject({
      means: "clean",
      says: expect.stringMatching(/Never at a flame/),
    });
    on.inOrder(["check:cold", "task:gun"]);
  }),
  works("GMC-13", "Refilled without air, strokes counted", (on) =>
    expect(on.card("task", "gun").count).toMatchObject({ most: 30 }),
  ),
  works("GMC-14", "Where the pin is, no wrench: drawn", (on) =>
    expect(on.part("port-a").ways[0]?.grip?.keepOff).toMatchObject({
      at: "foot",
      why: expect.stringMatching(/pin/),
    }),
  ),
  works("GMC-15", "Two wrenches, and the key at its angle afterwards", (on) => {
    expect(on.card("mark", "key-angle").figure).toMatchObject({ unit: "°", tolerance: 3 });
    on.inOrder(["mark:key-angle", "task:nut", "confirm:key-angle"]);
  }),
  works("GMC-16", "The nut snug, the key free by two degrees", (on) => {
    on.speaks(on.card("task", "nut"), /back a hair, and snug again/);
    on.inOrder(["task:nut", "check:turn"]);
  }),
  works("GMC-17", "Painted over or packed: where the port hides", (on) =>
    expect(on.card("mark", "port-hidden").choices).toHaveLength(3),
  ),
  works("GMC-18", "Some gas is usual; by the monitor how much is not", (on) => {
    on.inOrder(["strip:port-a", "check:monitor", "task:grease-open"]);
    expect(on.check("monitor")).toMatchObject({ unit: "% LEL", high: 10 });
  }),
  works("GMC-19", "Room for gun and key, photographed and planned", (on) =>
    expect(on.card("mark", "room")).toMatchObject({ photo: true }),
  ),
  works("GMC-20", "The dial seen twice with a clock before each half circle", (on) => {
    on.inOrder(["check:dial", "check:dial-half", "task:half-circle", "check:dial-back", "task:back"]);
    expect(on.check("dial-half").wait_min).toBe(2);
    expect(on.answer("dial-half", "moves").means).toBe("stop");
  }),
  works("GMC-21", "Both halves through one port, as many strokes in each", (on) => {
    on.inOrder(["task:grease-open", "task:half-circle", "task:grease-far"]);
    expect(on.card("task", "grease-far").count?.before).toBeDefined();
  }),
  works("GMC-22", "Gun off before the key swings: ticked", (on) =>
    expect(on.card("task", "half-circle").lines?.[0]?.name).toBe("Gun is off"),
  ),
  works("GMC-23", "How long they live off the pipe of their own house", (on) => {
    expect(on.sums(on.card("live"))).toContain("ride-through");
    testedIn("src/core/job/bench-links/bench-links.test.ts", "what the pipes of its own house hold");
  }),
  works("GMC-24", "Dial still, counted in, timed until it is round, along the pipe at the end", (on) => {
    for (const swing of ["half-circle", "back"])
      expect(on.card("task", swing)).toMatchObject({ swing: { most_s: 8, workedOut: false } });
    on.inOrder([
      "check:dial-half",
      "ask:task:half-circle",
      "task:half-circle",
      "check:along",
      "task:grease-far",
    ]);
    expect(on.answer("along", "no-go").means).toBe("stop");
  }),
  works("GMC-25", "Screw in, no bubble, every appliance, the tag", (on) => {
    on.inOrder(["fit:port-a", "check:seep", "check:relit", "tag"]);
    testedIn("e2e/build.spec.ts", "a meter cock is only greased");
  }),
];
