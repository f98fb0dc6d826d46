import { expect } from "vitest";
import { partly, type Row, works } from "./row.fixtures";

/** CO2 stop valve. */
export const co2Stop: readonly Row[] = [
  works("CSV-01", "Isolated, drained, served, charged again", (on) =>
    on.inOrder(["drain:LP", "prove:again", "strip:top", "fit:top", "restore:charge"], "open"),
  ),
  works("CSV-02", "Is liquid in it; drained at the lowest point, dry ice warned of", (on) => {
    on.inOrder(["mark:liquid", "drain:LP", "release"], "open");
    expect(on.sheet.hazards.find(({ id }) => id === "dry-ice")?.do).toMatch(/never heat it/);
  }),
  works("CSV-03", "Zero twice before it is opened", (on) =>
    on.inOrder(["prove:gauge", "prove:hold", "prove:again", "strip:wheel-nut"], "open"),
  ),
  works("CSV-04", "Spanners, key, torque wrench", (on) =>
    expect(on.card("tools", undefined, "open").bring.map(({ id }) => id)).toEqual(
      expect.arrayContaining(["sp-27", "hex-8", "torque"]),
    ),
  ),
  works("CSV-05", "Straight or angle, welded or brazed: told by a look", (on) => {
    expect(on.sheet.builds.map(({ id }) => id)).toEqual(["straight", "angle"]);
    expect(on.card("mark", "body-shape", "open").shapes).toBeDefined();
    expect(on.card("mark", "ends", "open").choices).toEqual(["Welded", "Brazed"]);
  }),
  works("CSV-06", "A worn gland is the whole top", (on) => {
    expect(on.answer("gland-worn", "worn")).toMatchObject({ means: "stop" });
    on.inOrder(["strip:gland-nut", "check:gland-worn"], "open");
  }),
  works("CSV-07", "Never slackened to ease the spindle", (on) => {
    expect(on.sheet.hazards.find(({ id }) => id === "gland")?.do).toMatch(/Never loosen the gland/);
    expect(on.answer("cause", "ice")).toMatchObject({
      means: "stop",
      says: expect.stringMatching(/Never loosen/),
    });
  }),
  works("CSV-08", "Back-seated with its figure, before gland and bolts", (on) => {
    on.inOrder(["strip-position:back", "strip:gland-nut", "crack:bolts"], "open");
    on.speaks(on.card("position", "back", "open"), /15 N·m at most/);
    // From its back seat it is turned the other way than from shut: no arrow where that is not known.
    for (const each of on.cards("open"))
      if (each.stands?.after === "Open")
        expect(each.drawn ?? []).not.toContainEqual(expect.objectContaining({ kind: "stem" }));
    expect(on.card("position", "back", "open").drawn).toContainEqual({
      kind: "stem",
      to: "Back-seated",
      way: "left",
    });
  }),
  works("CSV-09", "The gland half a turn, wait, listen", (on) =>
    on.speaks(on.card("strip", "gland-nut", "open"), /half turn, wait/),
  ),
  works("CSV-10", "The gland never above its limit", (on) => {
    const { torque_Nm, limit_Nm } = on.card("fit", "gland-nut", "open");
    expect(torque_Nm).toBeLessThanOrEqual(limit_Nm!);
  }),
  works("CSV-11", "Two bolts left in until it is cracked", (on) =>
    on.inOrder(["crack:bolts", "strip:bolts", "strip:top"], "open"),
  ),
  works("CSV-12", "The gasket off with plastic, no scratch", (on) => {
    expect(on.card("strip", "gasket", "open").tools.map(({ id }) => id)).toEqual(["scraper"]);
    on.speaks(on.card("strip", "gasket", "open"), /without a scratch/);
  }),
  works("CSV-13", "Plate, cone ring, in order", (on) => on.inOrder(["strip:top", "strip:cone"], "open")),
  works("CSV-14", "A hot line renews its backup ring every year", (on) => {
    expect(on.after("due").shorter).toBeUndefined();
    expect(on.after("due", { hottest: "55" }).shorter?.backup).toBe(12);
  }),
  works("CSV-15", "The spindle turned until the ring shows, and no further", (on) => {
    on.speaks(on.card("strip", "backup", "due"), /until the backup ring shows, stop there/);
    expect(on.card("strip", "backup", "due").drawn).toContainEqual({ kind: "turn", way: "right" });
  }),
  works("CSV-16", "The dark grease stays", (on) =>
    on.speaks(on.card("fit", "top", "open"), /stays untouched/),
  ),
  works("CSV-17", "Dirt in it: the whole top", (on) =>
    expect(on.answer("grease", "dirty").means).toBe("stop"),
  ),
  works("CSV-18", "Gland, or all of it: the kit by what is done", (on) => {
    expect(on.renewed("open")).toEqual(expect.arrayContaining(["gasket", "gland-ring", "backup"]));
    expect(on.sheet.depths?.map(({ id }) => id)).toEqual(["gland", "open", "cone"]);
  }),
  works("CSV-19", "The groove clean before its ring", (on) =>
    on.inOrder(["check:groove", "fit:gland-ring"], "open"),
  ),
  works("CSV-20", "Back-seated while the cone ring goes in", (on) =>
    expect(on.card("fit", "cone", "open").stands?.before).toBe("Back-seated"),
  ),
  works("CSV-21", "Cone plate and bolts to their figures, crosswise", (on) => {
    expect(on.card("fit", "cone", "open").torque_Nm).toBeGreaterThan(0);
    expect(on.card("tighten", "bolts", "open").order).toEqual([0, 2, 1, 3]);
  }),
  works("CSV-22", "Faces clean, the gasket dry", (on) => {
    on.inOrder(["check:faces-clean", "fit:gasket"], "open");
    expect(on.card("fit", "gasket", "open").rules).toContainEqual(
      expect.objectContaining({ kind: "stays-dry" }),
    );
  }),
  partly(
    "CSV-23",
    "Off its back seat, ring of its line under the wheel, gland felt once more",
    "it is left open for the line, not shut",
    (on) => {
      on.inOrder(["fit:gland-nut", "fit:id-ring", "fit:wheel"], "open");
      expect(on.check("leak").how).toContainEqual(expect.stringMatching(/gland nut does not move/));
    },
  ),
  works("CSV-24", "Vapour first, above the triple point, then liquid", (on) =>
    on.inOrder(["restore:charge", "restore:gate", "open:GC-F1"], "open"),
  ),
  works("CSV-25", "Two gauges side by side, then the leak look", (on) => {
    on.inOrder(["check:equal", "check:leak"], "open");
    expect(on.answer("equal", "low").means).toBe("stop");
  }),
];
