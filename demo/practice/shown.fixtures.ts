import { existsSync, readFileSync } from "node:fs";
import { expect } from "vitest";
import { type JobInputs, type Sheet, verdictsOf } from "@/core/formats";
import { afterJob, benchLinks, jobRecord, type Step, type StepKind, type StepOf } from "@/core/job";
import { type Answers, says, Walk } from "@/core/job/job.fixtures";
import { jobAt } from "@/core/job/proof.fixtures";

/** A family's valve of the demo, on which its practice is shown. */
export interface Bench {
  readonly tag: string;
  readonly sheet: string;
  readonly line: string | undefined;
  readonly valve?: Partial<JobInputs["valve"]>;
}

type Cards = readonly Step[];

/** What a practice row is shown on: jobs of the family, walked to their end, and what they leave behind. */
export class Shown {
  readonly #walks = new Map<string, Walk>();

  constructor(readonly bench: Bench) {}

  get sheet(): Sheet {
    return this.inputs(undefined).sheet;
  }

  /** @param symptom a reason of the sheet; its first when left out */
  inputs(symptom?: string, more: Partial<JobInputs> = {}): JobInputs {
    const { tag, sheet, line, valve } = this.bench;
    const base = jobAt(tag, sheet, line, { policy: "on-condition" });
    const reason = base.sheet.symptoms.find(({ id }) => id === symptom) ?? base.sheet.symptoms[0]!;
    return {
      ...base,
      valve: { ...base.valve, ...valve },
      reason: { kind: "symptom", says: reason.says, symptom: reason.id },
      reach: reason.reach,
      ...(reason.looks !== undefined && reason.reach.length === 0 && { looks: reason.looks }),
      ...(reason.renews !== undefined && { renew: reason.renews }),
      ...more,
    };
  }

  /** A job for this reason with these findings, from bell to signature. */
  walked(symptom?: string, answers: Answers = {}, more: Partial<JobInputs> = {}): Walk {
    const key = JSON.stringify([symptom, answers, more]);
    const walk = this.#walks.get(key) ?? new Walk(this.inputs(symptom, more), answers).toEnd();
    this.#walks.set(key, walk);
    return walk;
  }

  cards(symptom?: string, answers: Answers = {}, more: Partial<JobInputs> = {}): Cards {
    return this.walked(symptom, answers, more).job.plan.steps;
  }

  ids(symptom?: string, answers: Answers = {}): string[] {
    return this.cards(symptom, answers).map(({ id }) => id);
  }

  /** What a look says once it is answered so: an option, go or no-go, below, within or above. */
  answer(check: string, given: string): ReturnType<typeof verdictsOf>[number]["verdict"] {
    const verdict = verdictsOf(this.check(check)).find((each) => each.given === given)?.verdict;
    if (verdict === undefined) throw new Error(`${check} has no answer ${given}`);
    return verdict;
  }

  /** The card of this kind about this, in a job that is walked. */
  card<K extends StepKind>(kind: K, about?: string, symptom?: string, answers: Answers = {}): StepOf<K> {
    const found = this.cards(symptom, answers).find(
      (step) => step.kind === kind && (about === undefined || step.id.endsWith(`:${about}`)),
    );
    if (found === undefined) throw new Error(`${this.bench.tag}: no ${kind} card ${about ?? ""}`);
    return found as StepOf<K>;
  }

  /** These cards stand in this order, by the end of their ids. */
  inOrder(ids: readonly string[], symptom?: string, answers: Answers = {}): void {
    const places = ids.map((id) => this.cards(symptom, answers).findIndex((step) => step.id === id));
    expect(places, ids.join(" · ")).not.toContain(-1);
    expect(places).toEqual(places.toSorted((a, b) => a - b));
  }

  /** The card speaks of this. */
  speaks(step: Step, ...of: readonly (string | RegExp)[]): void {
    const { title, why, cues = [] } = says(step);
    const all = [title, why, ...cues].join(" ");
    for (const each of of) expect(all).toMatch(each);
  }

  part(id: string): Sheet["parts"][number] {
    const part = this.sheet.parts.find((each) => each.id === id);
    if (part === undefined) throw new Error(`no part ${id}`);
    return part;
  }

  check(id: string): Sheet["checks"][number] {
    const check = this.sheet.checks.find((each) => each.id === id);
    if (check === undefined) throw new Error(`no check ${id}`);
    return check;
  }

  /** Sums of the bench book that this card opens. */
  sums(step: Step, symptom?: string, answers: Answers = {}): string[] {
    return benchLinks(this.walked(symptom, answers).job, step).map(({ calculator }) => calculator);
  }

  renewed(symptom?: string, answers: Answers = {}): string[] {
    return this.walked(symptom, answers).job.plan.renewals.map(({ part }) => part);
  }

  record(symptom?: string, answers: Answers = {}) {
    return jobRecord(this.walked(symptom, answers).job, []);
  }

  /** The valve as it stands in the register once the job is signed. */
  after(symptom?: string, answers: Answers = {}): JobInputs["valve"] {
    const walk = this.walked(symptom, answers);
    return afterJob(walk.inputs.valve, walk.job, walk.now);
  }
}

/** A test that shows it, by its file and title: what only a screen or a whole log can show. */
export function testedIn(path: string, title: string): void {
  const file = new URL(`../../${path}`, import.meta.url);
  expect(existsSync(file), path).toBe(true);
  expect(readFileSync(file, "utf8"), `${path}: ${title}`).toContain(title);
}
