import { describe, expect, it } from "vitest";
import { schedule } from "./schedules.fixtures";

// Two hundred of them are in the bench.
describe("two devices on one job, a line that is cut, killed tabs and a killed server", () => {
  it.each([1, 2, 3, 4, 5, 6])(
    "schedule %i: nothing acknowledged is lost, nothing stands twice, all logs are equal",
    async (seed) => {
      expect(await schedule(seed, 60)).toEqual([]);
    },
  );
});
