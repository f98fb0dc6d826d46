import { expect } from "vitest";
import { partly, type Row, works } from "./row.fixtures";

/** Large irrigation valve with an electric pilot. */
export const electricPilot: readonly Row[] = [
  partly(
    "EPV-01",
    "Outside, cock, water, click, coil: before anything is stripped",
    "an order, not reckoned odds",
    (on) =>
      on.inOrder(
        ["check:outside", "check:cock", "check:wet", "check:power", "check:coil", "strip:coil"],
        "due",
      ),
  ),
  works("EPV-02", "The whole of it looked at first", (on) => {
    expect(on.answer("outside", "crack").means).toBe("stop");
    on.inOrder(["check:outside", "check:cock"], "due");
  }),
  works("EPV-03", "The little cock first of all blames", (on) =>
    expect(on.answer("cock", "shut").means).toBe("stop"),
  ),
  works("EPV-04", "No coil is measured before there is water", (on) => {
    expect(on.answer("wet", "no")).toMatchObject({ means: "stop" });
    on.inOrder(["check:wet", "check:coil"], "due");
  }),
  works("EPV-05", "The meter against the highest voltage of the cabinet", (on) =>
    expect(on.sums(on.card("shut", "MG-Q1", "due"), "due")).toContain("meter-fitness"),
  ),
  works("EPV-06", "Locked, tagged, proven dead", (on) =>
    on.inOrder(["shut:MG-Q1", "prove:dead:P1E", "strip:wires"], "due"),
  ),
  works("EPV-07", "Leads either way round, wires apart", (on) =>
    expect(on.check("coil").how).toContain("wires held apart, leads either way round"),
  ),
  works("EPV-08", "Shorted, sound, open; a little above is warmth, not a fault", (on) => {
    expect(on.answer("coil", "above").says).toMatch(/Far above/);
    expect(on.check("coil").why).toMatch(/A little above its band is its warmth/);
  }),
  works("EPV-09", "Judged at its temperature by its sum", (on) =>
    expect(on.sums(on.card("check", "coil", "due"), "due")).toContain("coil"),
  ),
  works("EPV-10", "To the frame, and what arrives at the coil under load", (on) => {
    on.inOrder(["check:coil", "check:to-frame", "check:at-coil"], "due");
    expect(on.sums(on.card("check", "at-coil", "due"), "due")).toContain("field-wire");
  }),
  partly(
    "EPV-11",
    "Hoses photographed and noted port by port",
    "port labels are not written on the picture",
    (on) => {
      expect(on.card("mark", "hoses-photo", "due").photo).toBe(true);
      on.inOrder(["mark:hoses-photo", "mark:at:h1", "strip:hoses", "confirm:hoses-photo"], "due");
    },
  ),
  works("EPV-12", "Supply cock shut, hose bled, collar pressed", (on) => {
    on.inOrder(["task:water-side", "strip:hoses"], "due");
    on.speaks(on.card("strip", "hoses", "due"), /Press the collar/);
  }),
  works("EPV-13", "Drain hoses first, for room", (on) =>
    on.inOrder(["strip:drain-hoses", "strip:hoses"], "due"),
  ),
  works("EPV-14", "Spanners for each", (on) =>
    expect(on.card("tools", undefined, "due").bring.map(({ id }) => id)).toEqual(
      expect.arrayContaining(["sp-13", "sp-18", "sp-22"]),
    ),
  ),
  partly(
    "EPV-15",
    "Was there frost: then warm, hold below, steady",
    "the season is asked, not computed",
    (on) => expect(on.answer("frost", "yes").says).toMatch(/hold below, pull steadily/),
  ),
  works("EPV-16", "Three fittings counted, dear, in no bin", (on) => {
    expect(on.card("strip", "fittings", "due").count).toBe(3);
    expect(on.part("fittings").keep).toMatch(/Dear and small/);
  }),
  works("EPV-17", "At the selector's base, never its upper brass: drawn", (on) =>
    expect(on.part("selector").ways[0]?.grip).toMatchObject({ at: "foot", keepOff: { at: "top" } }),
  ),
  works("EPV-18", "Fittings over to the new pilot, port by port", (on) =>
    on.inOrder(["check:pilot-look", "task:transfer", "fit:pilot"], "due", { "pilot-look": "stripped" }),
  ),
  works("EPV-19", "Each port by what it does", (on) =>
    expect(on.sheet.connections.map(({ name }) => name)).toEqual([
      "inlet hose, from the supply cock",
      "outlet hose, to the automatic side",
      "third hose or plug",
      "coil wires",
    ]),
  ),
  works("EPV-20", "The selector's arrow drawn, noted, left at AUTO", (on) => {
    expect(on.card("mark", "selector", "due").dials).toEqual({ AUTO: 0, OPEN: -90, SHUT: 90 });
    on.inOrder(["fit:selector", "confirm:selector", "check:auto-left"], "due");
  }),
  works("EPV-21", "A little tape, the first thread bare", (on) =>
    expect(on.card("fit", "selector", "due").rules).toContainEqual(
      expect.objectContaining({ kind: "sealant", why: expect.stringMatching(/first thread bare/) }),
    ),
  ),
  works("EPV-22", "By hand and half a turn, instead of as tight as it goes", (on) => {
    expect(on.card("fit", "selector", "due").end).toMatchObject({ kind: "angle", fromContact_deg: 180 });
    expect(on.sums(on.card("fit", "fittings", "due"), "due")).toContain("taper-thread");
  }),
  works("EPV-23", "Hose by hose against its note", (on) =>
    on.inOrder(["fit:hoses", "confirm:at:h1", "confirm:at:h2", "confirm:at:h3"], "due"),
  ),
  works("EPV-24", "Hoses, cock, selector ticked; locks off", (on) => {
    expect(on.card("ready", "cock", "due").lines).toHaveLength(3);
    on.inOrder(["restore:cock", "open:MG-V4", "open:MG-Q1"], "due");
  }),
  works("EPV-25", "Open and shut from the panel, its time, the exhaust at rest", (on) =>
    on.inOrder(["open:MG-Q1", "check:opens", "check:auto", "check:exhaust"], "due"),
  ),
];
