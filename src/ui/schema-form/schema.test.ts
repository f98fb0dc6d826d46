import { describe, expect, it } from "vitest";
import { readAs, SheetSchema } from "@/core/formats";
import { blankOf, branchOf, type FieldSchema, kindsOf, labelOf, titleOf } from "./schema";

const sheet = SheetSchema as unknown as FieldSchema;
const part = sheet.properties!.parts!.items!;
const end = part.properties!.fit!.properties!.end!;

describe("a form made from a schema", () => {
  it.each([
    ["heldBy", "Held by"],
    ["torque_Nm", "Torque, N·m"],
    ["backOff_turns", "Back off, turns"],
    ["stayUntilCracked", "Stay until cracked"],
    ["zero_bar", "Zero, bar g"],
  ])("calls %s %s", (name, label) => {
    expect(labelOf(name)).toBe(label);
  });

  it("begins a new entry with the least that fits; what has to be typed is empty and is told at its path", () => {
    const blank = blankOf(part) as Record<string, unknown>;
    expect(Object.keys(blank).sort()).toEqual(["id", "material", "name", "quantity", "shape", "ways"]);
    const read = readAs(part as never, blank);
    expect(read.ok ? [] : read.error.map((each) => each.path).sort()).toEqual(["/id", "/name"]);
  });

  it("knows every kind of joint and finds the branch of a value", () => {
    expect(kindsOf(end)).toContain("touch-and-back-off");
    expect(branchOf(end, { kind: "seat-to-depth" }).required).toContain("depth_mm");
    for (const kind of kindsOf(end)) expect(blankOf(branchOf(end, { kind }))).toMatchObject({ kind });
  });

  it("calls an entry by what says most of it", () => {
    expect(titleOf({ id: "x", name: "Stem nut" }, 0)).toBe("Stem nut");
    expect(titleOf({ part: "stem", quantity: 2 }, 0)).toBe("stem");
    expect(titleOf({}, 2)).toBe("Entry 3");
  });
});
