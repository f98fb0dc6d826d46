import { describe, expect, it } from "vitest";
import { expects, type Moved, movedBack, movesOf, puttingBack } from "./standing";

const drain: Moved = { how: "open-point", at: "D", name: "Drain" };
const cold: Moved = { how: "shut", at: "VC", name: "Cold" };
const power: Moved = { how: "switch-off", at: "Q", name: "Socket" };

describe("what a card moves", () => {
  it("is moved in its order, and what it opens is watched", () => {
    expect(movesOf({ moves: [drain, cold, power] })).toEqual([
      { do: "open-point", node: "D", watched: true },
      { do: "shut", link: "VC" },
      { do: "switch-off", link: "Q" },
    ]);
    expect(movesOf({})).toEqual([]);
  });

  it("goes back the last first, but what leads outside before anything feeds it", () => {
    expect(movedBack(puttingBack([cold, drain, power]))).toEqual([
      { do: "shut-point", node: "D" },
      { do: "switch-on", link: "Q" },
      { do: "open", link: "VC", crack: true },
    ]);
  });
});

describe("what a card needs", () => {
  it("is asked of the world by link, place and part", () => {
    const needs = {
      in: [
        { flow: "hot", links: ["VH"] },
        { flow: "vapour", links: [], node: "G" },
      ],
      shut: [{ flow: "mixed", links: ["VM"] }],
      off: ["cap"],
      fitted: ["bonnet"],
      loose: ["rods"],
    } as const;
    expect(expects({ needs })).toEqual([
      {
        do: "expect",
        open: ["VH"],
        shut: ["VM"],
        fed: ["G"],
        off: ["cap"],
        fitted: ["bonnet"],
        loose: ["rods"],
      },
    ]);
  });

  it("nothing is asked where it needs nothing", () => {
    expect(expects({})).toEqual([]);
  });
});
