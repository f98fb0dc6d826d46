import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { isDay, isDayOrInstant, isInstant } from "./dates";

describe("a date that is taken", () => {
  it.each(["2018-03-12", "2024-02-29", "1899-12-31"])("the day %s", (text) => {
    expect(isDay(text)).toBe(true);
    expect(isInstant(text)).toBe(false);
    expect(isDayOrInstant(text)).toBe(true);
  });

  it.each(["2026-03-12T08:30:00Z", "2026-03-12T08:30:00.123+02:00", "2026-03-12t08:30:00z"])(
    "the moment %s",
    (text) => {
      expect(isInstant(text)).toBe(true);
      expect(isDayOrInstant(text)).toBe(true);
    },
  );

  it.each([
    "2016-12-31T23:59:60Z",
    "2023-02-29",
    "2026-02-30T00:00:00Z",
    "2026-13-01",
    "2026-04-31",
    "9999-01-01",
    "0001-01-01T00:00:00Z",
    "2026-03-12T08:30:00",
    "2026-03-12T25:00:00Z",
    "12/03/2018",
    "2018",
    "",
    "2026-03-12 08:30:00Z",
  ])("%s is none", (text) => expect(isDayOrInstant(text)).toBe(false));

  it("can always be read by the clock of the program", () => {
    let read = 0;
    const nearly = fc.stringMatching(/^[12]\d{3}-[01]\d-[0-3]\d(T[0-2]\d:[0-5]\d:[0-5]\dZ)?$/);
    fc.assert(
      fc.property(fc.oneof(fc.string(), nearly), (text) => {
        if (!isDayOrInstant(text)) return;
        read += 1;
        expect(Date.parse(text)).not.toBeNaN();
      }),
      { numRuns: 3000 },
    );
    expect(read).toBeGreaterThan(50);
  });

  it("takes every instant of the years that a valve can have a date in", () => {
    const span = { min: new Date("1800-01-01"), max: new Date("2199-12-31"), noInvalidDate: true };
    fc.assert(fc.property(fc.date(span), (date) => isInstant(date.toISOString())));
  });
});
