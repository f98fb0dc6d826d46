import { type FitRule, nextBolt, type Run, type StepOf } from "@/core/job";
import { unreachable } from "@/core/result";
import { figure, quantity, type Speaker } from "./speaker";
import { stepTitle } from "./step-words";
import { notedAsk } from "./steps/said";

/** What goes on a part or which way round it goes, and why. */
export function fitRuleWords(speaker: Speaker, rule: FitRule): { says: string; why?: string } {
  const words = speaker.say.steps.fit.rules;
  switch (rule.kind) {
    case "orientation":
      return { says: rule.says };
    case "as-noted":
      return { says: words.noted(notedAsk(speaker, rule.about), rule.noted) };
    case "lubricate":
      return {
        says: words.lubricate(rule.with, rule.on),
        ...(rule.never !== undefined && {
          why: words.never(speaker.say.common.commas(rule.never.map((base) => words.bases[base]))),
        }),
      };
    case "cut": {
      const circle = figure(speaker, rule.circle_mm, "mm");
      return {
        says:
          rule.as === "ring"
            ? words.ring(figure(speaker, rule.outside_mm, "mm"), circle)
            : words.fullFace(rule.bolts, circle),
        why: rule.why,
      };
    }
    case "keep-off":
      return { says: words.keepOff(rule.what) };
    case "stays-dry":
      return { says: words.staysDry, why: rule.why };
    case "thread-dry":
      return { says: words.threadDry, why: rule.why };
    case "locker":
    case "anti-seize":
    case "sealant":
      return { says: words.onThread(rule.with), why: rule.why };
    default:
      return unreachable(rule);
  }
}

/** The pass in hand, and how hard it is pulled. */
export function tightenTitle(speaker: Speaker, { progress }: Run, step: StepOf<"tighten">): string {
  const next = nextBolt(step, progress);
  if (next === undefined) return stepTitle(speaker, step);
  const { passTitle, lastTitle } = speaker.say.steps.tighten;
  const { circular, torque_Nm } = step.passes[next.pass - 1]!;
  const torque = quantity(speaker, torque_Nm, "torque");
  return circular
    ? lastTitle(step.name, step.passes.length, torque)
    : passTitle(step.name, next.pass, step.passes.length, torque);
}

/** What is on the threads, and what that does to the figure. */
export function threadNote(
  speaker: Speaker,
  { condition, stated, stated_Nm }: Pick<StepOf<"tighten">, "condition" | "stated" | "stated_Nm">,
): string {
  const words = speaker.say.steps.tighten;
  return condition === stated
    ? words.asStated[stated]
    : words.lowered(
        words.onThread[condition],
        words.conditions[stated],
        quantity(speaker, stated_Nm, "torque"),
      );
}
