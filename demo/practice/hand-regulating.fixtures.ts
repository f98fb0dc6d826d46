import { expect } from "vitest";
import { partly, type Row, works } from "./row.fixtures";

const GROOVED = { "cone-face": "wire" };
const kits = ["PH-H20-I", "PH-H20-R", "PH-H20-O"];

/** Hand regulating valve of a refrigeration plant. */
export const handRegulating: readonly Row[] = [
  works("HRV-01", "A cone changed for the other capacity, by its own kit", (on) => {
    expect(on.renewed("recone")).toContain("cone");
    expect(on.walked("recone").job.plan.kits.picks.map(({ id }) => id)).toEqual(["PH-H20-O"]);
  }),
  works("HRV-02", "What the inspection kit holds", (on) =>
    expect(on.sheet.kits.find(({ id }) => id === "PH-H20-I")?.contents.map(({ part }) => part)).toEqual([
      "bonnet-ring",
      "cap-crush",
    ]),
  ),
  works("HRV-03", "The repair kit holds that and the packing", (on) =>
    expect(on.sheet.kits.find(({ id }) => id === "PH-H20-R")?.contents.map(({ part }) => part)).toContain(
      "packing",
    ),
  ),
  works("HRV-04", "The overhaul kit holds cage and cone, and the other cone for its bag", (on) => {
    const kit = on.sheet.kits.find(({ id }) => id === "PH-H20-O");
    expect(kit?.contents.map(({ part }) => part)).toEqual(expect.arrayContaining(["cage", "cone"]));
    expect(kit?.leftovers.map(({ name }) => name)).toContain("Cone, four notches");
  }),
  works("HRV-05", "What is right to be left over", (on) =>
    expect(on.walked("overhaul").job.plan.kits.leftovers.length).toBeGreaterThan(0),
  ),
  works("HRV-06", "The kit by what is worn", (on) => {
    const pick = (symptom: string, answers = {}) =>
      on.walked(symptom, answers).job.plan.kits.picks.map(({ id }) => id);
    expect(kits).not.toContain(pick("due")[0]);
    expect(pick("regulate", GROOVED)).toContain("PH-H20-O");
  }),
  works("HRV-07", "Liquid, hot gas and gauge: shut, let out, proven for an hour", (on) => {
    on.inOrder(["release", "prove:gauge", "prove:hold", "prove:again", "strip:cap"]);
    expect(on.card("hold").minutes).toBe(60);
  }),
  works("HRV-08", "Packing under pressure only back-seated, asked twice, on this model", (on) => {
    on.inOrder(["strip-position:back", "ask:strip:gland-nut", "strip:gland-nut"], "gland");
    expect(on.part("gland-nut").ways[0]?.underPressure).toMatch(/Only back-seated/);
    on.inOrder(["strip:gland-nut", "crack:bonnet-bolts"], "overhaul");
  }),
  works("HRV-09", "The pick for the crush ring", (on) =>
    expect(on.card("tools").bring.map(({ id }) => id)).toContain("brasspick"),
  ),
  works("HRV-10", "Cage unscrewed and drawn down", (on) =>
    on.speaks(on.card("strip", "cage", "overhaul"), /unscrew the cage/),
  ),
  works("HRV-11", "The key for the set screw", (on) =>
    expect(on.card("tools", undefined, "overhaul").bring.map(({ id }) => id)).toContain("hex-3"),
  ),
  works("HRV-12", "A cup under the balls, on the list", (on) =>
    expect(on.card("tools", undefined, "overhaul").bring.map(({ id }) => id)).toContain("cup"),
  ),
  works("HRV-13", "Hole down and held, cone turned until they drop", (on) => {
    on.speaks(on.card("strip", "cage", "overhaul"), /hole down and held still/);
    expect(on.card("strip", "cage", "overhaul").dangers.length).toBeGreaterThan(0);
  }),
  works("HRV-14", "Sixteen out, sixteen in", (on) => {
    expect(on.card("strip", "balls", "overhaul").count).toBe(16);
    expect(on.card("fit", "balls", "overhaul").count).toBe(16);
    expect(on.answer("ball-count", "below").means).toBe("stop");
  }),
  works("HRV-15", "The spring strip moves into the new cone", (on) => {
    on.inOrder(["strip:strip", "fit:strip", "fit:cone"], "regulate", GROOVED);
    on.speaks(on.card("strip", "strip", "overhaul"), /goes into the new one/);
    expect(on.part("strip").keep).toMatch(/no kit/);
  }),
  works("HRV-16", "Either cone worked out for the duty, then chosen", (on) => {
    const { sums } = on.check("which-cone");
    expect(sums?.map(({ start }) => start?.kvs)).toEqual(["0.6 Kv", "1.6 Kv"]);
    on.inOrder(["check:which-cone", "fit:cone"], "regulate");
  }),
  works("HRV-17", "Balls through the hole, then it turns and does not tilt", (on) =>
    on.inOrder(["fit:balls", "check:cone-turns", "fit:cage"], "overhaul"),
  ),
  works("HRV-18", "The set screw by its own end", (on) =>
    expect(on.card("fit", "set-screw", "overhaul").end).toMatchObject({ kind: "touch-and-back-off" }),
  ),
  works("HRV-19", "No gap to the bonnet, by feeler", (on) =>
    on.inOrder(["fit:cage", "check:gap"], "overhaul"),
  ),
  works("HRV-20", "Both faces wiped, ticked, then a new ring", (on) => {
    expect(on.card("task", "faces", "overhaul").lines).toHaveLength(2);
    on.inOrder(["task:faces", "fit:bonnet-ring", "fit:bonnet"], "overhaul");
    expect(on.renewed("regulate")).toContain("bonnet-ring");
  }),
  works("HRV-21", "Four bolts crosswise", (on) =>
    expect(on.card("tighten", "bonnet-bolts", "overhaul").order).toEqual([0, 2, 1, 3]),
  ),
  works("HRV-22", "Turns open noted as a figure, set again and compared", (on) => {
    expect(on.card("mark", "turns").figure).toMatchObject({ unit: "turn", tolerance: 0.1 });
    on.inOrder(["mark:turns", "rebuild-position:mid:11", "confirm:turns", "fit:cap"], "overhaul");
  }),
  partly(
    "HRV-23",
    "Evacuated, then vapour, leak looked for, then liquid",
    "no figure of the vacuum hold is asked",
    (on) => on.inOrder(["restore:evacuate", "check:leak", "open:GN-L2"]),
  ),
];
