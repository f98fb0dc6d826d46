import { describe, expect, it } from "vitest";
import type { JobInputs, Line } from "@/core/formats";
import { prove, run } from "@/core/job";
import { demoDocument, everyAnswer, librarySheet, wetJob } from "@/core/job/job.fixtures";
import { seeded } from "@/core/seeded";
import { asked, lacking, registered } from "./registered.fixtures";

const lines = new Map<string, Line>();
const lineOf = (id: string): Line => {
  const line = lines.get(id) ?? demoDocument<Line>(`lines/${id}.json`);
  lines.set(id, line);
  return line;
};
const POLICIES = ["on-condition", "what-was-disturbed", "everything-open"] as const;

/** Every valve of the demo, each with one reason, one policy and one single part more to reach, drawn by a fixed seed. */
const dice = seeded(1956);
const pick = <T>(from: readonly T[]): T => from[Math.floor(dice() * from.length)]!;
const JOBS = registered().map((each): [string, JobInputs] => {
  const { line: _, ...base } = wetJob();
  const sheet = librarySheet(each.sheet);
  const valve = pick(lacking(each, sheet));
  const symptom = pick(sheet.symptoms);
  const part = pick(sheet.parts.filter((each) => each.stays !== true && each.ways.length > 0));
  const alone = dice() < 0.3 && part.ways.some((way) => way.builds === undefined);
  return [
    `${valve.tag}, ${alone ? part.name : symptom.says}, ${JSON.stringify(valve.fitted ?? {})}`,
    {
      ...base,
      valve,
      sheet,
      ...(valve.line !== undefined && { line: lineOf(valve.line) }),
      ...(alone ? { reach: [part.id] } : asked(symptom)),
      policy: pick(POLICIES),
    },
  ];
});

describe("whatever is hidden, nobody is hurt and all stands as service wants it", () => {
  it.each(JOBS)("%s", (_, inputs) => {
    const job = run(inputs, []);
    if (!job.ok) throw new Error(JSON.stringify(job.error));
    const proof = prove(job.value.plan, inputs);
    expect(proof.harms.map(({ harm, step, truth }) => ({ harm, at: step.id, truth }))).toEqual([]);
    expect(proof.differences).toEqual([]);
  });

  it.each(JOBS.filter(([, { line }]) => line !== undefined))(
    "%s, beside another job on its line",
    (_, inputs) => {
      const { links, nodes } = inputs.line!;
      const holds = [
        ...links.flatMap((each) => (each.kind === "valve" ? [{ link: each.id }] : [])),
        ...nodes.flatMap(({ id, threeWay }) =>
          threeWay === undefined ? [] : [{ link: id, position: threeWay.normally }],
        ),
      ];
      const held = [{ ...pick(holds), job: "another", valve: "X-1" }];
      const job = run({ ...inputs, held }, []);
      if (!job.ok) throw new Error(JSON.stringify(job.error));
      const proof = prove(job.value.plan, { ...inputs, held });
      expect(proof.harms.map(({ harm, step }) => ({ harm, at: step.id, held }))).toEqual([]);
      expect(proof.differences).toEqual([]);
    },
  );

  it.each(JOBS)("%s, whatever one look shows", (_, inputs) => {
    const check = pick(inputs.sheet.checks);
    const events = pick(everyAnswer(check, inputs.sheet));
    const job = run(inputs, events);
    if (!job.ok) throw new Error(JSON.stringify(job.error));
    const proof = prove(job.value.plan, inputs);
    expect(proof.harms.map(({ harm, step }) => ({ harm, at: step.id, events }))).toEqual([]);
    expect(proof.differences).toEqual([]);
  });

  it("is proven of every valve of the demo", () => {
    expect(JOBS.length).toBeGreaterThan(45);
  });
});
