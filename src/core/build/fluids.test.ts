import { describe, expect, it } from "vitest";
import { acidMost_min, type Base, fluidClash, type Material, neverThere, tooHotFor } from "./fluids";

describe("what does not go together", () => {
  it.each<[Material, Base, RegExp]>([
    ["epdm", "petroleum", /swells EPDM/],
    ["silicone", "silicone", /swells silicone/],
    ["nitrile", "solvent", /dries nitrile/],
    ["plastic", "anaerobic", /cracks plastic/],
    ["aluminium", "acid", /eats aluminium/],
  ])("%s and %s", (material, base, why) => expect(fluidClash({ material }, base)).toMatch(why));

  it.each<[Material, Base]>([
    ["nitrile", "petroleum"],
    ["epdm", "silicone"],
    ["epdm", "acid"],
    ["stainless", "acid"],
  ])("%s bears %s", (material, base) => expect(fluidClash({ material }, base)).toBeUndefined());

  it("what is washed into a refrigerant, and what people would drink", () => {
    expect(fluidClash({ material: "nitrile", medium: "ammonia" }, "petroleum")).toMatch(/refrigerant/);
    expect(fluidClash({ material: "nitrile", medium: "ammonia" }, "refrigerant-oil")).toBeUndefined();
    expect(fluidClash({ material: "nitrile", potable: true }, "petroleum")).toMatch(/drink/);
    expect(fluidClash({ material: "nitrile", potable: true }, "food-grade")).toBeUndefined();
  });

  it("names every lubricant that must not lie there", () => {
    expect(neverThere({ material: "epdm", medium: "water", potable: true })).toEqual([
      "petroleum",
      "refrigerant-oil",
    ]);
    expect(neverThere({ material: "silicone" })).toEqual(["silicone", "petroleum"]);
  });

  it("acid has its end on iron, none on stainless; what softens in steam is refused", () => {
    expect(acidMost_min("iron")).toBe(60);
    expect(acidMost_min("stainless")).toBeUndefined();
    expect(tooHotFor(98, "steam")).toBe(100);
    expect(tooHotFor(130, "steam")).toBeUndefined();
    expect(tooHotFor(60, "water")).toBeUndefined();
  });
});
