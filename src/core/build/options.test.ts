import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { librarySheet } from "../job/job.fixtures";
import { asFitted, checkSheet } from ".";

const iron = librarySheet("ottermouth-ironbrook-30");
const options = iron.options!.map(({ id }) => id);

describe("a sheet as it is fitted", () => {
  it("is the same sheet where nothing lacks", () => {
    expect(asFitted(iron)).toBe(iron);
    expect(asFitted(iron, { meter: "yes" })).toBe(iron);
  });

  it("is a sound sheet whatever it lacks, and speaks of nothing that is not there", () => {
    fc.assert(
      fc.property(fc.subarray(options), (lacking) => {
        const fitted = Object.fromEntries(lacking.map((id) => [id, "no" as const]));
        const sheet = asFitted(iron, fitted);
        // A kit may bring what this valve lacks; it is left over then.
        const known = new Set(sheet.parts.map(({ id }) => id));
        const kits = sheet.kits.map((kit) => ({
          ...kit,
          contents: kit.contents.filter(({ part }) => known.has(part)),
        }));
        const left = { ...sheet, kits: kits.filter(({ contents }) => contents.length > 0) };
        const reasons = left.symptoms.filter(({ reach, looks }) => reach.length > 0 || looks !== undefined);
        expect(checkSheet({ ...left, symptoms: reasons })).toEqual([]);
        for (const option of lacking) expect(sheet.parts.some((part) => part.option === option)).toBe(false);
      }),
      { numRuns: 16 },
    );
  });
});
