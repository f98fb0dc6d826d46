import type { AskedWay, JobInputs } from "@/core/formats";
import { schoolsHere } from "@/core/job";
import { err, ok, type Problem, type Result } from "@/core/result";
import { type ChoiceRefusal, chooseWays } from "@/core/schools";
import { type Speaker, wayRefused } from "@/words";

/** Which field of what was asked a refusal is about. */
const FIELD = {
  "does-not-arise": "topic",
  twice: "topic",
  "no-such-way": "way",
  barred: "way",
  "say-why": "why",
} as const satisfies Record<ChoiceRefusal["kind"], string>;

/** The job with the ways it is worked by: what is not asked for is done as usual. */
export function workedBy(
  words: Speaker,
  inputs: JobInputs,
  asked: readonly AskedWay[] | undefined,
): Result<JobInputs, Problem> {
  const chosen = chooseWays(schoolsHere(inputs), asked);
  if (!chosen.ok) {
    const { at, kind } = chosen.error;
    return err({ path: `/schools/${at}/${FIELD[kind]}`, message: wayRefused(words, chosen.error) });
  }
  return ok(chosen.value.length === 0 ? inputs : { ...inputs, schools: chosen.value });
}
