import { readdirSync, readFileSync } from "node:fs";
import {
  type JobEvent,
  type JobInputs,
  type Line,
  PLAN_RULES,
  type Sheet,
  type Store,
  type Valve,
} from "@/core/formats";
import { enoughOfLine } from "@/core/isolation";
import { prove, run } from "@/core/job";
import { everyAnswer } from "@/core/job/job.fixtures";
import { streetGrid } from "@/core/line";
import { asked, lacking, registered } from "../demo/registered.fixtures";
import { row } from "./table";

/** Every valve of the demo and every sheet, build, symptom, single part and policy, against every hidden truth. */
const read = <T>(path: string): T => JSON.parse(readFileSync(new URL(path, import.meta.url), "utf8")) as T;
const sheets = new Map(
  readdirSync(new URL("../library/", import.meta.url))
    .filter((name) => name.endsWith(".json"))
    .map((name) => {
      const sheet = read<Sheet>(`../library/${name}`);
      return [sheet.id, sheet] as const;
    }),
);
const store = read<Store>("../demo/stores/works-store.json");
const lines = new Map<string, Line>();
const lineOf = (id: string): Line => {
  const line = lines.get(id) ?? read<Line>(`../demo/lines/${id}.json`);
  lines.set(id, line);
  return line;
};
const POLICIES = ["on-condition", "what-was-disturbed", "everything-open"] as const;

const inputsOf = (
  valve: Valve,
  sheet: Sheet,
  to: Pick<JobInputs, "reach" | "looks">,
  policy: JobInputs["policy"],
): JobInputs => ({
  id: "bench",
  valve,
  sheet,
  ...(valve.line !== undefined && { line: lineOf(valve.line) }),
  store,
  reason: { kind: "due", says: "Bench" },
  ...to,
  policy,
  openedAt: "2026-01-01T00:00:00Z",
  openedBy: "Bench",
  rules: PLAN_RULES,
});

let plans = 0;
let acts = 0;
let found = 0;
let worst_ms = 0;
const begun = performance.now();
for (const valve of registered().flatMap((each) => lacking(each, sheets.get(each.sheet)!))) {
  const sheet = sheets.get(valve.sheet)!;
  const builds = sheet.builds.length > 0 ? sheet.builds.map((build) => build.id) : [undefined];
  const moving = sheet.parts.filter((part) => part.stays !== true).map((part) => ({ reach: [part.id] }));
  for (const build of builds)
    for (const reach of [...sheet.symptoms.map(asked), ...moving])
      for (const policy of POLICIES) {
        const { build: _, ...plain } = valve;
        const inputs = inputsOf(build === undefined ? plain : { ...plain, build }, sheet, reach, policy);
        const since = performance.now();
        const job = run(inputs, []);
        // A part that this build does not have.
        if (!job.ok) continue;
        const proof = prove(job.value.plan, inputs);
        worst_ms = Math.max(worst_ms, performance.now() - since);
        plans++;
        acts += proof.acts;
        found += proof.harms.length + proof.differences.length;
        for (const { harm, step, truth } of proof.harms.slice(0, 1))
          console.log(
            `  ${valve.tag} ${build ?? ""} ${reach}: ${step.id} ${JSON.stringify(harm)} ${truth.kind}`,
          );
        for (const each of proof.differences.slice(0, 1))
          console.log(`  ${valve.tag} ${build ?? ""} ${reach}: at the end ${JSON.stringify(each)}`);
      }
}
/** Proves one plan more, and says what it finds. */
function proven(inputs: JobInputs, said: string, log: readonly JobEvent[] = []): void {
  const job = run(inputs, log);
  if (!job.ok) return;
  const proof = prove(job.value.plan, inputs);
  plans++;
  acts += proof.acts;
  found += proof.harms.length + proof.differences.length;
  for (const { harm, step } of proof.harms.slice(0, 1))
    console.log(`  ${inputs.valve.tag} ${said}: ${step.id} ${JSON.stringify(harm)}`);
  for (const each of proof.differences.slice(0, 1))
    console.log(`  ${inputs.valve.tag} ${said}: at the end ${JSON.stringify(each)}`);
}

