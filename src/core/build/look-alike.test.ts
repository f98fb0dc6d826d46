import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { newPartWords, speaker } from "@/words";
import { librarySheet } from "../job/job.fixtures";
import { type FoundFeature, judgeNewPart, marksOf } from ".";

const brook = librarySheet("ottermouth-brook-20");
const piston = brook.parts.find((part) => part.id === "piston")!;
const found = (mm: number, rings: string): FoundFeature[] => [
  { name: "length", si: mm / 1000 },
  { name: "rings", said: rings },
];

describe("a new part", () => {
  it("is right when every feature meets, within what it may differ", () => {
    expect(judgeNewPart(piston, found(124, "three grooves")).kind).toBe("right");
    expect(judgeNewPart(piston, found(124.6, "three grooves")).kind).toBe("right");
    expect(judgeNewPart(piston, found(124.7, "three grooves")).kind).toBe("wrong");
  });

  it("is caught as the look-alike that it is, with what it would do", () => {
    const verdict = judgeNewPart(piston, found(118.2, "two grooves"));
    expect(verdict).toMatchObject({ kind: "look-alike", alike: { name: "the piston for filters" } });
    expect(newPartWords(speaker(), verdict)).toContain("118.2 mm, and should be 124 mm");
    expect(newPartWords(speaker(), verdict)).toContain("raw water passes");
  });

  it("is wrong when it is neither", () => {
    expect(judgeNewPart(piston, found(131, "two grooves"))).toMatchObject({ kind: "wrong" });
  });

  it("has to be compared by every feature", () => {
    expect(judgeNewPart(piston, found(124, "three grooves").slice(0, 1))).toMatchObject({
      kind: "not-compared",
      feature: { name: "rings" },
    });
  });

  it("no length is both the part's and its look-alike's", () => {
    fc.assert(
      fc.property(fc.double({ min: 100, max: 140, noNaN: true }), (mm) => {
        const asRight = judgeNewPart(piston, found(mm, "three grooves")).kind === "right";
        const asAlike = judgeNewPart(piston, found(mm, "two grooves")).kind === "look-alike";
        expect(asRight && asAlike).toBe(false);
      }),
    );
  });

  it("offers the marks in an order that gives nothing away", () => {
    expect(marksOf(piston, piston.features![1]!)).toEqual(["three grooves", "two grooves", "something else"]);
  });
});
