import { describe, expect, it } from "vitest";
import { airValve } from "./practice/air-valve.fixtures";
import { apparatusBall } from "./practice/apparatus-ball.fixtures";
import { assistValve } from "./practice/assist-valve.fixtures";
import { BENCHES } from "./practice/benches.fixtures";
import { checkValve } from "./practice/check-valve.fixtures";
import { co2Stop } from "./practice/co2-stop.fixtures";
import { dryBarrelHydrant } from "./practice/dry-barrel-hydrant.fixtures";
import { electricPilot } from "./practice/electric-pilot.fixtures";
import { handRegulating } from "./practice/hand-regulating.fixtures";
import { irrigationPit } from "./practice/irrigation-pit.fixtures";
import { meterCock } from "./practice/meter-cock.fixtures";
import { mixingShuttle } from "./practice/mixing-shuttle.fixtures";
import { mixingSpool } from "./practice/mixing-spool.fixtures";
import { preAction } from "./practice/pre-action.fixtures";
import { refrigerantRelief } from "./practice/refrigerant-relief.fixtures";
import type { Row } from "./practice/row.fixtures";
import { servoSolenoid } from "./practice/servo-solenoid.fixtures";
import { type Bench, Shown } from "./practice/shown.fixtures";
import { softenerStack } from "./practice/softener-stack.fixtures";
import { steamTrap } from "./practice/steam-trap.fixtures";
import { treatmentHead } from "./practice/treatment-head.fixtures";
import { vapourRadiatorValve } from "./practice/vapour-radiator-valve.fixtures";
import { wetBarrelHydrant } from "./practice/wet-barrel-hydrant.fixtures";

/** What practitioners do, family by family, row by row; each row is shown true on a valve of the demo. */
const FAMILIES: readonly { readonly family: string; readonly bench: Bench; readonly rows: readonly Row[] }[] =
  [
    { family: "wet-barrel hydrant", bench: BENCHES.wetBarrel, rows: wetBarrelHydrant },
    { family: "dry-barrel hydrant", bench: BENCHES.dryBarrel, rows: dryBarrelHydrant },
    { family: "assist valve", bench: BENCHES.assist, rows: assistValve },
    { family: "check valve", bench: BENCHES.checkValve, rows: checkValve },
    { family: "air valve", bench: BENCHES.airValve, rows: airValve },
    { family: "servo solenoid", bench: BENCHES.servo, rows: servoSolenoid },
    { family: "hand regulating valve", bench: BENCHES.regulating, rows: handRegulating },
    { family: "CO2 stop valve", bench: BENCHES.co2Stop, rows: co2Stop },
    { family: "refrigerant relief", bench: BENCHES.relief, rows: refrigerantRelief },
    { family: "mixing valve, shuttle", bench: BENCHES.shuttle, rows: mixingShuttle },
    { family: "mixing valve, spool", bench: BENCHES.spool, rows: mixingSpool },
    { family: "pre-action actuator", bench: BENCHES.preAction, rows: preAction },
    { family: "apparatus ball valve", bench: BENCHES.apparatus, rows: apparatusBall },
    { family: "irrigation pit valve", bench: BENCHES.pit, rows: irrigationPit },
    { family: "electric pilot valve", bench: BENCHES.pilot, rows: electricPilot },
    { family: "meter cock", bench: BENCHES.meterCock, rows: meterCock },
    { family: "softener stack", bench: BENCHES.softener, rows: softenerStack },
    { family: "treatment head", bench: BENCHES.treatment, rows: treatmentHead },
    { family: "steam trap", bench: BENCHES.trap, rows: steamTrap },
    { family: "vapour radiator valve", bench: BENCHES.radiator, rows: vapourRadiatorValve },
  ];

it("is 514 rows: at least 480 work, none is missing", () => {
  const all = FAMILIES.flatMap(({ rows }) => rows);
  const of = (state: Row["state"]) => all.filter((row) => row.state === state).length;
  expect(all).toHaveLength(514);
  expect(of("works")).toBeGreaterThanOrEqual(480);
  expect(of("missing")).toBe(0);
});

describe.each(FAMILIES)("$family", ({ bench, rows }) => {
  const on = new Shown(bench);
  it.each(rows.map((row) => [`${row.row} ${row.what}`, row] as const))("%s", (_, row) => {
    if (row.state === "works" || row.state === "partly") row.shown(on);
    else expect(row.state === "caution" ? row.why : row.missing).not.toBe("");
  });

  it("names each row once", () => {
    const ids = rows.map(({ row }) => row);
    expect(new Set(ids).size).toBe(ids.length);
  });
});
