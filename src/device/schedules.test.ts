import { describe, expect, it } from "vitest";
import { overCutLine, schedule } from "./schedules.fixtures";

// Two hundred of them are in the bench.
describe("two devices on one job, a line that is cut, killed tabs and a killed server", () => {
  it.each([1, 2, 3, 4, 5, 6])(
    "schedule %i: nothing acknowledged is lost, nothing stands twice, all logs are equal",
    async (seed) => {
      expect(await schedule(seed, 60)).toEqual([]);
    },
  );
});

describe("over a line that is cut every three seconds", () => {
  it("entries and photographs arrive in pieces, none lost or doubled, though no photograph fits between two cuts", async () => {
    const line = { entries: 60, photos: 3, width: 420, height: 300, holds_s: 3, bytes_s: 20_000 };
    const { wrong, bytes } = await overCutLine(line);
    expect(bytes / line.photos).toBeGreaterThan(line.holds_s * line.bytes_s);
    expect(wrong).toEqual([]);
  });
});
