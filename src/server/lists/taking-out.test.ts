import { beforeAll, describe, expect, it } from "vitest";
import { PLAIN_LIST_NAMES } from "@/core/formats";
import { demoServices } from "../demo.fixtures";
import { previewImport } from "../importing/import-files";
import type { Services } from "../services";
import { calendarOf } from "./calendar";
import { movementsCsv, stockCsv, valvesCsv } from "./csv";
import { placesGeoJson } from "./geojson";
import { PLAIN_LISTS, plainCsv } from "./plain-csv";

const NOW = Date.parse("2027-03-01T09:00:00Z");
let services: Services;
beforeAll(() => {
  services = demoServices(() => NOW);
});

async function whole(text: AsyncGenerator<string>): Promise<string> {
  let all = "";
  for await (const piece of text) all += piece;
  return all;
}
const rowsOf = (text: string) => text.trim().split("\r\n").length - 1;

describe("what is taken out", () => {
  it.each(["places.csv", "crew.csv", "instruments.csv", "readings.csv"] as const)(
    "%s can be brought in again, and changes nothing",
    async (name) => {
      const text = await whole(plainCsv(services, name));
      expect(rowsOf(text)).toBeGreaterThan(3);
      const seen = previewImport(services, [{ name, text }]);
      expect(seen.ok ? seen.value.lines.map(({ effect }) => effect) : seen.error).toEqual(["same"]);
    },
  );

  it("the register as well, and places and valves as GeoJSON", async () => {
    const register = await whole(valvesCsv(services, {}));
    const map = JSON.stringify(placesGeoJson(services));
    for (const [name, text] of [
      ["register.csv", register],
      ["places.geojson", map],
    ] as const) {
      const seen = previewImport(services, [{ name, text }]);
      expect(seen.ok ? [...new Set(seen.value.lines.map(({ effect }) => effect))] : seen.error, name).toEqual(
        ["same"],
      );
    }
  });

  it("has every valve on the map that stands anywhere, at its place where it has no spot of its own", () => {
    const { features } = placesGeoJson(services);
    const valves = features.filter(({ properties }) => "tag" in properties);
    expect(valves.length).toBe(services.register.count());
    for (const { geometry, properties } of valves) {
      const valve = services.register.valve(String(properties.tag))!;
      expect(properties.approximate === true).toBe(valve.lat === undefined);
      if (valve.lat !== undefined) expect(geometry.coordinates).toEqual([valve.lon, valve.lat]);
    }
  });

  it("is every list that the route names", async () => {
    for (const name of PLAIN_LIST_NAMES) {
      const [head, ...rows] = (await whole(plainCsv(services, name))).trim().split("\r\n");
      expect(head).toBe(PLAIN_LISTS[name].columns.join(","));
      expect(rows.length, name).toBeGreaterThan(0);
    }
    expect(rowsOf(await whole(movementsCsv(services)))).toBe(services.movements.all().length);
  });

  it("has the stock of a day that is past", async () => {
    const glands = async (at: number | undefined) =>
      (await whole(stockCsv(services, at))).split("\r\n").find((row) => row.includes("gland-gasket"))!;
    expect(await glands(undefined)).toContain("Gland gasket,4,4,5.5");
    expect(await glands(NOW - 150 * 86_400_000)).toContain("Gland gasket,11,4,5.5");
  });
});

describe("the calendar", () => {
  const ids = (text: string) => text.match(/^UID:.*$/gm) ?? [];
  const calendar = (ask: Parameters<typeof calendarOf>[1] = {}, at: Services = services) =>
    calendarOf(at, ask, "http://127.0.0.1:4180")
      .toString()
      .replaceAll(/\r\n[ \t]/g, "");

  it("has each thing that rings once, with an alarm, under an id that stays", () => {
    const text = calendar();
    const all = ids(text);
    expect(all.length).toBeGreaterThan(20);
    expect(new Set(all).size).toBe(all.length);
    expect(text.match(/BEGIN:VALARM/g)?.length).toBe(all.length);
    expect(text).toContain("UID:due-NQ-H07@loftbell");
    const tomorrow = calendar({}, { ...services, now: () => NOW + 86_400_000 });
    const later = new Set(ids(tomorrow));
    expect(all.filter((id) => !later.has(id))).toEqual([]);
  });

  it("reaches as far as it is asked, and keeps to a place", () => {
    expect(ids(calendar({ days: 10 })).length).toBeLessThan(ids(calendar({ days: 400 })).length);
    const lido = calendar({ place: "Lido" });
    expect(ids(lido).length).toBeGreaterThan(0);
    for (const where of lido.match(/^LOCATION:.*$/gm) ?? []) expect(where).toMatch(/^LOCATION:Lido/);
    expect(lido.match(/^LOCATION:/gm)?.length).toBe(ids(lido).length);
  });
});
