import type { StuckRung } from "@/core/build";
import type { Bell, Plan, Step } from "@/core/job";
import {
  bellWords,
  fitRuleWords,
  isolationMessage,
  kitLines,
  lockedWords,
  type Speaker,
  spokenPlan,
  standIns,
  stepDangers,
  stepWords,
  storedAt,
  storedKind,
  storedWords,
  stuckWords,
  threadNote,
  toolName,
} from ".";

/** Every text of a value, however deep it lies. */
export const textsOf = (value: unknown): string[] =>
  typeof value === "string"
    ? [value]
    : typeof value === "object" && value !== null
      ? Object.values(value).flatMap(textsOf)
      : [];

/** All that one card says. */
export function cardTexts(speaker: Speaker, step: Step): string[] {
  const own = (): unknown => {
    switch (step.kind) {
      case "kit":
        return kitLines(speaker, step).map(({ name, note }) => ({ name, note }));
      case "tools":
        return step.bring.map((tool) => [toolName(speaker, tool), standIns(speaker, tool)]);
      case "fit":
        return step.rules.map((rule) => fitRuleWords(speaker, rule));
      case "tighten":
        return threadNote(speaker, step);
      default:
        return [];
    }
  };
  return textsOf([
    stepWords(speaker, step),
    stepDangers(speaker, step),
    step.tools.map((tool) => [toolName(speaker, tool), standIns(speaker, tool)]),
    own(),
  ]);
}

/** All that a plan says: its cards, and its isolation as the line's screen shows it. */
export function planTexts(speaker: Speaker, plan: Plan): string[] {
  const { isolation } = plan;
  const line =
    isolation === undefined
      ? []
      : isolation.ok
        ? isolationTexts(speaker, isolation.value)
        : [isolationMessage(speaker, isolation.error)];
  return [...plan.steps.flatMap((step) => cardTexts(speaker, step)), ...line];
}

function isolationTexts(
  speaker: Speaker,
  plan: Extract<NonNullable<Plan["isolation"]>, { ok: true }>["value"],
): string[] {
  const { closures, shutting, restoring, prove, permits } = spokenPlan(speaker, plan);
  return [
    ...[...closures, ...shutting, ...restoring].map(({ why }) => why),
    ...prove.map(({ says }) => says),
    ...permits.flatMap(({ title, says }) => [title, says]),
    ...plan.locked.map((piece) => lockedWords(speaker, piece)),
    ...plan.stored.flatMap((each) => [
      storedAt(speaker, each),
      storedKind(speaker, each),
      storedWords(speaker, each),
    ]),
  ];
}

export const bellTexts = (speaker: Speaker, bell: Bell): string[] => {
  const { title, says } = bellWords(speaker, bell);
  return [title, says];
};

export const stuckTexts = (speaker: Speaker, rung: StuckRung): string[] =>
  Object.values(stuckWords(speaker, rung));
