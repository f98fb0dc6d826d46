import { describe, expect, it } from "vitest";
import { printable } from "./printable";

describe("what is printed", () => {
  it("writes signs that the fonts lack as one would on paper", () => {
    expect(printable("1⅞ in, ⅛ in, CO₂, 3×10⁻⁵ m², ½ turn")).toBe(
      "1 7/8 in, 1/8 in, CO2, 3×10^-5 m², 1/2 turn",
    );
  });
});
