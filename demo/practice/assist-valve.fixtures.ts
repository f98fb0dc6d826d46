import { expect } from "vitest";
import { stuckLadder } from "@/core/build";
import { type Row, works } from "./row.fixtures";
import { testedIn } from "./shown.fixtures";

/** Assist valve at a hydrant. */
export const assistValve: readonly Row[] = [
  works("HAV-01", "Ball seat first, then the clapper's seals", (on) => {
    on.inOrder(["strip:ball-seat", "strip:main-seal"], "due");
    expect(on.renewed("due")).toEqual(expect.arrayContaining(["ball-seat", "main-seal", "pumper-seal"]));
  }),
  works("HAV-02", "Keys, plastic pick, 24 mm, grease", (on) =>
    expect(on.card("tools", undefined, "due").bring.map(({ id }) => id)).toEqual(
      expect.arrayContaining(["hex-4", "hex-5", "pick", "sp-24", "strap"]),
    ),
  ),
  works("HAV-03", "Off the hydrant it has nothing shut, and is felt for pressure", (on) => {
    const kinds = on.cards("due", {}, { where: "bench" }).map(({ kind }) => kind);
    expect(kinds).toContain("away");
    expect(kinds).not.toContain("shut-by-hand");
    testedIn("src/core/job/away.test.ts", "a carried one");
  }),
  works("HAV-04", "The outlet's set screw is kept, and its locker is stiff at first", (on) => {
    expect(on.part("outlet-set").keep).toMatch(/no kit/);
    on.speaks(on.card("strip", "outlet-set"), /stiff for the first quarter turn/);
  }),
  works("HAV-05", "By hand, strap if tight, and what to do when it is stuck", (on) => {
    on.speaks(on.card("strip", "outlet"), /strap wrench/);
    expect(stuckLadder(on.part("outlet"), on.sheet).map(({ rung }) => rung)).toContain("heat");
  }),
  works("HAV-06", "The old seat out with the plastic pick, never again in", (on) => {
    expect(on.card("strip", "ball-seat").tools.map(({ id }) => id)).toEqual(["pick"]);
    expect(on.part("ball-seat").oneUse).toBeDefined();
  }),
  works("HAV-07", "Flat side in, film under it and over it", (on) => {
    const { rules } = on.card("fit", "ball-seat");
    expect(rules).toContainEqual(expect.objectContaining({ kind: "orientation" }));
    expect(rules).toContainEqual(
      expect.objectContaining({ kind: "lubricate", on: "under it and over its edge, thinly" }),
    );
  }),
  works("HAV-08", "Which hole of the ring stands at the dimple, drawn and photographed", (on) => {
    const { dials, photo } = on.card("mark", "dimple-hole");
    expect(Object.values(dials ?? {})).toEqual([0, 90, 180, 270]);
    expect(photo).toBe(true);
  }),
  works("HAV-09", "Home, back to the dimple, never a whole turn", (on) => {
    on.inOrder(["fit:outlet", "check:one-pitch", "fit:outlet-set"]);
    expect(on.answer("one-pitch", "no-go").means).toBe("stop");
  }),
  works("HAV-10", "The set screw only flush, and what driving it does", (on) => {
    expect(on.card("fit", "outlet-set").end.kind).toBe("flush");
    on.inOrder(["fit:outlet-set", "check:set-flush"]);
    expect(on.check("set-flush").why).toMatch(/askew/);
  }),
  works("HAV-11", "Medium locker on three small joints", (on) => {
    const lockers = on
      .cards("due")
      .flatMap((step) =>
        step.kind === "fit" && step.rules.some(({ kind }) => kind === "locker") ? [step.part] : [],
      );
    expect(lockers).toEqual(expect.arrayContaining(["outlet-set", "shaft-nut", "indicator-screw"]));
  }),
  works("HAV-12", "The ball worked before the second half", (on) =>
    on.inOrder(["fit:outlet", "check:ball-works", "fit:outlet-set"]),
  ),
  works("HAV-13", "Where the outlet's ring stayed, asked before going on", (on) =>
    on.inOrder(["strip:outlet", "mark:ring-where", "strip:ball-seat"]),
  ),
  works("HAV-14", "Indicator, then the nut", (on) =>
    on.inOrder(["strip:indicator-screw", "strip:indicator", "strip:shaft-nut"], "due"),
  ),
  works("HAV-15", "Clapper held, shaft drawn, out by the notches", (on) => {
    on.speaks(on.card("strip", "shaft", "due"), /Hold the clapper/);
    on.speaks(on.card("strip", "clapper", "due"), /notches/);
  }),
  works("HAV-16", "Long and short screws apart, stiffer by their locker; only rubber goes", (on) => {
    expect(on.part("long-screws").fastener?.thread).not.toBe(on.part("short-screws").fastener?.thread);
    on.speaks(on.card("strip", "short-screws", "due"), /stiffer than the others/);
    expect(on.renewed("due")).not.toContain("long-screws");
  }),
  works("HAV-17", "The disc's shaft hole to the left, raised face up: drawn", (on) => {
    const { drawn, rules } = on.card("fit", "main-disc", "due");
    expect(drawn).toContainEqual({ kind: "clock", at: 9 });
    expect(rules).toContainEqual(
      expect.objectContaining({ kind: "orientation", says: expect.stringMatching(/raised face up/) }),
    );
  }),
  works("HAV-18", "The round seal goes either way round, and says so", (on) => {
    for (const part of ["pumper-seal", "pumper-disc"])
      expect(on.card("fit", part, "due").rules).toContainEqual(
        expect.objectContaining({ kind: "orientation", says: expect.stringMatching(/either way round/) }),
      );
  }),
  works("HAV-19", "High locker that seals as well, and its cure waits before water", (on) => {
    const { parts } = on.card("cure", undefined, "due");
    expect(parts.find(({ name }) => name === "Long seal screws")?.cure_min).toBe(30);
    on.inOrder(["rebuild:cure", "check:tight"], "due");
  }),
  works("HAV-20", "All screws in by hand, then pulled crosswise", (on) => {
    expect(on.card("fit", "short-screws", "due").loose).toBe(true);
    on.inOrder(["fit:short-screws", "tighten:short-screws"], "due");
  }),
  works("HAV-21", "The clapper's notches up: drawn, and looked at before the shaft", (on) => {
    expect(on.card("fit", "clapper", "due").drawn).toContainEqual({ kind: "arrow", to: "up" });
    on.inOrder(["fit:clapper", "check:clapper-way", "fit:shaft"], "due");
  }),
  works("HAV-22", "The shaft's pin in its slot, by a named end", (on) => {
    const { end, rules } = on.card("fit", "shaft", "due");
    expect(end).toMatchObject({ kind: "seated", seen: expect.stringMatching(/pin lies in its slot/) });
    expect(rules).toContainEqual(expect.objectContaining({ kind: "orientation" }));
  }),
  works("HAV-23", "Rings greased, threads clean for the locker", (on) => {
    expect(on.card("fit", "shaft", "due").rules).toContainEqual(
      expect.objectContaining({ kind: "keep-off", what: expect.stringMatching(/locker goes there/) }),
    );
  }),
  works("HAV-24", "The nut to its figure and never above", (on) => {
    const { torque_Nm, limit_Nm } = on.card("fit", "shaft-nut", "due");
    expect(torque_Nm).toBeLessThan(limit_Nm!);
  }),
  works("HAV-25", "Where the clapper stands as the indicator goes on; both inlets, five minutes", (on) => {
    on.inOrder(["check:clapper-stands", "fit:indicator"], "due");
    expect(on.answer("clapper-stands", "hydrant").means).toBe("stop");
    expect(on.check("tight").wait_min).toBe(5);
  }),
];
