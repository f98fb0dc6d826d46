import type { Bench } from "./shown.fixtures";

/** One valve of the demo for each family: practice, mistakes and schools are shown on it. */
export const BENCHES = {
  wetBarrel: {
    tag: "NQ-H07",
    sheet: "brae-quaywall-4",
    line: "north-quay",
    valve: { generation: "C", build: "bayonet" },
  },
  dryBarrel: {
    tag: "NQ-H10",
    sheet: "quillon-harbour-5",
    line: "north-quay",
    valve: { generation: "1", build: "opens-right" },
  },
  assist: {
    tag: "FST-P1",
    sheet: "quillon-pierhead-2",
    line: undefined,
    valve: { generation: "2", build: "plain" },
  },
  checkValve: { tag: "SK-C1", sheet: "brae-skerrycheck-100", line: "skerry-booster" },
  airValve: { tag: "MG-A1", sheet: "sedgeway-cloud-50", line: "marram-gardens" },
  servo: { tag: "LY-S1h", sheet: "harrow-pickle-15", line: "laundry-supply" },
  regulating: {
    tag: "GN-HRV1",
    sheet: "pell-meter-h20",
    line: "gannet-low-side",
    valve: { generation: "2" },
  },
  co2Stop: { tag: "GC-SV2", sheet: "pell-frostgate-32", line: "gannet-co2" },
  relief: { tag: "GN-RV6", sheet: "pell-guardian-s1", line: "gannet-low-side" },
  shuttle: { tag: "LD-M2", sheet: "ottermouth-shuttlemix-15", line: "lido-water" },
  spool: { tag: "LD-M1", sheet: "ottermouth-spoolmix-25", line: "lido-water" },
  preAction: { tag: "FS-PN1", sheet: "quillon-watchair-1", line: "ferry-shed" },
  apparatus: {
    tag: "FST-A1",
    sheet: "brae-swingout-3",
    line: undefined,
    valve: { generation: "B", build: "full" },
  },
  pit: { tag: "MG-D1", sheet: "sedgeway-furrow-25", line: "marram-beds" },
  pilot: { tag: "MG-P1", sheet: "sedgeway-ditchmaster-80", line: "marram-gardens" },
  meterCock: { tag: "RW-G17", sheet: "pell-ropewalk-20", line: "ropewalk-gas" },
  softener: { tag: "LD-SF1", sheet: "ottermouth-brook-20", line: "lido-treatment" },
  treatment: { tag: "LD-IF1", sheet: "ottermouth-ironbrook-30", line: "lido-treatment" },
  trap: { tag: "LD-T11", sheet: "lantern-bucket-20", line: "lido-steam" },
  radiator: {
    tag: "HL-V1",
    sheet: "lantern-parlour-1",
    line: "holm-library",
    valve: { installed: "1956-01-22T08:00:00Z" },
  },
} as const satisfies Record<string, Bench>;
