import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { resetDemo } from "./reset-demo";
import { passingServices, type Services } from "./services";

const kept = globalThis as typeof globalThis & { loftbell?: Services };
beforeEach(() => {
  vi.stubEnv("LOFTBELL_MODE", "demo");
  kept.loftbell = passingServices(() => Date.parse("2027-03-01T09:00:00Z"));
});
afterEach(() => {
  delete kept.loftbell;
  vi.unstubAllEnvs();
});

it("begins anew as often as it is asked, with its sheets and what is due by them", () => {
  resetDemo();
  const { library, register } = kept.loftbell!;
  const sheets = library.sheets();
  const valves = register.valves();
  for (const { id } of sheets) library.sheet(id);
  resetDemo();
  expect(sheets.length).toBeGreaterThan(0);
  expect(library.sheets()).toEqual(sheets);
  expect(register.valves()).toEqual(valves);
}, 120_000);
