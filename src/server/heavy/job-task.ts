import { asWorked } from "@/core/begin";
import { checkSheet } from "@/core/build";
import { JOB_QUESTION, type JobInputs, type JobQuestion, PLAN_RULES } from "@/core/formats";
import { actsOf, prove, type Run, run } from "@/core/job";
import { checkLine } from "@/core/line";
import { notationOf } from "@/core/quantity";
import { err, ok, type Problem, type Result } from "@/core/result";
import {
  beginRefused,
  differenceWords,
  harmWords,
  speaker,
  stepDangers,
  stepTitle,
  stepWords,
  stripMessage,
  truthWords,
} from "@/words";
import { readTask } from "./read-task";
import type { TaskResult } from "./tasks";

/** A job of documents alone is opened by nobody, at no time. */
const NOBODY = { openedAt: "2000-01-01T00:00:00Z", openedBy: "Nobody" };

function inputsOf({
  valve,
  sheet,
  line: drawn,
  store,
  reach,
  policy,
  where = "line",
  held = [],
}: JobQuestion): JobInputs {
  const line = where === "line" ? drawn : undefined;
  return {
    id: "asked",
    valve,
    sheet,
    ...(line !== undefined && { line }),
    ...(held.length > 0 && { held: held.map((each) => ({ valve: each.job, ...each })) }),
    ...(store !== undefined && { store }),
    reason: { kind: "event", says: "Asked" },
    reach,
    policy: policy ?? "on-condition",
    ...(where !== "line" && { where }),
    rules: PLAN_RULES,
    ...NOBODY,
  };
}

type Refused = Extract<TaskResult, { ok: false }>;
const refused = (title: string, problems: readonly Problem[]): Refused => ({
  ok: false,
  status: 422,
  title,
  problems,
});

/** Reads the question and compiles the job from it. */
function compiled(body: Uint8Array): Result<{ asked: JobQuestion; inputs: JobInputs; job: Run }, Refused> {
  const read = readTask(body, JOB_QUESTION);
  if (!read.ok) return read;
  const asked = read.value;
  const at = (of: string, problems: readonly Problem[]) =>
    problems.map(({ path, message }) => ({ path: `/${of}${path}`, message }));
  const problems = [
    ...at("sheet", checkSheet(asked.sheet)),
    ...(asked.line === undefined ? [] : at("line", checkLine(asked.line))),
  ];
  if (problems.length > 0) return err(refused("The documents are not valid", problems));
  const words = speaker(notationOf(asked.system));
  const asUsual = inputsOf(asked);
  const first = run(asUsual, asked.log ?? []);
  if (!first.ok)
    return err(
      refused("The part cannot be reached", [
        { path: "/reach", message: stripMessage(words, first.error, asked.sheet) },
      ]),
    );
  const worked = asWorked(asUsual, asked);
  if (!worked.ok)
    return err(
      refused("It is not worked so", [
        { path: worked.error.path, message: beginRefused(words, worked.error, asked.sheet) },
      ]),
    );
  const inputs = worked.value;
  const job = run(inputs, asked.log ?? []);
  if (!job.ok) throw new Error(`${asked.sheet.id}: reached as usual, and not another way`);
  return ok({ asked, inputs, job: job.value });
}

/** The cards of a job: what each asks to be done, and what it says. */
export function jobPlanTask(body: Uint8Array): TaskResult {
  const made = compiled(body);
  if (!made.ok) return made.error;
  const { asked, job } = made.value;
  const words = speaker(notationOf(asked.system));
  return {
    ok: true,
    value: {
      minutes: job.plan.minutes,
      steps: job.plan.steps.map((step) => ({
        id: step.id,
        phase: step.phase,
        kind: step.kind,
        minutes: step.minutes,
        state: job.states.get(step.id)?.kind,
        acts: actsOf(step),
        ...("needs" in step && step.needs !== undefined && { needs: step.needs }),
        words: { ...stepWords(words, step), ...stepDangers(words, step) },
      })),
    },
  };
}

/** The same, proven on the physical model. */
export function jobProveTask(body: Uint8Array): TaskResult {
  const made = compiled(body);
  if (!made.ok) return made.error;
  const { asked, inputs, job } = made.value;
  const words = speaker(notationOf(asked.system));
  const names = { sheet: asked.sheet, ...(asked.line !== undefined && { line: asked.line }) };
  const proof = prove(job.plan, inputs);
  return {
    ok: true,
    value: {
      acts: proof.acts,
      truths: proof.truths,
      harms: proof.harms.map(({ harm, step, act, truth }) => ({
        harm,
        step: step.id,
        card: stepTitle(words, step),
        act,
        truth: truthWords(words, truth, names),
        words: harmWords(words, harm, names),
      })),
      differences: proof.differences.map((difference) => ({
        difference,
        words: differenceWords(words, difference, names),
      })),
    },
  };
}
