import { describe, expect, it } from "vitest";
import { readAs, SheetSchema } from "@/core/formats";
import { UNITS } from "@/core/quantity";
import {
  blankOf,
  branchOf,
  type FieldSchema,
  kindsOf,
  labelOf,
  measureOf,
  only,
  titleOf,
  without,
} from "./schema";

const sheet = SheetSchema as unknown as FieldSchema;
const part = sheet.properties!.parts!.items!;
const end = part.properties!.fit!.properties!.end!;

describe("a form made from a schema", () => {
  it.each([
    ["heldBy", "Held by"],
    ["torque_Nm", "Pulled to"],
    ["gap_mm", "Gap"],
    ["stayUntilCracked", "So many stay in until it is cracked"],
    ["zero_bar", "Counts as zero up to"],
    ["interval_months", "Interval, months"],
  ])("calls %s %s", (name, label) => {
    expect(labelOf(name)).toBe(label);
  });

  it("calls a field as its schema does where that says more", () => {
    expect(labelOf("access_min", { title: "Minutes to shut" })).toBe("Minutes to shut");
  });

  it.each([
    ["depth_mm", "mm", "in"],
    ["elevation_m", "m", "ft"],
    ["pressure_bar", "bar g", "psi g"],
    ["temperature_C", "°C", "°F"],
    ["share_percent", "%", "%"],
  ])("%s is stored in %s and read in %s in the States", (name, stored, us) => {
    const found = measureOf(name)!;
    expect(found).toMatchObject({ stored, us });
    for (const id of [stored, us])
      expect(UNITS.find((each) => each.id === id)?.dimension).toBe(found.dimension);
  });

  it("takes no unit from a name that names none", () => {
    expect(measureOf("heldBy")).toBeUndefined();
    expect(measureOf("interval_months")).toBeUndefined();
  });

  it("shows some fields only, or all but some, in each branch", () => {
    expect(only(part, ["id", "mass_kg"])).toMatchObject({ required: ["id"] });
    expect(Object.keys(only(part, ["id", "mass_kg"]).properties!)).toEqual(["id", "mass_kg"]);
    for (const branch of without(end, ["says"]).oneOf!)
      expect(Object.keys(branch.properties!)).not.toContain("says");
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
    expect(titleOf({ id: "y", name: "Ring spanner", size: "17 mm" }, 0)).toBe("Ring spanner, 17 mm");
    expect(titleOf({ part: "stem", quantity: 2 }, 0)).toBe("stem");
    expect(titleOf({}, 2)).toBe("Entry 3");
  });
});
