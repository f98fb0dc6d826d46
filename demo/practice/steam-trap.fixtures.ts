import { expect } from "vitest";
import { depthOf } from "@/core/depth";
import { type Row, works } from "./row.fixtures";
import { testedIn } from "./shown.fixtures";

/** Inverted bucket steam trap. */
export const steamTrap: readonly Row[] = [
  works("IBT-01", "Opened and judged, with or without a strainer", (on) => {
    const none = { strainer: "One plug: without" };
    expect(on.cards("due", {}, { reach: ["strainer"] }).some(({ id }) => id === "strip:strainer")).toBe(true);
    expect(
      on.cards("due", none, { reach: ["strainer", "seat"] }).some(({ id }) => id === "strip:strainer"),
    ).toBe(false);
  }),
  works("IBT-02", "Shut both sides, bled, cool enough to touch", (on) => {
    expect(on.cards().filter(({ kind }) => kind === "shut").length).toBeGreaterThanOrEqual(2);
    const cards = on.cards();
    expect(cards.findLastIndex(({ kind }) => kind === "shut")).toBeLessThan(
      cards.findIndex(({ id }) => id === "check:body-temp"),
    );
    on.inOrder(["check:body-temp", "strip:test-plug"]);
  }),
  works("IBT-03", "The gasket in the hand before the top is lifted", (on) => {
    expect(on.renewed()).toContain("gasket");
    expect(on.card("kit").lines!.map(({ name }) => name)).toContain("Cover gasket");
    testedIn("src/core/job/kit-lines.test.ts", "is not done before each line was taken in the hand");
  }),
  works("IBT-04", "Spanners, punch", (on) => {
    expect(on.card("tools").bring.map(({ id }) => id)).toEqual(
      expect.arrayContaining(["sp-19", "sp-22", "hammer-small"]),
    );
  }),
  works("IBT-05", "Bolts by count, grade and torque", (on) => {
    expect(on.part("bolts")).toMatchObject({ quantity: 6, fastener: { thread: "M12", grade: "8.8" } });
  }),
  works("IBT-06", "Rusted bolts looked at and renewed; one that breaks", (on) => {
    expect(on.renewed("due", { "bolt-look": "pitted" })).toContain("bolts");
    const look = on.check("bolt-look");
    expect(look.kind === "choice" && look.options.find(({ id }) => id === "broke")?.means).toBe("stop");
  }),
  works("IBT-07", "Plug before cover", (on) => on.inOrder(["strip:test-plug", "strip:bolts", "strip:top"])),
  works("IBT-08", "Each bolt and the plug shocked first, ticked one by one", (on) => {
    expect(on.card("task", "shock").lines).toHaveLength(7);
    on.inOrder(["task:shock", "strip:test-plug", "crack:bolts"]);
  }),
  works("IBT-09", "Bond broken sideways", (on) => on.speaks(on.card("strip", "top"), /sideways/)),
  works("IBT-10", "Tape so that the next one gets it out, from the first fitting on", (on) => {
    expect(on.card("fit", "test-plug").rules).toContainEqual(
      expect.objectContaining({ kind: "sealant", why: expect.stringMatching(/first fitting/) }),
    );
  }),
  works("IBT-11", "Lifted so that the bucket clears", (on) =>
    on.speaks(on.card("strip", "top"), /bucket clears/),
  ),
  works("IBT-12", "Outlet passage free", (on) =>
    expect(on.check("outlet-passage")).toMatchObject({ rubric: "bore" }),
  ),
  works("IBT-13", "Bucket unhooked before the lever", (on) =>
    on.inOrder(["strip:bucket", "strip:hinge"], "due"),
  ),
  works("IBT-14", "Plug meets seat, before and after", (on) => {
    on.inOrder(["check:hinge-free", "fit:hinge", "check:meets-hinge"], "due");
  }),
  works("IBT-15", "Bucket whole, its vent open and of its size", (on) => {
    on.inOrder(["check:vent", "check:vent-size"], "due");
    expect(on.check("vent-size")).toMatchObject({ kind: "measure", unit: "mm" });
  }),
  works("IBT-16", "Ball and orifice: pits and wear, drawn", (on) => {
    expect(on.check("orifice").rubric).toBe("face");
    expect(on.renewed("due", { orifice: "cut" })).toEqual(expect.arrayContaining(["seat", "hinge"]));
  }),
  works("IBT-17", "Cover upside down, held by one bolt", (on) =>
    on.speaks(on.card("task", "fixture", "due"), /Turn the cover over/),
  ),
  works("IBT-18", "Hinge screws, then seat", (on) =>
    on.inOrder(["strip:hinge-screws", "strip:hinge", "strip:seat"]),
  ),
  works("IBT-19", "The cheaper conversion kit, with what it does worse", (on) => {
    const { kits } = on.walked("due", { orifice: "cut" }).job.plan;
    expect(kits.picks).toContainEqual(
      expect.objectContaining({ id: "L-BK20-C", note: expect.stringMatching(/later/) }),
    );
    expect(kits.second?.picks.map(({ id }) => id)).toContain("L-BK20-I");
    expect(
      depthOf(on.inputs("blows", { reach: ["seat", "bucket"] }), {
        id: "inside",
        leak: "runs",
        access: "hard",
        reason: "No second trip.",
      }).ok,
    ).toBe(true);
  }),
  works("IBT-20", "Hinge the right way round", (on) => {
    expect(on.card("fit", "hinge").rules).toContainEqual({
      kind: "orientation",
      says: "lever to the outlet, pins up",
    });
  }),
  works("IBT-21", "Lever moves at each stage", (on) =>
    on.inOrder(["check:hinge-free", "check:meets-hinge", "check:meets-bucket"], "due"),
  ),
  works("IBT-22", "Gasket always new, ball and seat by what they look like", (on) => {
    expect(on.renewed("due")).toContain("gasket");
    expect(on.renewed("due")).not.toContain("seat");
  }),
  works("IBT-23", "By hand, then crosswise in passes", (on) => {
    expect(on.card("tighten", "bolts").passes.map(({ percent }) => percent)).toEqual([30, 60, 100, 100]);
  }),
  works("IBT-24", "Orifice size and lost steam", () =>
    testedIn("src/core/calculators/steam/trap-loss.ts", "trap-loss"),
  ),
  works("IBT-25", "Primed, tested by temperature and sound, listened to again the day after", (on) => {
    on.inOrder(["task:prime", "fit:top", "check:outlet-temp", "check:sound"]);
    expect(Object.keys(on.after().recheck ?? {})).toEqual(["first-day"]);
    expect(on.cards("again").map(({ kind }) => kind)).toEqual([
      "protect",
      "tools",
      "check",
      "check",
      "sign-off",
    ]);
  }),
];
