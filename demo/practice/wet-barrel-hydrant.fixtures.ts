import { expect } from "vitest";
import { type Row, works } from "./row.fixtures";
import { testedIn } from "./shown.fixtures";

const WORN = { "disc-face": "catches" };
const THREADED = { "nozzle-kind": "A thread" };

/** Wet-barrel hydrant, its outlet valve. */
export const wetBarrelHydrant: readonly Row[] = [
  works("WBH-01", "A new disc, nozzle and stem-end nut on the way", (on) => {
    expect(on.renewed("weeps", WORN)).toContain("disc");
    on.inOrder(["strip:nozzle", "strip:stem-nut", "strip:disc"], "weeps");
  }),
  works("WBH-02", "Street valve shut, drained, proven twice before anything comes off", (on) =>
    on.inOrder(["prove:gauge", "prove:hold", "prove:again", "strip:cap", "strip:nozzle"]),
  ),
  works("WBH-03", "Full main pressure behind each outlet, with its force", (on) => {
    expect(on.sheet.hazards.find(({ id }) => id === "pressure")?.can).toMatch(/Main pressure stands behind/);
    expect(on.sums(on.card("crack", "gland-bolts"))).toContain("cover-force");
  }),
  works("WBH-04", "Two kinds of nozzle, told by a look at the valve", (on) => {
    expect(on.cards("weeps", THREADED).some(({ kind }) => kind === "other-build")).toBe(true);
    on.speaks(on.card("strip", "nozzle", "weeps", THREADED), /^Unscrew/);
    on.speaks(on.card("strip", "nozzle"), /gap for its lugs/);
  }),
  works("WBH-05", "Keys by size, with what is too slack", (on) => {
    const key = on.card("tools").bring.find(({ id }) => id === "hex-5");
    expect(key?.substitutes).toContainEqual(
      expect.objectContaining({ allowedWhen: expect.stringMatching(/rounds/) }),
    );
  }),
  works("WBH-06", "Turned to its lug gap: the angle and the way drawn", (on) => {
    expect(on.card("strip", "nozzle").drawn).toContainEqual({ kind: "turn", way: "right", degrees: 60 });
    testedIn("src/words/drawn.test.ts", "how far: turns, one turn, an angle");
  }),
  works("WBH-07", "Where the gap stands, by body and outlet, on a clock face", (on) => {
    const { dials, choices } = on.card("mark", "lug-gap");
    expect(dials).toEqual({ [choices[0]!]: 180, [choices[1]!]: 270 });
  }),
  works("WBH-08", "Pushed out by its own stem, whose way is drawn", (on) => {
    expect(on.card("strip", "nozzle").drawn).toContainEqual({ kind: "stem", to: "Open", way: "left" });
    expect(on.card("strip", "nozzle").stands).toEqual({ before: "Shut", after: "Open" });
  }),
  works("WBH-09", "A threaded one: part-open, then unscrewed", (on) => {
    const { stands, drawn } = on.card("strip", "nozzle", "weeps", THREADED);
    expect(stands?.before).toBe("A turn open");
    expect(drawn).toContainEqual({ kind: "turn", way: "left", turns: 7 });
    expect(on.card("position", "ajar", "weeps", THREADED).drawn).toEqual([
      { kind: "stem", to: "A turn open", way: "left", turns: 1 },
    ]);
  }),
  works("WBH-10", "The stem leaves the closing way, against habit: drawn", (on) => {
    on.inOrder(["strip:stem-nut", "strip:stem"]);
    expect(on.card("strip", "stem").drawn).toEqual([{ kind: "turn", way: "right", turns: 16 }]);
    on.speaks(on.card("strip", "stem"), /though one thinks of opening/);
    expect(on.card("fit", "stem").drawn).toEqual([{ kind: "turn", way: "left", turns: 16 }]);
  }),
  works("WBH-11", "The stem ring looked at and renewed by what it looks like, with its size", (on) => {
    expect(on.renewed("weeps", { "stem-ring-look": "flat" })).toContain("stem-ring");
    expect(on.renewed("weeps")).not.toContain("stem-ring");
    expect(on.part("stem-ring").features?.[0]).toMatchObject({ nominal_mm: 5 });
  }),
  works("WBH-12", "Disc, nut, collars, ring: in order and counted", (on) => {
    on.inOrder(["strip:disc", "strip:thrust-nut", "strip:collars", "strip:friction-ring"], "weeps", WORN);
    expect(on.card("strip", "collars", "weeps", WORN).count).toBe(2);
  }),
  works("WBH-13", "The brake ring dry: wiped, and looked at again after the collars", (on) => {
    expect(on.card("fit", "friction-ring", "weeps", WORN).wipe).toBe(true);
    on.inOrder(["fit:friction-ring", "fit:collars", "check:brake-dry", "fit:thrust-nut"], "weeps", WORN);
  }),
  works("WBH-14", "The nut the right way round, and how the wrong way is felt", (on) => {
    on.inOrder(["fit:thrust-nut", "check:nut-way"], "weeps", WORN);
    expect(on.card("fit", "thrust-nut", "weeps", WORN).rules).toContainEqual(
      expect.objectContaining({ kind: "orientation" }),
    );
  }),
  works("WBH-15", "Food-grade grease listed for drinking water; what never", (on) => {
    const rule = on.card("fit", "collars", "weeps", WORN).rules.find((each) => each.kind === "lubricate");
    expect(rule).toMatchObject({ never: expect.arrayContaining(["petroleum"]) });
    expect(on.sheet.supplies.find(({ id }) => id === "food-grease")?.potable).toBe(true);
  }),
  works("WBH-16", "The stem's thread dry, each surface by itself", (on) => {
    const kinds = on.card("fit", "stem").rules.map(({ kind }) => kind);
    expect(kinds).toEqual(expect.arrayContaining(["lubricate", "keep-off", "thread-dry"]));
  }),
  works("WBH-17", "Disc and nut by hand first, then with the tool, to a named end", (on) => {
    const { do: says, end } = on.card("fit", "thrust-nut", "weeps", WORN);
    expect(says).toMatch(/by hand as far as it goes, then with the peg spanner/);
    expect(end.kind).toBe("until-stop");
  }),
  works("WBH-18", "Locker by screw with its grade, and its cure before water", (on) => {
    const { parts } = on.card("cure");
    expect(parts.map(({ name }) => name)).toEqual(expect.arrayContaining(["Stem-end nut", "Nozzle screw"]));
    on.inOrder(["rebuild:cure", "check:leak"]);
  }),
  works("WBH-19", "No end play, yet it turns", (on) => on.inOrder(["fit:stem", "check:disc-play"])),
  works("WBH-20", "The stem-end nut back, with its locker", (on) => {
    expect(on.card("fit", "stem-nut").rules).toContainEqual(
      expect.objectContaining({ kind: "locker", with: "Threadlocker, medium" }),
    );
  }),
  works("WBH-21", "Home by the same angle the other way, its dimple photographed and met", (on) => {
    expect(on.card("fit", "nozzle").drawn).toContainEqual({ kind: "turn", way: "left", degrees: 60 });
    expect(on.card("mark", "dimple").photo).toBe(true);
    on.inOrder(["mark:dimple", "strip:nozzle", "fit:nozzle", "confirm:dimple"]);
  }),
  works("WBH-22", "A nozzle that stands proud: why, and what to turn", (on) => {
    const look = on.check("nozzle-home");
    expect(look.kind === "trick" && look.noGo.says).toMatch(/Open the stem by half a turn/);
    on.inOrder(["fit:nozzle", "check:nozzle-home", "fit:nozzle-screw"]);
  }),
  works("WBH-23", "The nozzle's screw by kind: touch and back with the gap, or touch alone", (on) => {
    expect(on.card("fit", "nozzle-screw").end).toEqual({
      kind: "touch-and-back-off",
      backOff_turns: 0.25,
      pitch_mm: 1.25,
    });
    expect(on.card("fit", "nozzle-screw", "weeps", THREADED).end).toEqual({ kind: "touch" });
    testedIn("src/words/end-words.test.ts", "a gap of");
  }),
  works("WBH-24", "Caps on and outlets shut before water; the vent outlet shut again", (on) => {
    const cards = on.cards();
    expect(cards.findIndex(({ id }) => id === "restore:caps")).toBeLessThan(
      cards.findIndex(({ kind }) => kind === "open"),
    );
    on.inOrder(["restore:vent", "vent-shut:NQ-H05", "check:leak"]);
  }),
  works("WBH-25", "Looked at for its time under pressure, then the fire service told", (on) => {
    expect(on.check("leak").wait_min).toBe(2);
    const cards = on.cards();
    const told = cards.findLastIndex(({ kind }) => kind === "tell");
    expect(told).toBeGreaterThan(cards.findIndex(({ id }) => id === "check:leak"));
    expect(told).toBeLessThan(cards.findIndex(({ kind }) => kind === "sign-off"));
  }),
];
