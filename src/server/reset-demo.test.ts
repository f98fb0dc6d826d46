import { afterEach, beforeEach, expect, it, vi } from "vitest";
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
  resetDemo(services);
  expect(sheets.length).toBeGreaterThan(0);
  expect(library.sheets()).toEqual(sheets);
  expect(register.valves()).toEqual(valves);
}, 120_000);
