import { describe, expect, it } from "vitest";
import { twoCrews } from "@/core/rounds/ask/ask.fixtures";
import { roundsDayTask, roundsPlanTask } from "./rounds-task";

const bytes = (value: unknown) => new TextEncoder().encode(JSON.stringify(value));

describe("rounds by a worker", () => {
  it("answer a day in the given shape", async () => {
    expect(await roundsDayTask(bytes(twoCrews))).toMatchObject({
      ok: true,
      value: { unplaced: [], stopped_early: false, shifts: [{ crew: "Isla and Tam" }, {}, {}] },
    });
  });

  it("answer weeks by the integer program", async () => {
    expect(await roundsPlanTask(bytes(twoCrews))).toMatchObject({
      ok: true,
      value: { unplaced: [], weeks: [{ from: "2026-06-01T00:00:00.000Z" }] },
    });
  });

  it("say in a sentence why something found no place, and what would make room", async () => {
    const steam = { ...twoCrews, tasks: [{ ...twoCrews.tasks[1]!, needs: ["steam"] }] };
    expect(await roundsDayTask(bytes(steam))).toMatchObject({
      value: {
        unplaced: [{ why: [{ says: expect.stringContaining("Nobody of this crew may: steam") }, {}, {}] }],
      },
    });
    expect(await roundsPlanTask(bytes(steam))).toMatchObject({
      value: { unplaced: [{ says: expect.stringContaining("No crew has") }] },
    });
  });

  it("refuse what is no question, with the place", async () => {
    expect(await roundsDayTask(bytes({ ...twoCrews, crews: "none" }))).toMatchObject({
      ok: false,
      status: 422,
      problems: [{ path: "/crews" }],
    });
    expect(await roundsPlanTask(bytes({ ...twoCrews, seconds: 1e6 }))).toMatchObject({
      ok: false,
      problems: [{ path: "/seconds" }],
    });
  });
});
