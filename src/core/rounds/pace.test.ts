import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type JobTaken, paceOf } from "./pace";

const jobs = (count: number, more: Partial<JobTaken> = {}): JobTaken[] =>
  Array.from({ length: count }, () => ({
    family: "trap",
    crew: "North",
    taken: 90,
    compiled: 60,
    ...more,
  }));

describe("how long work takes here", () => {
  it("is what is compiled as long as no job was done", () => {
    const pace = paceOf([]);
    expect(pace.ofFamily("trap")).toBe(1);
    expect(pace.ofCrew("North")).toBe(1);
    expect(pace.of("trap", "North").most).toBeGreaterThan(1.3);
  });

  it("comes nearer to what was taken with every job, and more surely so", () => {
    const half = (count: number) => paceOf(jobs(count)).of("trap", "North").half;
    const wide = (count: number) => paceOf(jobs(count)).of("trap", "North").most / half(count);
    expect(half(1)).toBeGreaterThan(1);
    expect(half(1)).toBeLessThan(half(5));
    expect(half(40)).toBeGreaterThan(1.4);
    expect(half(40)).toBeLessThan(1.6);
    expect(wide(40)).toBeLessThan(wide(1));
  });

  it("tells a slow family from a slow crew where several crews did it", () => {
    const done = [
      ...jobs(20, { crew: "North", taken: 60 }),
      ...jobs(20, { crew: "South", taken: 90 }),
      ...jobs(20, { family: "hydrant", crew: "North", taken: 60 }),
    ];
    const pace = paceOf(done);
    expect(pace.ofCrew("South")).toBeGreaterThan(1.1);
    expect(pace.ofCrew("North")).toBeLessThan(1);
    expect(pace.of("hydrant", "South").half).toBeGreaterThan(pace.of("hydrant", "North").half);
  });

  it("passes over what was entered afterwards, left without a word, or hardly work", () => {
    const odd = [
      ...jobs(9, { taken: 2 }),
      ...jobs(9, { taken: 900 }),
      ...jobs(9, { compiled: 5, taken: 15 }),
    ];
    expect(paceOf(odd).ofFamily("trap")).toBe(1);
    expect(paceOf(odd).jobsOfFamily("trap")).toBe(0);
  });

  it("never leaves what was seen, in whatever order", () => {
    const some = fc.array(
      fc.record({
        family: fc.constantFrom("trap", "hydrant", "softener"),
        crew: fc.option(fc.constantFrom("North", "South"), { nil: undefined }),
        taken: fc.integer({ min: 15, max: 240 }),
        compiled: fc.constant(60),
      }),
      { maxLength: 30 },
    );
    fc.assert(
      fc.property(some, (done) => {
        const [pace, back] = [paceOf(done), paceOf([...done].reverse())];
        for (const family of ["trap", "hydrant", "softener", "other"])
          for (const crew of ["North", "South", undefined]) {
            const { half, most } = pace.of(family, crew);
            expect(half).toBeGreaterThanOrEqual(0.2);
            expect(half).toBeLessThanOrEqual(4.5);
            expect(most).toBeGreaterThan(half);
            expect(back.of(family, crew).half).toBeCloseTo(half, 9);
          }
      }),
    );
  });
});
