import { beforeEach, describe, expect, it } from "vitest";
import type { Valve } from "@/core/formats";
import type { StoredReading } from "@/data";
import { undoEdit } from "../book/undo";
import { demoServices } from "../demo.fixtures";
import { importFiles } from "../importing/import-files";
import type { Services } from "../services";
import { coursesNow } from "./courses";

const NOW = Date.parse("2026-11-30T09:00:00Z");
let services: Services;
beforeEach(() => {
  services = demoServices(() => NOW);
});

const valveOf = (tag: string): Valve => services.register.valve(tag)!;
const courseOf = (tag: string, what: string) =>
  coursesNow(services, valveOf(tag), services.library.sheet(valveOf(tag).sheet)!).find(
    (each) => each.what === what,
  )!;
const rings = (tag: string) => services.register.dueNext(500).find((each) => each.tag === tag)!;

describe("a trend", () => {
  it("makes a valve due before its limit is met, though the calendar has it later", () => {
    const { meets } = courseOf("LD-M2", "mixed-temperature");
    expect(meets).toMatchObject({ side: "high" });
    expect(rings("LD-M2").at).toBe(meets!.early);
    expect(rings("LD-M2").why).toMatch(/Its mixed temperature meets its limit about [A-Z][a-z]{2} 2027\./);
  });

  it("is told with what its sisters do, and one of three is not its own sister", () => {
    expect(courseOf("HB-C1", "standing-pressure").meets).toMatchObject({ side: "low", sisters: 5 });
  });

  it("that one more reading breaks rings no more, and rings again when that is taken back", () => {
    const before = rings("LD-M2").at;
    const adjusted = (days: number): string =>
      [
        "LD-M2",
        new Date(NOW - days * 86_400_000).toISOString(),
        "mixed-temperature",
        "temperature",
        "40.0",
        "°C",
        "Tam Arkle",
      ].join(",");
    const text = ["tag,at,what,dimension,value,unit,by", ...[6, 5, 4, 3, 2].map(adjusted)].join("\n");
    const brought = importFiles(services, [{ name: "readings.csv", text }], "Mara Sund");
    if (!brought.ok) throw new Error(JSON.stringify(brought.error));
    expect(services.library.readings("LD-M2").length).toBeGreaterThan(11);
    expect(rings("LD-M2").at).toBeGreaterThan(before);
    const undone = undoEdit(services, brought.value.id!, "Mara Sund");
    if (!undone.ok) throw new Error(JSON.stringify(undone.error));
    expect(rings("LD-M2").at).toBe(before);
  });

  it("that does not fit is asked about", () => {
    const odd: StoredReading = {
      valve: "HB-C1",
      at: NOW,
      what: "standing-pressure",
      dimension: "gauge pressure",
      si: 6e5,
      typed: "6 bar",
      by: "Tam Arkle",
    };
    services.library.saveReadings([odd]);
    expect(courseOf("HB-C1", "standing-pressure").doubts).toMatchObject([{ kind: "newest" }]);
  });
});
