import { CALCULATORS, calculate, readTyped, type SentInput } from "@/core/calculators";
import {
  boilingPressure,
  boilingTemperature,
  saturationPressure,
  saturationTemperature,
} from "@/core/physics";
import { pascalsAbsolute } from "@/core/quantity";
import { row } from "./table";

const MILLION = 1_000_000;

function seconds(run: (at: number) => number | undefined): number {
  let sum = 0;
  const begun = performance.now();
  for (let at = 0; at < MILLION; at++) sum += run(at / MILLION) ?? 0;
  const took = performance.now() - begun;
  if (!Number.isFinite(sum)) throw new Error("a point of the line has no value");
  return took / 1000;
}

console.log("\nA million points of a boiling line, and how many times as long as steam's pressure");
const lines = [
  ["steam: pressure from temperature", (share: number) => saturationPressure(273.15 + 373 * share)],
  [
    "steam: temperature from pressure",
    (share: number) => saturationTemperature(pascalsAbsolute(611.3 + 2.2e7 * share)),
  ],
  ["ammonia: pressure from temperature", (share: number) => boilingPressure("ammonia", 223.15 + 172 * share)],
  [
    "ammonia: temperature from pressure",
    (share: number) => boilingTemperature("ammonia", pascalsAbsolute(5e4 + 8e6 * share)),
  ],
  ["CO2: pressure from temperature", (share: number) => boilingPressure("co2", 216.6 + 87.5 * share)],
  [
    "CO2: temperature from pressure",
    (share: number) => boilingTemperature("co2", pascalsAbsolute(5.2e5 + 6.8e6 * share)),
  ],
] as const;
const first = seconds(lines[0][1]);
for (const [name, run] of lines) {
  const took = seconds(run);
  console.log(
    `${name.padEnd(38)} ${took.toFixed(2).padStart(6)} s ${(took / first).toFixed(1).padStart(7)} ×`,
  );
  row({
    bench: "sums",
    what: `a million points, ${name}`,
    measured: `${took.toFixed(2)} s`,
    ratio: `${(took / first).toFixed(1)} × steam`,
  });
}

const median = (times: number[]) => times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)]!;

const pages = CALCULATORS.map((calculator) => {
  const sent: Record<string, SentInput> = {};
  for (const [name, text] of Object.entries(calculator.examples[0]!.inputs)) {
    const read = readTyped(calculator.inputs.find((input) => input.name === name)!, text);
    if (read.ok) sent[name] = read.value;
  }
  const times = Array.from({ length: 60 }, () => {
    const begun = performance.now();
    if (!calculate(calculator, sent).ok) throw new Error(calculator.id);
    return performance.now() - begun;
  });
  return { id: calculator.id, ms: median(times), worst: Math.max(...times.slice(5)) };
}).sort((a, b) => b.ms - a.ms);
const shared = median(pages.map((page) => page.ms));
console.log(
  `\nA page of results, median of 60 (target: under 5 ms); the usual one takes ${shared.toFixed(3)} ms`,
);
row({
  bench: "sums",
  what: `a page of results: the usual, and the heaviest (${pages[0]!.id})`,
  measured: `${shared.toFixed(2)} and ${pages[0]!.ms.toFixed(2)} ms`,
  reach: "5 ms",
  ratio: `${(pages[0]!.ms / shared).toFixed(0)} ×`,
});
for (const page of pages.slice(0, 6))
  console.log(
    `${page.id.padEnd(22)} ${page.ms.toFixed(3).padStart(8)} ms, worst ${page.worst.toFixed(2)} ms ${(page.ms / shared).toFixed(0).padStart(5)} ×`,
  );
