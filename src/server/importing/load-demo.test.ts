import Papa from "papaparse";
import { describe, expect, it } from "vitest";
import { passingInstallation } from "../proof/installation";
import { scenarioFiles } from "./load-demo";

const DAY = 86_400_000;
const NOW = Date.parse("2026-11-29T09:00:00Z");

interface Row {
  readonly tag: string;
  readonly serviced: string;
  readonly last: string;
}

function registerAt(now: number): readonly Row[] {
  const { text } = scenarioFiles(now, passingInstallation()).find(({ name }) => name === "register.csv")!;
  return Papa.parse<Row>(text, { header: true, skipEmptyLines: true }).data;
}

/** Days as they stand in a cell of acts: `disc=2022-05-07 seat=…`. */
const days = (last: string): number[] =>
  [...last.matchAll(/=(\S+)/g)].map(([, day]) => Date.parse(day!) / DAY);

describe("the demo's dates", () => {
  it("move with today, the days of last overhauls as far as the moments of the last service", () => {
    const [then, later] = [registerAt(NOW), registerAt(NOW + 200 * DAY)];
    expect(then.flatMap(({ last }) => days(last)).length).toBeGreaterThan(100);
    for (const [index, { serviced, last }] of then.entries()) {
      const moved = later[index]!;
      expect(days(moved.last)).toEqual(days(last).map((day) => day + 200));
      if (serviced !== "") expect(Date.parse(moved.serviced) - Date.parse(serviced)).toBe(200 * DAY);
    }
  });
});
