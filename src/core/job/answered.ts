import type { JobEvent, SealedEvent } from "../formats";
import { PHASES, type Phase } from "./phases";
import type { Run } from "./run";
import type { Step } from "./step";
import { isStepKind } from "./step-rules";

/** An event with the facts of the step that it answers, as the plan has that step now. */
export function withAnswered(job: Run, event: JobEvent): JobEvent {
  const step = "step" in event ? job.plan.steps.find((each) => each.id === event.step) : undefined;
  if (step === undefined) return event;
  // What a step is done with and what can happen at it says nothing of what was answered.
  const { tools: _, forbidden: __, dangers: ___, mayOverride: ____, ...answered } = step;
  return { ...event, answered: JSON.parse(JSON.stringify(answered)) as Record<string, unknown> };
}

/** What nobody but the server writes is taken out of an event that came from elsewhere. */
export function withoutAnswered(event: JobEvent): JobEvent {
  const { answered: _, elsewhere: __, ...own } = event;
  return own as JobEvent;
}

/** Steps as they were when they were answered, by id: a record reads true whatever the compiler has become since. */
export const answeredSteps = (sealed: readonly Pick<SealedEvent, "event">[]): Map<string, Step> =>
  new Map(
    sealed.flatMap(({ event }) => {
      const step = answeredStep(event);
      return step === undefined ? [] : [[step.id, step] as const];
    }),
  );

/** The step as it was when this was entered. */
export function answeredStep({ answered: facts }: JobEvent): Step | undefined {
  if (facts === undefined) return undefined;
  const { id, phase, kind } = facts;
  const known =
    typeof id === "string" && isStepKind(kind) && (PHASES as readonly unknown[]).includes(phase as Phase);
  return known
    ? ({ minutes: 0, tools: [], forbidden: [], dangers: [], mayOverride: false, ...facts } as unknown as Step)
    : undefined;
}
