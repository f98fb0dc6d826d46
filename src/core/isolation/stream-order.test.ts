import { describe, expect, it } from "vitest";
import { MEDIA, STREAMS } from "../formats";
import { rankOf } from "./stream-order";

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
    expect(rankOf(first)).toBeLessThan(rankOf(then));
  });

  it("electricity goes off before everything", () => {
    for (const other of [...MEDIA, ...STREAMS])
      if (other !== "electricity") expect(rankOf(other)).toBeGreaterThan(rankOf("electricity"));
  });

  it("is that of plain pipes for what nobody has to say anything about", () => {
    expect(rankOf("oil")).toBe(3);
  });
});
