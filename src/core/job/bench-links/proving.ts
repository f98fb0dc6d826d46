import { BAR } from "../progress";
import type { Run } from "../run";
import { readProving } from "../step-id";
import { type BenchLink, figure, type Links, open, type Rule } from "./rule";
import { asReadings, pressureTrace } from "./traced";

/** Proving zero: is the gauge fit for it, and does the section hold. */
export const proving: Rule = (job, step) => {
  const { isolation } = job.inputs.sheet;
  if (step.kind === "gauge")
    return [
      open("gauge-fitness", {
        prove: "below",
        kind: "gauge",
        reading: "0 bar g",
        boundGauge: `${figure(isolation.zero_bar)} bar g`,
      }),
      ...standing(job),
      ...(isolation.medium === "ammonia" || isolation.medium === "co2"
        ? [open("saturation", { refrigerant: isolation.medium })]
        : isolation.medium === "steam"
          ? [open("steam-table")]
          : []),
    ];
  if (step.kind !== "hold" && step.kind !== "soak") return [];
  return [
    ...(step.kind === "hold" ? standing(job) : []),
    open("soak-and-hold", {
      what: step.kind === "hold" ? "stand" : "soak",
      lasts: `${figure(step.minutes)} min`,
    }),
  ];
};

/** The readings of the section so far, first and last. */
function standing(job: Run): Links {
  const readings = job.progress.readings.filter((reading) => readProving(reading.step) !== undefined);
  const [first, last] = [readings[0], readings.at(-1)];
  const { zero_bar } = job.inputs.sheet.isolation;
  // A sheet that wants zero itself leaves the bound to the gauge.
  const bound: BenchLink["start"] = zero_bar > 0 ? { bound: `${figure(zero_bar)} bar` } : {};
  const { waits } = job.progress;
  // A proof that was begun anew has let go of the wait before.
  const trace = pressureTrace(job.progress, (id) => readProving(id)?.part === "hold" && waits.has(id));
  if (trace !== undefined) return [open("stand-test", { ...asReadings(trace), ...bound })];
  if (first === undefined || last === undefined || first === last) return [];
  const bar = (si: number) => `${figure(si / BAR)} bar g`;
  const kelvin = (name: string, of: number | undefined) =>
    of === undefined ? {} : { [name]: `${figure(of)} K` };
  return [
    open("stand-test", {
      first: bar(first.si),
      last: bar(last.si),
      time: `${figure(Math.max((last.at - first.at) / 60_000, 1))} min`,
      ...bound,
      ...kelvin("firstTemperature", first.kelvin),
      ...kelvin("lastTemperature", last.kelvin),
    }),
  ];
}
