import { expect, it } from "vitest";
import type { JobEvent, TakenWith } from "@/core/formats";
import { demoServices } from "../demo.fixtures";
import { asRegistered } from "./as-registered";

const services = demoServices(() => Date.parse("2026-06-01T09:00:00Z"));
const taken: TakenWith = {
  kind: "gauge",
  name: "Test gauge",
  serial: "QG-2201",
  by: "socket",
  at: "2026-06-01T09:00:00Z",
  read: "0.01 bar g",
  // What somebody would like it to be.
  registered: "IN-99",
  calibrated: "2026-05-31",
  until: "2036-05-31",
};
const reading = (more: Partial<TakenWith> = {}): JobEvent => ({
  v: 1,
  id: "e",
  at: "2026-06-01T09:00:00Z",
  by: "Tam Arkle",
  kind: "reading-taken",
  step: "prove:gauge",
  what: "zero",
  dimension: "gauge pressure",
  si: 1000,
  typed: "0.01 bar g",
  with: { ...taken, ...more },
});

it("until when a calibration holds is what the register says, whatever was sent", () => {
  const { calibrated, until } = (asRegistered(services, reading()) as { with: TakenWith }).with;
  const known = services.things.one("instrument", "IN-01")!;
  expect(calibrated).toBe(known.calibrated);
  expect(until! > known.calibrated!).toBe(true);
  expect(asRegistered(services, reading())).toMatchObject({
    with: { registered: "IN-01", read: "0.01 bar g" },
  });
});

it("one that is in no register has no calibration", () => {
  const stranger = asRegistered(services, reading({ serial: "XX-1" })) as { with: TakenWith };
  expect(stranger.with).not.toHaveProperty("registered");
  expect(stranger.with).not.toHaveProperty("until");
});

it("what was typed stays as it is", () => {
  const { with: _, ...typed } = reading() as JobEvent & { with: TakenWith };
  expect(asRegistered(services, typed as JobEvent)).toEqual(typed);
});
