import { describe, expect, it } from "vitest";
import { howLongWords } from "./how-long";
import { speaker } from "./speaker";

const crew = (half: number, most: number, jobs: number) => ({ half, most, jobs });
const plain = (text: string) => text.replaceAll("\u00a0", " ");

describe("how long work takes, in words", () => {
  it("says of each crew what it takes, and what that is learnt from", () => {
    const long = { compiled: 75, jobs: 1, by: { North: crew(66, 90.4, 3), South: crew(75, 84, 0) } };
    const { takes, learnt } = howLongWords(speaker(), long, ["North", "South"]);
    expect(takes.map(plain)).toEqual([
      "North: 66 min half the time, within 90 min four times of five.",
      "South: 75 min half the time, within 84 min four times of five.",
    ]);
    expect(plain(learnt)).toBe("Compiled: 75 min; learnt from 1 job of its kind, 3 jobs of North.");
  });

  it("says so where nothing is learnt yet, and leaves out a crew that it does not know", () => {
    const { takes, learnt } = howLongWords(speaker(), { compiled: 45, jobs: 0, by: {} }, ["North"]);
    expect(takes).toEqual([]);
    expect(plain(learnt)).toContain("None like it was signed before this week");
  });
});