// Whatever a look shows; whatever another job holds on the line.
for (const valve of registered()) {
  const sheet = sheets.get(valve.sheet)!;
  for (const symptom of sheet.symptoms) {
    const inputs = inputsOf(valve, sheet, asked(symptom), "on-condition");
    for (const check of sheet.checks)
      for (const events of everyAnswer(check, sheet)) proven(inputs, `${check.id} ${events[0]?.id}`, events);
  }
  const { line } = inputsOf(valve, sheet, asked(sheet.symptoms[0]!), "on-condition");
  const holds = [
    ...(line?.links ?? []).flatMap((each) => (each.kind === "valve" ? [{ link: each.id }] : [])),
    ...(line?.nodes ?? []).flatMap(({ id, threeWay }) =>
      threeWay === undefined ? [] : [{ link: id, position: threeWay.normally }],
    ),
  ];
  for (const hold of holds)
    proven(
      {
        ...inputsOf(valve, sheet, asked(sheet.symptoms[0]!), "on-condition"),
        held: [{ ...hold, job: "another", valve: "X-1" }],
      },
      `with ${hold.link} held`,
    );
}
const seconds = (performance.now() - begun) / 1000;
console.log(
  `\n${plans} plans, ${acts} acts, ${found} harms and differences, ${seconds.toFixed(0)} s; the slowest ${worst_ms.toFixed(0)} ms`,
);
row({
  bench: "prove",
  what: `${plans} plans of the demo, ${acts} acts: harms and end differences`,
  measured: `${found}`,
  reach: "0",
});
row({
  bench: "prove",
  what: "all of them, compiled and proven; the slowest of them",
  measured: `${seconds.toFixed(0)} s; ${worst_ms.toFixed(0)} ms`,
  reach: "600 s",
});

const town = streetGrid(20_000);
const hydrant = town.nodes.find((node) => node.hydrant === true)!;
const sheet = sheets.get("quillon-harbour-5")!;
const base = inputsOf(
  {
    tag: hydrant.id,
    name: hydrant.id,
    place: "Town",
    sheet: sheet.id,
    node: hydrant.id,
    build: "opens-right",
  },
  sheet,
  { reach: ["main-seat"] },
  "everything-open",
);
const inTown = { ...base, line: enoughOfLine(town, { open: [hydrant.id] }) };
/** ms from nothing known of these documents to a plan that is proven. */
function compiledAndProven(inputs: JobInputs): number {
  const fresh = structuredClone(inputs);
  const since = performance.now();
  const job = run(fresh, []);
  if (!job.ok) throw new Error(job.error.kind);
  prove(job.value.plan, fresh);
  return performance.now() - since;
}
const median = (times: readonly number[]): number => times.toSorted((a, b) => a - b)[times.length >> 1]!;

const jobs = registered().flatMap((valve) => {
  const sheet = sheets.get(valve.sheet)!;
  return sheet.symptoms.map((symptom) => inputsOf(valve, sheet, asked(symptom), "on-condition"));
});
const each = jobs.map((inputs) => median([1, 2, 3, 4, 5].map(() => compiledAndProven(inputs))));
const [half, most] = [median(each), Math.max(...each)];
const over = each.filter((time) => time > 30).length;
row({
  bench: "prove",
  what: `each of ${jobs.length} jobs of the demo, compiled and proven, median of 5: the median, the slowest; over 30 ms`,
  measured: `${half.toFixed(0)} ms, ${most.toFixed(0)} ms; ${over}`,
  reach: "30 ms",
});
console.log(`each job: median ${half.toFixed(0)} ms, slowest ${most.toFixed(0)} ms, over 30 ms: ${over}`);
const times = Array.from({ length: 9 }, () => compiledAndProven(inTown));
row({
  bench: "prove",
  what: `a job on the town main (${town.nodes.length} places, ${inTown.line.nodes.length} carried), median of 9`,
  measured: `${median(times).toFixed(0)} ms`,
  reach: "150 ms",
});
console.log(`town main: median ${median(times).toFixed(0)} ms`);
