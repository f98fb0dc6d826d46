import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Depth } from "../formats";
import { type FigureOf, margins, weigh } from ".";

const depth = (id: string): Depth => ({
  id,
  kind: "repair",
  name: id,
  reach: ["seat"],
  renews: [],
  comesBack: [{ when: "always", percent: 0 }],
});
const EASY = { leak: "seeps", access: "easy" } as const;

interface Given {
  readonly minutes: number;
  readonly price: number;
  readonly percent: number;
  readonly out: boolean;
}
const candidate = ({ minutes, price, percent, out }: Given, id: string) => ({
  depth: { ...depth(id), comesBack: [{ when: "always" as const, percent }] },
  minutes,
  price,
  outage_min: out ? minutes : 0,
  days: 0,
  parts: [],
});
type Rates = { hour: number; trip: number; outage_hour: number };
const RATES: Rates = { hour: 60, trip: 40, outage_hour: 10 };

/** The same question with one figure moved: weighed anew, with nothing of the margins. */
function bestWith(given: readonly Given[], rates: Rates, of: FigureOf, value: number): string {
  const one = (each: Given, id: string): Given => {
    if (!("depth" in of) || of.depth !== id) return each;
    return of.kind === "minutes"
      ? { ...each, minutes: value }
      : of.kind === "parts"
        ? { ...each, price: value }
        : { ...each, percent: value * 100 };
  };
  const all = given.map((each, index) => candidate(one(each, `${index}`), `${index}`));
  const by = {
    hour: { ...rates, hour: value },
    trip: { ...rates, trip: value },
    "outage-hour": { ...rates, outage_hour: value },
  };
  const at = "depth" in of ? rates : by[of.kind];
  return weigh(all as [(typeof all)[number]], EASY, at).best.depth.id;
}

describe("how far a figure may move", () => {
  it("is worked out by hand", () => {
    // 60 + 10 + a tenth of 110 = 81 against 70 + 60 + a fiftieth of 170 = 133.4.
    const given = [
      { minutes: 60, price: 10, percent: 10, out: false },
      { minutes: 70, price: 60, percent: 2, out: false },
    ];
    const weighing = weigh([candidate(given[0]!, "0"), candidate(given[1]!, "1")], EASY, RATES);
    const all = margins(weighing);
    const of = (kind: string, id: string) =>
      all.find((each) => each.of.kind === kind && "depth" in each.of && each.of.depth === id);
    // 70 + p·110 = 133.4
    expect(of("comes-back", "0")?.high?.at).toBeCloseTo(63.4 / 110);
    // (60 + x)·1.1 + 4 = 133.4
    expect(of("parts", "0")?.high?.at).toBeCloseTo(129.4 / 1.1 - 60);
    expect(of("parts", "0")?.high?.depth).toBe("1");
    // (70 + x)·1.02 + 0.8 = 81
    expect(of("parts", "1")?.low?.at).toBeCloseTo(80.2 / 1.02 - 70);
    expect(of("trip", "0")).toBeUndefined();
  });

  it("just inside the advice stands, just outside it has changed", () => {
    const given = fc.record({
      minutes: fc.integer({ min: 10, max: 300 }),
      price: fc.integer({ min: 1, max: 300 }),
      percent: fc.integer({ min: 0, max: 60 }),
      out: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(given, { minLength: 2, maxLength: 4 }), (all) => {
        const of = all.map((each, index) => candidate(each, `${index}`));
        const weighing = weigh(of as [(typeof of)[number]], EASY, RATES);
        const { best } = weighing;
        for (const { of: figure, now, low, high } of margins(weighing)) {
          for (const [turn, out] of [
            [low, -1],
            [high, 1],
          ] as const) {
            if (turn === undefined) continue;
            const little = 1e-4 * Math.max(1e-3, Math.abs(turn.at - now));
            const before = turn.at - out * little;
            const after = turn.at + out * little;
            if (out * (before - now) > 0) expect(bestWith(all, RATES, figure, before)).toBe(best.depth.id);
            if (after >= 0 && (figure.kind !== "comes-back" || after <= 1))
              expect(bestWith(all, RATES, figure, after)).not.toBe(best.depth.id);
          }
        }
      }),
    );
  });
});
