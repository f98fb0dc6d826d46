import { describe, expect, it } from "vitest";
import { planStrip } from "@/core/build";
import type { Sheet } from "@/core/formats";
import { librarySheet } from "@/core/job/job.fixtures";
import { speaker } from "@/words";
import { checkDocument } from "@/workers/check-document";
import { free, hold, referencesOf } from "./edit-sheet";

const sheet = librarySheet("ottermouth-brook-20");
const off = (each: Sheet, part: string) => {
  const plan = planStrip(each, { reach: [part] });
  return plan.ok ? plan.value.moves.flatMap((move) => (move.kind === "remove" ? [move.part] : [])) : [];
};

describe("editing a sheet", () => {
  it("a line drawn in the graph makes one part hold another, and the plan follows", () => {
    expect(off(sheet, "injector-cap-screws")).toEqual(["injector-cap-screws"]);
    const held = hold(sheet, "cover", "injector-cap-screws");
    expect(off(held, "injector-cap-screws")).toEqual(["cover", "injector-cap-screws"]);
    expect(hold(held, "cover", "injector-cap-screws")).toEqual(held);
    expect(free(held, "cover", "injector-cap-screws", 0)).toEqual(sheet);
  });

  it("a ring that is drawn is found, at the part", () => {
    const ring = checkDocument(hold(sheet, "stack", "cover"));
    expect(ring.map((each) => each.message).join()).toContain("can never come off");
    expect(ring[0]!.path).toMatch(/^\/parts\/\d+\/ways$/);
  });

  it("offers what a field may name, and nothing where any text goes", () => {
    const references = referencesOf(sheet, speaker());
    expect(references("heldBy")).toHaveLength(sheet.parts.length);
    expect(references("tools")?.some((tool) => tool.name.startsWith("Stack hook"))).toBe(true);
    expect(references("do")).toBeUndefined();
  });
});
