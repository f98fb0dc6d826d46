import { describe, expect, it } from "vitest";
import type { Sheet } from "../formats";
import { planRebuild, planStrip, spoiledBy } from ".";
import { dry, trialSheet, wet } from "./build.fixtures";

const stripOf = (sheet: Sheet, reach: string[]) => {
  const plan = planStrip(sheet, { reach });
  if (!plan.ok) throw new Error("the trial sheet cannot be stripped");
  return plan.value.moves;
};
const back = (sheet: Sheet, reach: string[]) =>
  planRebuild(sheet, stripOf(sheet, reach)).map((move) =>
    move.kind === "fit"
      ? `${move.part}${move.loose ? " loose" : ""}`
      : move.kind === "tighten"
        ? `tighten ${move.part} after ${move.waitedFor}`
        : `[${move.to} ${move.minutes}]`,
  );
const line = () =>
  trialSheet({
    a: [{ heldBy: [], minutes: 1 }],
    b: [{ heldBy: ["a"], minutes: 1 }],
    c: [{ heldBy: ["b"], minutes: 1 }],
  });

describe("how it goes back", () => {
  it("is the strip backwards", () => {
    expect(back(line(), ["c"])).toEqual(["c", "b", "a"]);
    expect(planRebuild(line(), [])).toEqual([]);
  });

  it("leaves a joint loose until what it waits for is in, and tightens it then", () => {
    const sheet = line();
    sheet.parts[2]!.fit = { ...sheet.parts[2]!.fit!, looseUntil: "a" };
    expect(back(sheet, ["c"])).toEqual(["c loose", "b", "a", "tighten c after a"]);
  });

  it("tightens it at once where what it would wait for never came off", () => {
    const sheet = line();
    sheet.parts[1]!.fit = { ...sheet.parts[1]!.fit!, looseUntil: "c" };
    expect(back(sheet, ["b"])).toEqual(["b", "a"]);
    expect(back(sheet, ["c"])).toEqual(["c", "b", "a"]);
  });

  it("tightens all that wait for the same part, in the order they went in", () => {
    const sheet = line();
    for (const index of [1, 2]) sheet.parts[index]!.fit = { ...sheet.parts[index]!.fit!, looseUntil: "a" };
    expect(back(sheet, ["c"])).toEqual(["c loose", "b loose", "a", "tighten c after a", "tighten b after a"]);
  });

  describe("of a valve that moves", () => {
    const moving = (): Sheet => {
      const sheet = line();
      sheet.position = {
        names: ["open", "shut"].map((id) => ({ id, name: id })),
        start: "shut",
        finish: "open",
        movedBy: "a",
        minutes: 2,
      } as Sheet["position"];
      return sheet;
    };

    it("puts it as it has to be left, once what moves it is in", () => {
      expect(back(moving(), ["c"])).toEqual(["c", "b", "a", "[open 2]"]);
      expect(planRebuild(moving(), [])).toEqual([]);
    });

    it("does not move what stands right, or what nothing moves yet", () => {
      const sheet = moving();
      sheet.position!.finish = "shut";
      expect(back(sheet, ["c"])).toEqual(["c", "b", "a"]);
      sheet.parts[2]!.fit = { ...sheet.parts[2]!.fit!, position: { before: "open" } };
      expect(back(sheet, ["c"])).toEqual(["c", "b", "a"]);
    });

    it("moves it where a fit asks for that, and goes on from where the fit leaves it", () => {
      const sheet = moving();
      sheet.position!.movedBy = "c";
      sheet.parts[1]!.fit = { ...sheet.parts[1]!.fit!, position: { before: "open", after: "shut" } };
      expect(back(sheet, ["c"])).toEqual(["c", "[open 2]", "b", "a", "[open 2]"]);
    });
  });

  it("of every part of two real sheets fits each once and leaves nothing loose", () => {
    for (const sheet of [wet, dry])
      for (const part of sheet.parts.filter(({ stays }) => stays !== true)) {
        const strip = stripOf(sheet, [part.id]);
        const off = strip.flatMap((move) => (move.kind === "remove" ? [move.part] : []));
        const moves = planRebuild(sheet, strip);
        const fits = moves.flatMap((move) => (move.kind === "fit" ? [move] : []));
        expect(fits.map((fit) => fit.part)).toEqual(off.toReversed());
        const tightened = moves.flatMap((move) => (move.kind === "tighten" ? [move.part] : []));
        expect(tightened.toSorted()).toEqual(fits.flatMap((fit) => (fit.loose ? [fit.part] : [])).toSorted());
      }
  });
});

describe("what a strip spoils", () => {
  it("is what serves once and comes off, and what another spoils on its way", () => {
    const sheet = line();
    sheet.parts[0]!.oneUse = "It was crushed.";
    sheet.parts[1]!.ways[0]!.spoils = ["c", "a"];
    sheet.parts[2]!.oneUse = "It tears.";
    expect([...spoiledBy(sheet, stripOf(sheet, ["b"]))]).toEqual([
      ["a", "It was crushed."],
      ["c", "It tears."],
    ]);
    expect([...spoiledBy(sheet, stripOf(sheet, ["a"]))]).toEqual([["a", "It was crushed."]]);
    expect([...spoiledBy(line(), stripOf(line(), ["c"]))]).toEqual([]);
  });
});
