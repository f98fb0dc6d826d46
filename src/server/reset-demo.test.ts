import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { ACCESS_TABLES } from "@/data";
import { resetDemo } from "./reset-demo";
import { passingServices, type Services } from "./services";

let services: Services;
beforeEach(() => {
  vi.stubEnv("LOFTBELL_MODE", "demo");
  services = passingServices(() => Date.parse("2027-03-01T09:00:00Z"));
});
afterEach(() => vi.unstubAllEnvs());

it("begins anew as often as it is asked, with its sheets and what is due by them", () => {
  resetDemo(services);
  const { library, register } = services;
  const sheets = library.sheets();
  const valves = register.valves();
  for (const { id } of sheets) library.sheet(id);
  const rows = rowsByTable();
  resetDemo(services);
  expect(sheets.length).toBeGreaterThan(0);
  expect(library.sheets()).toEqual(sheets);
  expect(register.valves()).toEqual(valves);
  expect(rowsByTable()).toEqual(rows);
}, 120_000);

/** How many rows each table has: what is not emptied has twice as many. The chain of anchors goes on. */
function rowsByTable(): Record<string, number> {
  const client = services.db.$client;
  const tables = client
    .prepare(
      "select name from sqlite_master where type = 'table' and name not like 'sqlite_%' and name not like '%find_words%' and name not like '__drizzle%'",
    )
    .pluck()
    .all() as string[];
  return Object.fromEntries(
    tables
      .filter((name) => name !== "anchors" && !(ACCESS_TABLES as readonly string[]).includes(name))
      .map((name) => [name, client.prepare(`select count(*) from "${name}"`).pluck().get() as number]),
  );
}
