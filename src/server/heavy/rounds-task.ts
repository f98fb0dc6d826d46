import type { TSchema } from "@sinclair/typebox";
import { ROUNDS_DAY_QUESTION, ROUNDS_PLAN_QUESTION, type RoundsQuestion } from "@/core/formats";
import type { Problem, Result } from "@/core/result";
import { answerDay, answerPlan, type Unplaced, type WhyNoWeek } from "@/core/rounds";
import { speaker, whyNotWords, whyNoWeekWords } from "@/words";
import { highsSolver } from "./highs";
import { readTask } from "./read-task";
import type { TaskResult } from "./tasks";

/** A slow machine gets so many times the seconds that were asked before its search is stopped. */
const PATIENCE = 2;

/** Who does what when within some days. */
export const roundsDayTask = (body: Uint8Array): Promise<TaskResult> =>
  answered(body, ROUNDS_DAY_QUESTION, 2, async (question, goesOn) => answerDay(question, goesOn));

/** Who does what in which week, and when in it. */
export const roundsPlanTask = (body: Uint8Array): Promise<TaskResult> =>
  answered(body, ROUNDS_PLAN_QUESTION, 10, async (question, goesOn) =>
    answerPlan(question, { solve: await highsSolver(), goesOn }),
  );

interface Answer {
  readonly unplaced: readonly ({ readonly task: string; readonly week?: WhyNoWeek } & Partial<Unplaced>)[];
}

async function answered(
  body: Uint8Array,
  schema: TSchema,
  usualSeconds: number,
  answer: (question: RoundsQuestion, goesOn: () => boolean) => Promise<Result<Answer, readonly Problem[]>>,
): Promise<TaskResult> {
  const read = readTask(body, schema);
  if (!read.ok) return read.error;
  const question = read.value as RoundsQuestion;
  const end = performance.now() + PATIENCE * 1000 * (question.seconds ?? usualSeconds);
  const done = await answer(question, () => performance.now() < end);
  return done.ok
    ? { ok: true, value: { ...done.value, unplaced: done.value.unplaced.map(spoken) } }
    : { ok: false, status: 422, title: "Not valid", problems: done.error };
}

/** With a sentence for each reason. */
function spoken(each: Answer["unplaced"][number]) {
  const words = speaker();
  return {
    ...each,
    ...(each.week && { says: whyNoWeekWords(words, each.week) }),
    ...(each.why && { why: each.why.map((why) => ({ ...why, says: whyNotWords(words, why) })) }),
  };
}
