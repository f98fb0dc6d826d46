import { readdirSync, readFileSync } from "node:fs";
import { planStrip } from "@/core/build";
import { type JobInputs, PLAN_RULES, type Sheet } from "@/core/formats";
import { compile, replay } from "@/core/job";
import { row } from "./table";

/** Every sheet: all of its parts to be reached, the job compiled whole, on its heaviest build. */
const folder = new URL("../library/", import.meta.url);
const sheets = readdirSync(folder)
  .filter((name) => name.endsWith(".json"))
  .map((name) => JSON.parse(readFileSync(new URL(name, folder), "utf8")) as Sheet);

const median = (times: number[]) => times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)]!;
function timed(run: () => void, rounds = 15): number {
  run();
  return median(
    Array.from({ length: rounds }, () => {
      const begun = performance.now();
      run();
      return performance.now() - begun;
    }),
  );
}

const inputsOf = (sheet: Sheet, reach: string[], build: string | undefined): JobInputs => ({
  id: "bench",
  valve: { tag: "B-1", name: "Bench", place: "Bench", sheet: sheet.id, ...(build && { build }) },
  sheet,
  reason: { kind: "due", says: "Bench" },
  reach,
  policy: "everything-open",
  openedAt: "2026-01-01T00:00:00Z",
  openedBy: "Bench",
  rules: PLAN_RULES,
});

const rows = sheets.flatMap((sheet) =>
  (sheet.builds.length > 0 ? sheet.builds.map((build) => build.id) : [undefined]).map((build) => {
    const reach = sheet.parts
      .filter(
        (part) =>
          !part.stays &&
          part.ways.some(
            (way) => way.builds === undefined || build === undefined || way.builds.includes(build),
          ),
      )
      .map((part) => part.id);
    const inputs = inputsOf(sheet, reach, build);
    const progress = replay(inputs, []);
    return {
      sheet: `${sheet.id}${build === undefined ? "" : ` (${build})`}`,
      parts: reach.length,
      plan_ms: timed(() => planStrip(sheet, { reach, ...(build && { build }) })),
      compile_ms: timed(() => compile(inputs, progress)),
    };
  }),
);
rows.sort((a, b) => b.compile_ms - a.compile_ms);
console.log(
  "\nA whole strip of each sheet, median of 15: strip order alone, and the job compiled (target: under 20 ms)",
);
for (const row of rows.slice(0, 8))
  console.log(
    `  ${row.sheet.padEnd(34)} ${String(row.parts).padStart(3)} parts   plan ${row.plan_ms.toFixed(2).padStart(7)} ms   compile ${row.compile_ms.toFixed(2).padStart(7)} ms`,
  );
const worst = rows[0]!;
row({
  bench: "compile",
  what: `a whole strip of the worst sheet (${worst.sheet})`,
  measured: `${worst.compile_ms.toFixed(1)} ms`,
  reach: "20 ms",
  ratio: `${(worst.compile_ms / worst.plan_ms).toFixed(1)} × its strip order alone`,
});
console.log(
  `  worst: ${worst.sheet}, ${worst.compile_ms.toFixed(1)} ms (${(worst.compile_ms / 20).toFixed(2)} of the target)`,
);
