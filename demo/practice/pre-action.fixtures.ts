import { expect } from "vitest";
import { partly, type Row, works } from "./row.fixtures";
import { testedIn } from "./shown.fixtures";

/** Pneumatic actuator of a pre-action valve. */
export const preAction: readonly Row[] = [
  works("PAA-01", "All that wears: diaphragms, seat, pad, spring, plug ring", (on) => {
    expect(on.renewed("due")).toEqual(
      expect.arrayContaining(["upper-diaphragm", "lower-diaphragm", "seat", "plug-ring"]),
    );
    expect(on.ids("due")).toEqual(expect.arrayContaining(["strip:spring-pad", "strip:spring"]));
  }),
  works("PAA-02", "Out of service before it leaves the trim", (on) =>
    on.inOrder(["check:told", "shut:FS-V1", "prove:again:G1", "strip:actuator"], "due"),
  ),
  works("PAA-03", "Who was told, permit and watch; restored when it is proven", (on) => {
    expect(on.check("told").how).toEqual(["names, times and permit number", "who watches, and from when"]);
    expect(on.sums(on.card("kit", undefined, "due"), "due")).toContain("impairment-clock");
    on.inOrder(["check:told", "prepare:permits", "check:reset", "restore:tell"], "due");
  }),
  works("PAA-04", "The trim photographed, each of its three pipes by colour and port", (on) => {
    expect(on.card("mark", "trim", "due").photo).toBe(true);
    expect(on.sheet.connections.map(({ colour }) => colour)).toEqual(["blue tape", "red tape", "green tape"]);
    on.inOrder(["mark:trim", "strip:unions", "mark:at:drain", "strip:actuator"], "due");
  }),
  partly("PAA-05", "Kits by number, parts by name", "single parts have no number of their own", (on) =>
    expect(on.sheet.kits.map(({ id }) => id)).toContain("Q-WA1-R"),
  ),
  works("PAA-06", "Seven things in the kit, ticked as it is opened, counted as it closes", (on) => {
    expect(on.sheet.kits.find(({ id }) => id === "Q-WA1-R")?.contents).toHaveLength(7);
    expect(on.card("kit", undefined, "due").lines!.length).toBeGreaterThan(3);
    testedIn("src/core/job/kit-lines.test.ts", "is not done before each line was taken in the hand");
  }),
  works("PAA-07", "The whole kit or diaphragms alone, weighed", (on) => {
    expect(on.sheet.depths?.map(({ kind }) => kind)).toEqual(["repair", "overhaul"]);
    expect(on.sheet.kits.find(({ id }) => id === "Q-WA1-D")?.note).toMatch(/as old as the rest/);
  }),
  works("PAA-08", "Cover screws counted", (on) =>
    expect(on.card("strip", "cover-screws", "due").count).toBe(8),
  ),
  works("PAA-09", "The key, and what is too slack", (on) =>
    expect(
      on.card("tools", undefined, "due").bring.find(({ id }) => id === "hex-5")?.substitutes,
    ).toBeDefined(),
  ),
  works("PAA-10", "Off in layers, to pad and spring", (on) =>
    on.inOrder(
      ["upper-diaphragm", "piston", "spacer", "lower-diaphragm", "spring-pad", "spring"].map(
        (id) => `strip:${id}`,
      ),
      "due",
    ),
  ),
  works("PAA-11", "A number and a photograph for each layer", (on) => {
    expect(on.card("mark", "layers", "due").photo).toBe(true);
    expect(on.part("lower-diaphragm").lookAlikes?.[0]?.name).toMatch(/upper diaphragm/);
  }),
  works("PAA-12", "Turned over to reach the seat: drawn", (on) => {
    expect(on.card("strip", "seat-plug", "due").drawn).toContainEqual({
      kind: "face-up",
      face: "seat side",
      over: true,
    });
    expect(on.card("strip", "seat", "due").drawn).toContainEqual({ kind: "face-up", face: "seat side" });
  }),
  works("PAA-13", "Seat first, then the body turned", (on) => {
    on.inOrder(["fit:seat", "fit:seat-plug", "fit:upper-diaphragm"], "due");
    expect(on.card("fit", "upper-diaphragm", "due").drawn).toContainEqual(
      expect.objectContaining({ kind: "face-up", over: true }),
    );
  }),
  works("PAA-14", "The spring in, upright", (on) =>
    on.inOrder(["fit:spring-pad", "fit:spring", "fit:cover"], "due"),
  ),
  works("PAA-15", "The upper half by itself, six pieces, on a tray of its own", (on) => {
    expect(on.card("fit", "spacer", "due").assembly).toEqual({ name: "Upper half", piece: 3, of: 6 });
    const items = on.walked("due").job.tray.items.filter(({ assembly }) => assembly === "Upper half");
    expect(items).toHaveLength(6);
  }),
  works("PAA-16", "Two screws as pins", (on) => on.speaks(on.card("fit", "spacer", "due"), /as pins/)),
  works("PAA-17", "Over in one move; pad and spring are loose in it", (on) => {
    expect(on.card("fit", "cover", "due").dangers).toContainEqual(
      expect.objectContaining({ can: expect.stringMatching(/Pad and spring are loose/) }),
    );
    expect(on.card("fit", "cover", "due").drawn).toContainEqual(
      expect.objectContaining({ kind: "face-up", over: true }),
    );
  }),
  works("PAA-18", "Is the pad seen in its place", (on) => {
    on.inOrder(["fit:spring", "check:pad-seen", "fit:cover"], "due");
    expect(on.answer("pad-seen", "no-go").means).toBe("stop");
  }),
  works("PAA-19", "Diaphragm, piston, nozzle, body: each by a drawn rubric", (on) => {
    for (const look of ["diaphragms", "piston-look", "nozzle", "body-look"])
      expect(on.check(look).rubric).toBeDefined();
  }),
  works("PAA-20", "Crosswise to the figure; no rubber pressed out", (on) => {
    on.inOrder(["tighten:cover-screws", "check:bulge"], "due");
    expect(on.card("tighten", "cover-screws", "due").limit_Nm).toBe(6);
  }),
  works("PAA-21", "What holds it shut, by sum", (on) =>
    expect(on.sums(on.card("check", "trip", "due"), "due")).toContain("actuator-balance"),
  ),
  works("PAA-22", "Air and priming first, the main gate last, secured", (on) =>
    on.inOrder(["restore:prime", "open:FS-T7", "open:FS-T1", "check:reset", "open:FS-V1"], "due"),
  ),
  works("PAA-23", "Where it trips, how soon, the alarm received, the seat dry; then back in service", (on) =>
    on.inOrder(
      [
        "check:trip",
        "check:trip-time",
        "check:alarm",
        "check:weep",
        "check:reset",
        "open:FS-V1",
        "restore:tell",
      ],
      "due",
    ),
  ),
  works("PAA-24", "Each act by its own date, with its source", (on) => {
    expect(on.sheet.intervals.map(({ renews }) => renews?.length ?? 0)).toEqual([0, 3]);
    expect(on.sheet.intervals[0]?.source).toMatch(/NFPA 25/);
    expect(Object.keys(on.after("weeps").last ?? {})).not.toContain("rebuild");
  }),
];
