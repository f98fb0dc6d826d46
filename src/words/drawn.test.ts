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

  it("the side that is up, turned over where it lay otherwise; a set of bolts, and the hinge", () => {
    expect(says({ kind: "face-up", face: "seat side" })).toBe("seat side up");
    expect(says({ kind: "face-up", face: "seat side", over: true })).toBe("turn it over: seat side up");
    const sets = [
      { letter: "A", at: "left" as const },
      { letter: "C", at: "foot" as const, hinge: true },
    ];
    expect(says({ kind: "sets", sets, now: "A" })).toBe("set A; it hangs on set C");
    expect(says({ kind: "sets", sets, now: "C" })).toBe("set C: the hinge, one stays in");
    expect(says({ kind: "sets", sets: sets.slice(0, 1), now: "A" })).toBe("set A");
  });

  it("a stem with what it comes to stand at", () => {
    expect(says({ kind: "stem", to: "A turn open", way: "left", turns: 1 })).toBe(
      "A turn open: its stem left, anticlockwise, 1 turn",
    );
  });
});
