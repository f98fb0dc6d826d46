import { describe, expect, it } from "vitest";
import { airValve } from "./practice/air-valve.fixtures";
import { apparatusBall } from "./practice/apparatus-ball.fixtures";
import { checkValve } from "./practice/check-valve.fixtures";
import { co2Stop } from "./practice/co2-stop.fixtures";
import { dryBarrelHydrant } from "./practice/dry-barrel-hydrant.fixtures";
import { electricPilot } from "./practice/electric-pilot.fixtures";
import { handRegulating } from "./practice/hand-regulating.fixtures";
import { hydrantAssist } from "./practice/hydrant-assist.fixtures";
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
    {
      family: "wet-barrel hydrant",
      bench: {
        tag: "NQ-H07",
        sheet: "brae-quaywall-4",
        line: "north-quay",
        valve: { generation: "C", build: "bayonet" },
      },
      rows: wetBarrelHydrant,
    },
    {
      family: "dry-barrel hydrant",
      bench: {
        tag: "NQ-H10",
        sheet: "quillon-harbour-5",
        line: "north-quay",
        valve: { generation: "1", build: "opens-right" },
      },
      rows: dryBarrelHydrant,
    },
    {
      family: "hydrant assist valve",
      bench: {
        tag: "FST-P1",
        sheet: "quillon-pierhead-2",
        line: undefined,
        valve: { generation: "2", build: "plain" },
      },
      rows: hydrantAssist,
    },
    {
      family: "check valve",
      bench: { tag: "SK-C1", sheet: "brae-skerrycheck-100", line: "skerry-booster" },
      rows: checkValve,
    },
    {
      family: "air valve",
      bench: { tag: "MG-A1", sheet: "sedgeway-cloud-50", line: "marram-gardens" },
      rows: airValve,
    },
    {
      family: "servo solenoid",
      bench: { tag: "LY-S1h", sheet: "harrow-pickle-15", line: "laundry-supply" },
      rows: servoSolenoid,
    },
    {
      family: "hand regulating valve",
      bench: { tag: "GN-HRV1", sheet: "pell-meter-h20", line: "gannet-low-side", valve: { generation: "2" } },
      rows: handRegulating,
    },
    {
      family: "CO2 stop valve",
      bench: { tag: "GC-SV2", sheet: "pell-frostgate-32", line: "gannet-co2" },
      rows: co2Stop,
    },
    {
      family: "refrigerant relief",
      bench: { tag: "GN-RV6", sheet: "pell-guardian-s1", line: "gannet-low-side" },
      rows: refrigerantRelief,
    },
    {
      family: "mixing valve, shuttle",
      bench: { tag: "LD-M2", sheet: "ottermouth-shuttlemix-15", line: "lido-water" },
      rows: mixingShuttle,
    },
    {
      family: "mixing valve, spool",
      bench: { tag: "LD-M1", sheet: "ottermouth-spoolmix-25", line: "lido-water" },
      rows: mixingSpool,
    },
    {
      family: "pre-action actuator",
      bench: { tag: "FS-PN1", sheet: "quillon-watchair-1", line: "ferry-shed" },
      rows: preAction,
    },
    {
      family: "apparatus ball valve",
      bench: {
        tag: "FST-A1",
        sheet: "brae-swingout-3",
        line: undefined,
        valve: { generation: "B", build: "full" },
      },
      rows: apparatusBall,
    },
    {
      family: "irrigation pit valve",
      bench: { tag: "MG-D1", sheet: "sedgeway-furrow-25", line: "marram-beds" },
      rows: irrigationPit,
    },
    {
      family: "electric pilot valve",
      bench: { tag: "MG-P1", sheet: "sedgeway-ditchmaster-80", line: "marram-gardens" },
      rows: electricPilot,
    },
    {
      family: "meter cock",
      bench: { tag: "RW-G17", sheet: "pell-ropewalk-20", line: "ropewalk-gas" },
      rows: meterCock,
    },
    {
      family: "softener stack",
      bench: { tag: "LD-SF1", sheet: "ottermouth-brook-20", line: "lido-treatment" },
      rows: softenerStack,
    },
    {
      family: "treatment head",
      bench: { tag: "LD-IF1", sheet: "ottermouth-ironbrook-30", line: "lido-treatment" },
      rows: treatmentHead,
    },
    {
      family: "steam trap",
      bench: { tag: "LD-T11", sheet: "lantern-bucket-20", line: "lido-steam" },
      rows: steamTrap,
    },
    {
      family: "vapour radiator valve",
      bench: {
        tag: "HL-V1",
        sheet: "lantern-parlour-1",
        line: "holm-library",
        valve: { installed: "1956-01-22T08:00:00Z" },
      },
      rows: vapourRadiatorValve,
    },
  ];

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
