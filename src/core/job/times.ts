import type { Plan } from "./compile";
import type { Phase } from "./phases";

const DEAD: readonly Phase[] = ["isolate", "prove", "restore"];
const OPENED: readonly Phase[] = ["mark", "strip", "inspect", "rebuild"];

/** What of a plan's minutes it is shut off and brought back, and what of them it lies open; whether somebody goes without. */
export interface Times {
  readonly dead_min: number;
  readonly cover_min: number;
  readonly outage: boolean;
}

export function timesOf({ steps, isolation }: Pick<Plan, "steps" | "isolation">): Times {
  const of = (phases: readonly Phase[]) =>
    steps.reduce((sum, step) => (phases.includes(step.phase) ? sum + step.minutes : sum), 0);
  return {
    dead_min: of(DEAD),
    cover_min: of(OPENED),
    outage: isolation?.ok === true && isolation.value.lost.length > 0,
  };
}
