import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Depth } from "../formats";
import { jobAt } from "../job/proof.fixtures";
import { type Condition, candidatesOf, depthOf, mostly, weigh } from ".";

const depth = (id: string, comesBack: Depth["comesBack"], besides?: number): Depth => ({
  id,
  kind: "repair",
  name: id,
  reach: ["seat"],
  renews: [],
  comesBack,
  ...(besides !== undefined && { besides }),
});
const RATES = { hour: 60, trip: 40, outage_hour: 10 };
const EASY: Condition = { leak: "seeps", access: "easy" };
const COMPILED = { days: 0, outage_min: 0, parts: ["seat"] };
const shallow = {
  depth: depth("shallow", [
    { when: "always", percent: 10 },
    { when: "runs", percent: 40 },
    { when: "old", percent: 30 },
  ]),
  minutes: 60,
  price: 10,
  ...COMPILED,
};
const outage = <Of extends { minutes: number }>(of: Of) => ({ ...of, outage_min: of.minutes });
const deep = { depth: depth("deep", [{ when: "always", percent: 2 }]), minutes: 70, price: 60, ...COMPILED };

describe("how deep", () => {
  it("is worked out by hand: an hour, its parts, and a tenth of coming back", () => {
    const { best } = weigh([shallow, deep], EASY, RATES);
    expect(best.depth.id).toBe("shallow");
    expect(best.costs).toEqual({
      time: 60,
      parts: 10,
      outage: 0,
      "coming-back": expect.closeTo(0.1 * (40 + 60 + 10), 9),
    });
    expect(best.cost).toBeCloseTo(81);
  });

  it("hard access and an old valve make the deeper one cheaper", () => {
    const worn: Condition = { leak: "runs", access: "hard", age_years: 20 };
    const { best, others } = weigh([outage(shallow), outage(deep)], worn, RATES);
    expect(best.depth.id).toBe("deep");
    expect(mostly(others[0]!, best)).toBe("coming-back");
  });

  it("a nearer planned visit leaves less time to come back in", () => {
    const at = (years: number) => weigh([shallow], { ...EASY, until: { at: 0, years } }, RATES).best;
    expect(at(1).cost).toBeCloseTo(81);
    expect(at(0).costs["coming-back"]).toBe(0);
    // Half a year of one in ten a year.
    expect(at(0.5).figures.comesBack).toBeCloseTo(1 - Math.sqrt(0.9), 12);
    expect(at(3).figures.comesBack).toBeCloseTo(1 - 0.9 ** 3, 12);
  });

  it("never comes back more than always, and costs no less for a worse condition", () => {
    const condition = fc.record({
      leak: fc.constantFrom("none" as const, "seeps" as const, "runs" as const),
      access: fc.constantFrom("easy" as const, "hard" as const),
      age_years: fc.integer({ min: 0, max: 80 }),
    });
    fc.assert(
      fc.property(condition, fc.integer({ min: 0, max: 100 }), (is, percent) => {
        const one = {
          ...shallow,
          depth: depth("one", [
            { when: "always", percent },
            { when: "runs", percent: 60 },
          ]),
        };
        const { best } = weigh([one], is, RATES);
        expect(best.figures.comesBack).toBeLessThanOrEqual(1);
        const worse = weigh([outage(one)], { ...is, leak: "runs", access: "hard" }, RATES);
        expect(worse.best.cost).toBeGreaterThanOrEqual(best.cost - 1e-9);
      }),
    );
  });

  it("keeps what was not chosen with why, and asks why of a dearer one", () => {
    const inputs = {
      ...jobAt("LD-SF1", "ottermouth-brook-20", "lido-treatment", { policy: "on-condition" }),
      reason: { kind: "symptom" as const, says: "Water comes hard", symptom: "hard" },
    };
    expect(candidatesOf(inputs).map((each) => each.depth.id)).toEqual(["piece", "set"]);
    const kept = depthOf(inputs, { id: "piece", leak: "seeps", access: "easy" });
    if (!kept.ok) throw new Error(kept.error.message);
    expect(kept.value.others).toMatchObject([{ id: "set", mostly: "parts" }]);
    expect(kept.value.others[0]!.dearer).toBeGreaterThan(0);
    const dearer = depthOf(inputs, { id: "set", leak: "seeps", access: "easy" });
    expect(dearer.ok ? "" : dearer.error.path).toBe("/depth/reason");
    expect(
      depthOf(inputs, {
        id: "set",
        leak: "seeps",
        access: "easy",
        reason: "No second trip before the season.",
      }).ok,
    ).toBe(true);
    const deeper = depthOf({ ...inputs, reach: ["stack"] }, { id: "piece", leak: "seeps", access: "easy" });
    expect(deeper.ok ? "" : deeper.error.message).toMatch(/reach just these, or leave the depth out/);
    expect(depthOf(inputs, { id: "none", leak: "seeps", access: "easy" }).ok).toBe(false);
  });
});
