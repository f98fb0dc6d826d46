import { describe, expect, it } from "vitest";
import { drawnWords, speaker } from ".";

const says = (drawn: Parameters<typeof drawnWords>[1]) => drawnWords(speaker(), drawn);

describe("what is drawn, said", () => {
  it("which way, and how far: turns, one turn, an angle, or nobody knows", () => {
    expect(says({ kind: "turn", way: "left" })).toBe("left, anticlockwise");
    expect(says({ kind: "turn", way: "right", turns: 16 })).toBe("right, clockwise, 16 turns");
    expect(says({ kind: "turn", way: "right", turns: 1 })).toBe("right, clockwise, 1 turn");
    expect(says({ kind: "turn", way: "right", degrees: 60 })).toBe("right, clockwise, 60°");
  });

  it("a stem with what it comes to stand at", () => {
    expect(says({ kind: "stem", to: "A turn open", way: "left", turns: 1 })).toBe(
      "A turn open: its stem left, anticlockwise, 1 turn",
    );
  });
});
