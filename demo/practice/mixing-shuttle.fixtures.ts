import { expect } from "vitest";
import { partly, type Row, works } from "./row.fixtures";

const FILM = { dirt: "film" };

/** Electronic mixing valve, a shuttle between two seats. */
export const mixingShuttle: readonly Row[] = [
  works("MVH-01", "Stripped and served to the last seat", (on) =>
    on.inOrder(["strip:box", "strip:head", "strip:shuttle", "strip:hot-seat"], "due"),
  ),
  works("MVH-02", "Tools, with how far a driver reaches", (on) =>
    expect(on.card("tools", undefined, "due").bring.find(({ id }) => id === "cross-2")?.reach_m).toBe(0.2),
  ),
  works("MVH-03", "Hot, cold and mixed shut", (on) =>
    expect(on.ids("due")).toEqual(expect.arrayContaining(["shut:LD-W23", "shut:LD-W24", "shut:LD-W22"])),
  ),
  works("MVH-04", "Cracked at the outlet fitting, and tightened again", (on) =>
    on.inOrder(["release", "prove:gauge", "restore:fitting", "open:LD-W22"], "due"),
  ),
  works("MVH-05", "Power off and dead, then the plugs", (on) =>
    on.inOrder(["shut:LD-Q2", "prove:dead:M2E", "mark:at:plug", "mark:at:motor", "strip:box"], "due"),
  ),
  works("MVH-06", "The box slides up out of its bracket", (on) =>
    on.speaks(on.card("strip", "box", "due"), /slide the control box up/),
  ),
  works("MVH-07", "Bracket half off by one nut, two screws of the guard", (on) => {
    expect(on.card("strip", "bracket-nut", "due").slackened).toBe(true);
    expect(on.card("strip", "guard-screws", "due").count).toBe(2);
  }),
  works("MVH-08", "All screws loosened before one comes out", (on) =>
    on.inOrder(["crack:head-screws", "strip:head-screws"], "due"),
  ),
  works("MVH-09", "A screw that resists: stop, and the proof begins anew", (on) => {
    expect(on.sheet.hazards.find(({ id }) => id === "pressure")?.do).toMatch(/prove zero again/);
    on.inOrder(["prove:again", "crack:head-screws", "strip:head-screws"], "due");
  }),
  works("MVH-10", "A little twist, then straight", (on) =>
    on.speaks(on.card("strip", "head", "due"), /little twist, then a straight pull/),
  ),
  works("MVH-11", "The head's ring: cuts, digs, and swelling by the calliper", (on) => {
    on.inOrder(["check:head-ring-look", "check:swell"], "due");
    expect(on.check("swell")).toMatchObject({ unit: "mm", low: 2.8, high: 3.2 });
  }),
  works("MVH-12", "Sound and not swollen it goes back", (on) => {
    expect(on.renewed("due")).not.toContain("head-ring");
    expect(on.renewed("due", { swell: "3.5" })).toContain("head-ring");
  }),
  works("MVH-13", "The shuttle's faces, drawn", (on) => expect(on.check("shuttle-face").rubric).toBe("face")),
  works("MVH-14", "Soap first; acid only for what is left", (on) => {
    expect(on.ids("due", { dirt: "clean" })).not.toContain("task:descale");
    on.inOrder(["check:dirt", "task:descale", "soak:descale", "task:rinse"], "due", FILM);
  }),
  works("MVH-15", "Two spanners: the shaft held", (on) => {
    const { tools, forbidden } = on.card("strip", "shuttle-nut", "due");
    expect(tools.map(({ id }) => id)).toEqual(["sp-10", "adjustable"]);
    expect(forbidden.length).toBeGreaterThan(0);
  }),
  works("MVH-16", "Half and half, no longer than it fizzes, rinsed and ticked", (on) => {
    expect(on.card("soak", "descale", "due", FILM).most_min).toBe(20);
    expect(on.sums(on.card("task", "descale", "due", FILM), "due", FILM)).toContain("descale");
    expect(on.card("task", "rinse", "due", FILM).lines).toHaveLength(2);
  }),
  works("MVH-17", "A film on the shuttle's small ring alone", (on) => {
    const kinds = on.card("fit", "shuttle", "due").rules.map(({ kind }) => kind);
    expect(kinds).toEqual(expect.arrayContaining(["lubricate", "keep-off"]));
  }),
  works("MVH-18", "Shuttle all the way, washer, nut", (on) => {
    on.inOrder(["fit:shuttle", "fit:shuttle-washer", "fit:shuttle-nut"], "due");
    expect(on.card("fit", "shuttle", "due").end.kind).toBe("until-stop");
  }),
  works("MVH-19", "The cold seat wiped before it is closed", (on) =>
    on.inOrder(["task:wipe-seat", "fit:head"], "due"),
  ),
  works("MVH-20", "Wire to the rear, turned until the holes line up", (on) => {
    on.speaks(on.card("fit", "head", "due"), /turn it until the holes line up/);
    on.inOrder(["fit:head", "confirm:head-side"], "due");
  }),
  works("MVH-21", "Diagonally, then round once more", (on) =>
    expect(on.card("tighten", "head-screws", "due").passes.at(-1)?.circular).toBe(true),
  ),
  works("MVH-22", "The wire over the bracket", (on) => {
    on.speaks(on.card("fit", "bracket-nut", "due"), /UNDER the motor wire/);
    expect(on.card("fit", "bracket-nut", "due").dangers.length).toBeGreaterThan(0);
  }),
  works("MVH-23", "Cold, hot, power, looked at; the outlet last", (on) =>
    on.inOrder(["restore:fitting", "open:LD-W22", "open:LD-W23", "check:mixed-temp", "open:LD-W24"], "due"),
  ),
  works("MVH-24", "Plugs colour to colour and home, power after", (on) =>
    on.inOrder(["fit:box", "confirm:at:plug", "confirm:at:motor", "open:LD-Q2"], "due"),
  ),
  partly(
    "MVH-25",
    "Yearly, and in half the time where the scale is thick",
    "no link to the maker's manual",
    (on) => expect(on.after("due", { dirt: "scale" }).shorter?.yearly).toBe(6),
  ),
];
