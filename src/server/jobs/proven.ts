import type { JobInputs } from "@/core/formats";
import { type Plan, prove } from "@/core/job";
import type { Problem } from "@/core/result";
import { differenceWords, harmWords, speaker, stepTitle } from "@/words";

/** Why nobody may work by this plan: the worst that the physical model finds in it. */
export function notProven(plan: Plan, inputs: JobInputs): Problem | undefined {
  const { harms, differences } = prove(plan, inputs);
  const words = speaker();
  const names = { sheet: inputs.sheet, ...(inputs.line !== undefined && { line: inputs.line }) };
  const [worst] = harms;
  if (worst !== undefined) {
    const { happens, cure } = harmWords(words, worst.harm, names);
    return {
      path: "/sheet",
      message: `Not proven, so nobody works by it. At "${stepTitle(words, worst.step)}": ${happens} ${cure}`,
    };
  }
  return differences[0] === undefined
    ? undefined
    : {
        path: "/sheet",
        message: `Not proven, so nobody works by it. At its end: ${differenceWords(words, differences[0], names)}`,
      };
}
