import { describe, expect, it } from "vitest";
import type { Instrument, Person } from "../formats";
import { calibratedUntil, runningOut } from "./running-out";

const NOW = Date.UTC(2027, 2, 1);
const isla: Person = {
  id: "isla",
  name: "Isla",
  may: "",
  competent: { gas: "2027-02-28", refrigerant: "2027-03-20", steam: "open" },
};
const gauge: Instrument = {
  id: "IN-1",
  name: "Gauge",
  kind: "gauge",
  calibrated: "2026-03-15",
  every_months: 12,
};

describe("what holds until a day", () => {
  it("tells what has run out and what will, the earliest first; what has no end never", () => {
    const found = runningOut([isla], [gauge], [], NOW + 30 * 86_400_000);
    expect(found.map(({ kind, at }) => [kind, at && new Date(at).toISOString().slice(0, 10)])).toEqual([
      ["competence", "2027-03-01"],
      ["calibration", "2027-03-15"],
      ["competence", "2027-03-21"],
    ]);
  });

  it("holds to the end of the day that is named", () => {
    expect(runningOut([isla], [], [], Date.UTC(2027, 1, 28, 12)).length).toBe(0);
    expect(runningOut([isla], [], [], Date.UTC(2027, 2, 1)).length).toBe(1);
  });

  it("asks nothing of who has left and of what is out of use; what was never calibrated comes first", () => {
    const never: Instrument = { id: "IN-2", name: "New", kind: "gauge", every_months: 12 };
    expect(
      runningOut([{ ...isla, left: "2027-01-01" }], [{ ...gauge, out: "2027-01-01" }], [], NOW * 2),
    ).toEqual([]);
    expect(runningOut([isla], [gauge, never], [], NOW)[0]).toMatchObject({ id: "IN-2", at: undefined });
    expect(calibratedUntil({ id: "IN-3", name: "Rule", kind: "scale" })).toBeUndefined();
  });
});
