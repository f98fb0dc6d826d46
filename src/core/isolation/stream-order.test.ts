import { describe, expect, it } from "vitest";
import { MEDIA, STREAMS } from "../formats";
import { orderOf } from "./stream-order";

describe("what is shut before what, and comes back after it", () => {
  it.each([
    ["hot", "cold"],
    ["hot", "mixed"],
    ["mixed", "cold"],
    ["liquid", "hot-gas"],
    ["hot-gas", "suction"],
    ["liquid", "suction"],
    ["steam", "condensate"],
    ["water", "air"],
    ["water", "pilot"],
  ] as const)("%s before %s", (first, then) => {
    expect(orderOf(first).rank).toBeLessThan(orderOf(then).rank);
  });

  it("electricity goes off before everything", () => {
    for (const other of [...MEDIA, ...STREAMS])
      if (other !== "electricity") expect(orderOf(other).rank).toBeGreaterThan(orderOf("electricity").rank);
  });

  it("is said where a wrong order hurts somebody", () => {
    for (const each of ["electricity", "steam", "hot", "liquid"] as const) {
      expect(orderOf(each).shut, each).toMatch(/first|before/i);
      expect(orderOf(each).open, each).toMatch(/last|after/i);
    }
    for (const each of ["cold", "condensate", "suction", "pilot", "air"] as const)
      expect(orderOf(each).open, each).toMatch(/first|before/i);
    expect(orderOf("gas").open).toContain("relight");
    expect(orderOf("co2").open).toContain("dry ice");
  });

  it("is that of plain pipes for what nobody has to say anything about", () => {
    expect(orderOf("oil")).toEqual({ rank: 3 });
  });
});
