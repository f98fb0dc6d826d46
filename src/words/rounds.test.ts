import { describe, expect, it } from "vitest";
import type { Effect } from "@/core/rounds";
import { effectWords } from "./rounds";
import { speaker } from "./speaker";

const NOTHING: Effect = {
  crewMin: 0,
  km: 0,
  outage: 0,
  total: 0,
  back: 0,
  overMin: 0,
  lateMin: 0,
  others: [],
};
const said = (effect: Partial<Effect>) =>
  effectWords(
    speaker(),
    { ...NOTHING, ...effect },
    (task) => `V${task}`,
    (minute) => `${Math.floor(minute / 60)}:00`,
  );

describe("what a move does", () => {
  it("is said the worst first: late, after the shift, longer, farther, without service", () => {
    expect(said({ lateMin: 1441, overMin: 25, back: 960, crewMin: 95, km: 4.2, outage: 40 })).toEqual([
      "It is done 2 days late.",
      "Back at 16:00, 25 min after the shift.",
      "1 h 35 min of a crew more.",
      "4.2 km more.",
      "Without service 40 min longer.",
    ]);
  });

  it("is said where it is for the better, and where it is nothing", () => {
    expect(said({ crewMin: -60, km: -1.04, outage: -12, back: 600 })).toEqual([
      "1 h of a crew less.",
      "1.0 km less.",
      "Without service 12 min shorter.",
      "Back at 10:00.",
    ]);
    expect(said({ crewMin: 0.4, km: 0.01 })).toEqual(["It takes the crews no longer."]);
  });

  it("names those that begin later, the first three, and counts those that begin earlier", () => {
    const others = [1, 2, 3, 4, 5].map((task) => ({ task, was: 480, is: task === 5 ? 420 : 600 }));
    const words = said({ others }).join(" ");
    expect(words).toContain("V1 10:00 instead of 8:00");
    expect(words).toContain("1 more");
    expect(words).not.toContain("V4");
    expect(words).toContain("1 other begins earlier.");
  });
});
