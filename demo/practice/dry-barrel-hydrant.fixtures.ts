import { expect } from "vitest";
import { type Row, works } from "./row.fixtures";
import { testedIn } from "./shown.fixtures";

const CUT = { "seat-face": "cut" };
const NICKED = { ...CUT, "seat-ring-look": "nicked" };

/** Dry-barrel hydrant, its main seat. */
export const dryBarrelHydrant: readonly Row[] = [
  works("DBH-01", "A new seat on the drawn stem, with isolation and draw before it", (on) =>
    on.inOrder(["prove:again", "strip:stem", "strip:main-seat", "fit:main-seat", "fit:stem"], "runs", CUT),
  ),
  works("DBH-02", "Street valve, fire service, also beside a job that holds the main", (on) => {
    expect(on.cards().some(({ kind }) => kind === "notify")).toBe(true);
    testedIn("src/core/job/others.test.ts", "tells those who are without already");
  }),
  works("DBH-03", "Vice, hook spanner, seat tool", (on) =>
    expect(on.card("tools", undefined, "runs", CUT).bring.map(({ id }) => id)).toEqual(
      expect.arrayContaining(["vice", "peg", "seat-tool", "tripod"]),
    ),
  ),
  works("DBH-04", "Lower nut off to the left, drawn, then washer, plate, seat", (on) => {
    expect(on.card("strip", "lower-nut").drawn).toEqual([{ kind: "turn", way: "left" }]);
    on.inOrder(["strip:lower-nut", "strip:lock-washer", "strip:lower-plate", "strip:main-seat"], "runs", CUT);
  }),
  works("DBH-05", "The seat ring looked at, good or gone drawn", (on) => {
    expect(on.check("seat-ring-look").rubric).toBe("face");
    on.inOrder(["strip:stem", "check:seat-ring-look"]);
  }),
  works("DBH-06", "Damaged: the job grows by ring and upper plate", (on) => {
    expect(on.cards("runs", CUT).some(({ id }) => id === "strip:seat-ring")).toBe(false);
    on.inOrder(["strip:upper-plate", "strip:seat-ring", "fit:seat-ring", "fit:upper-plate"], "runs", NICKED);
    expect(on.renewed("runs", NICKED)).toEqual(expect.arrayContaining(["seat-ring", "upper-plate"]));
    expect(on.walked("runs", NICKED).job.plan.kits.picks.map(({ id }) => id)).toContain("QL-R5");
  }),
  works("DBH-07", "Which face of the seat: drawn, and asked once it is on", (on) => {
    expect(on.card("fit", "main-seat", "runs", CUT).drawn).toEqual([{ kind: "arrow", to: "up" }]);
    on.inOrder(["fit:main-seat", "check:seat-way", "fit:lower-plate"], "runs", CUT);
    const look = on.check("seat-way");
    expect(look.kind === "trick" && look.noGo.means).toBe("stop");
  }),
  works("DBH-08", "Plate, washer, then the nut", (on) =>
    on.inOrder(["fit:lower-plate", "fit:lock-washer", "fit:lower-nut"], "runs", CUT),
  ),
  works("DBH-09", "The pull at the end of the arm, two people, the vice tried first", (on) => {
    const nut = on.card("fit", "lower-nut", "runs", CUT);
    on.speaks(nut, /pull 300 N at the end of its arm, 900 mm/);
    expect(nut.dangers).toContainEqual(expect.objectContaining({ do: expect.stringMatching(/Two people/) }));
    on.inOrder(["check:vice-holds", "fit:lower-nut"], "runs", CUT);
  }),
  works("DBH-10", "Rings and facings greased whether new or not", (on) => {
    expect(on.card("task", "grease-stem").lines).toHaveLength(2);
    on.inOrder(["task:grease-stem", "fit:stem"]);
  }),
  works("DBH-11", "Rings do not roll on the way down", (on) =>
    expect(on.card("fit", "stem").dangers).toContainEqual(
      expect.objectContaining({ can: expect.stringMatching(/roll on the way down/) }),
    ),
  ),
  works("DBH-12", "Screwed into the drain ring: way and turns drawn", (on) => {
    expect(on.card("strip", "stem").drawn).toEqual([{ kind: "turn", way: "left", turns: 5 }]);
    expect(on.card("fit", "stem").drawn).toEqual([{ kind: "turn", way: "right", turns: 5 }]);
  }),
  works("DBH-13", "Then nut off the tool and tool off the stem", (on) =>
    on.inOrder(["fit:stem", "task:tool-out", "fit:bonnet"]),
  ),
  works("DBH-14", "The tool's loose guide: warned of and counted out", (on) => {
    expect(on.card("strip", "stem").dangers).toContainEqual(
      expect.objectContaining({ can: expect.stringMatching(/guide at the foot of the tool hangs loose/) }),
    );
    expect(on.card("task", "tool-out").lines?.map(({ name }) => name)).toContain("Its guide");
  }),
  works("DBH-15", "Two rings in the grease chamber, counted and looked at", (on) => {
    expect(on.check("chamber-look").ask).toMatch(/two/);
    expect(on.renewed("runs", { "chamber-look": "one" })).toContain("chamber-rings");
    expect(on.card("fit", "chamber-rings", "runs", { "chamber-look": "one" }).count).toBe(2);
  }),
  works("DBH-16", "Bonnet on, bolts in and loose", (on) =>
    expect(on.card("fit", "bonnet-bolts").loose).toBe(true),
  ),
  works(
    "DBH-17",
    "Jam nut and set screw where this hydrant has them; the hand of its thread by build",
    (on) => {
      on.inOrder(["mark:has-stop", "strip:jam-nut", "strip:hold-down", "fit:hold-down", "fit:jam-nut"]);
      const none = { "has-stop": "None", "has-lock-screw": "None" };
      const ids = on.cards("runs", none).map(({ id }) => id);
      expect(ids).not.toContain("strip:jam-nut");
      expect(ids).not.toContain("fit:lock-screw");
      testedIn("src/core/job/drawn.test.ts", "the hand of a thread follows the build");
    },
  ),
  works("DBH-18", "Upper bonnet and free thread greased", (on) =>
    expect(on.card("task", "grease-bonnet").lines?.map(({ name }) => name)).toEqual([
      "Upper bonnet",
      "Free thread of the stem",
    ]),
  ),
  works("DBH-19", "A bearing below and one above, each on its own side", (on) =>
    on.inOrder(["fit:bearing-lower", "fit:operating-nut", "fit:bearing-upper"]),
  ),
  works("DBH-20", "Hold-down nut against habit, drawn; its ring greased; tapped", (on) => {
    const right = { opens: "Right (clockwise)" };
    expect(on.card("fit", "hold-down", "runs", right).drawn).toEqual([
      { kind: "turn", way: "left", turns: 9 },
    ]);
    on.speaks(on.card("fit", "hold-down"), /tap it once all round/);
    expect(on.part("hold-down-ring").fit?.surface?.kind).toBe("lubricate");
  }),
  works("DBH-21", "Weather cap, and the bonnet bolts last", (on) =>
    on.inOrder(["fit:weather-cap", "tighten:bonnet-bolts"]),
  ),
  works("DBH-22", "Bonnet bolts crosswise in passes", (on) =>
    expect(on.card("tighten", "bonnet-bolts").passes.length).toBeGreaterThan(3),
  ),
  works("DBH-23", "Leak, turns, drain, seat: all asked before it is back in service", (on) => {
    on.inOrder([
      "check:leak",
      "check:static-pressure",
      "check:turns-shut",
      "check:drain-time",
      "check:seat-tight",
      "restore:tell",
    ]);
  }),
  works("DBH-24", "Turns, direction and drain time in the record; back in service told", (on) => {
    const record = JSON.stringify(on.record());
    for (const each of [
      "turns-shut",
      "14 turn",
      "Left (anticlockwise)",
      "drain-time",
      "Which way does it open",
    ])
      expect(record).toContain(each);
    expect(on.cards().some(({ id }) => id === "restore:tell")).toBe(true);
  }),
];
