import { expect } from "vitest";
import { type Row, works } from "./row.fixtures";

/** Servo solenoid valve. */
export const servoSolenoid: readonly Row[] = [
  works("SSV-01", "Cleaned and put back, or renewed inside", (on) => {
    expect(on.renewed("clean")).not.toContain("armature");
    expect(on.card("task", "wipe", "clean").lines).toHaveLength(3);
    on.inOrder(["strip:diaphragm", "task:wipe", "check:armature-face", "fit:diaphragm"], "clean");
  }),
  works("SSV-02", "Power locked at its source and proven dead", (on) =>
    on.inOrder(["shut:LY-Q1", "prove:dead:W1E", "strip:coil"], "due"),
  ),
  works("SSV-03", "Zero before the first screw", (on) =>
    on.inOrder(["prove:gauge", "prove:again", "crack:tube-bolts"], "due"),
  ),
  works("SSV-04", "Where the blade goes under the coil, and where never: drawn", (on) => {
    expect(on.part("coil").ways[0]?.grip).toMatchObject({ at: "foot", keepOff: { at: "top" } });
    expect(on.card("strip", "coil", "due").tools.map(({ id }) => id)).toContain("blade-5");
  }),
  works("SSV-05", "A live coil off its tube", (on) => {
    expect(on.sheet.hazards.find(({ id }) => id === "bare")?.can).toMatch(/overheats in seconds/);
    on.inOrder(["fit:coil", "open:LY-Q1"], "due");
  }),
  works("SSV-06", "One line across tube, cover and body, photographed", (on) => {
    expect(on.card("mark", "mark-line", "due").photo).toBe(true);
    on.inOrder(["mark:mark-line", "strip:bonnet", "fit:bonnet", "confirm:mark-line"], "due");
  }),
  works("SSV-07", "A finger on the tube: the armature drops", (on) =>
    expect(on.card("strip", "tube-bolts", "due").dangers).toContainEqual(
      expect.objectContaining({ can: expect.stringMatching(/armature and its spring drop out/) }),
    ),
  ),
  works("SSV-08", "Armature and tube: good, marginal, gone", (on) => {
    expect(on.check("armature-face").rubric).toBe("face");
    expect(on.check("tube-inside").rubric).toBe("bore");
  }),
  works("SSV-09", "The tube's ring eased out", (on) =>
    on.inOrder(["strip:armature", "strip:tube-ring"], "due"),
  ),
  works("SSV-10", "Light through the orifice; cleared, never widened", (on) =>
    expect(on.answer("light", "no-go").says).toMatch(/never with steel/),
  ),
  works("SSV-11", "Lamp and brass pick", (on) =>
    expect(on.sheet.tools.map(({ id }) => id)).toEqual(expect.arrayContaining(["light", "brasspick"])),
  ),
  works("SSV-12", "Four screws of the cover, counted", (on) =>
    expect(on.card("strip", "cover-screws", "due").count).toBe(4),
  ),
  works("SSV-13", "The pilot's hole and rim", (on) => expect(on.check("pilot").rubric).toBe("holes")),
  works("SSV-14", "Body and seat wiped and looked at", (on) => {
    expect(on.card("task", "wipe", "due").lines?.map(({ name }) => name)).toContain("Body and seat");
    expect(on.check("body-look").rubric).toBe("face");
  }),
  works("SSV-15", "Two O-rings, counted", (on) => {
    expect(on.check("rings-look").why).toMatch(/^Two there are/);
    on.inOrder(["strip:tube-ring", "strip:cover-ring", "check:rings-look"], "due");
  }),
  works("SSV-16", "Disc up, cone spring wide end down: asked, with what the wrong way does", (on) => {
    on.inOrder(["fit:diaphragm", "check:disc-up", "fit:spring", "confirm:cone"], "due");
    expect(on.answer("disc-up", "no-go").means).toBe("stop");
  }),
  works("SSV-17", "Cover by the line", (on) => on.inOrder(["fit:bonnet", "confirm:mark-line"], "due")),
  works("SSV-18", "Close coils up: drawn and asked", (on) => {
    expect(on.card("fit", "armature-spring", "due").drawn).toContainEqual({ kind: "arrow", to: "up" });
    on.inOrder(["fit:armature-spring", "check:coils-up"], "due");
  }),
  works("SSV-19", "The orifice home, by two fingers", (on) => {
    expect(on.card("fit", "orifice", "due").end.kind).toBe("snug");
    on.inOrder(["fit:orifice", "check:orifice-home"], "due");
  }),
  works("SSV-20", "The ring lies down before it is closed", (on) =>
    on.inOrder(["fit:tube-ring", "check:ring-down", "fit:tube"], "due"),
  ),
  works("SSV-21", "Magnet before the coil", (on) =>
    on.inOrder(["tighten:tube-bolts", "check:magnet", "fit:coil"], "due"),
  ),
  works("SSV-22", "Coil, then power", (on) => on.inOrder(["fit:coil", "fit:coil-nut", "open:LY-Q1"], "due")),
  works("SSV-23", "Open and shut under pressure, what passes shut, what it draws", (on) => {
    on.inOrder(["check:both", "check:through", "check:draw"], "due");
    expect(on.check("draw")).toMatchObject({ dimension: "current", unit: "mA" });
    expect(Object.keys(on.after("due").recheck ?? {})).toEqual(["week"]);
  }),
];
