import { plannedElsewhere } from "../heavy/pool";
import type { TaskResult } from "../heavy/tasks";
import { clockAheadMinutes, type Services } from "../services";

const HOUR_MS = 3_600_000;

interface Kept {
  readonly of: string;
  readonly plan: Promise<TaskResult>;
}

/** The rounds as they are planned now: once for all who ask, anew when something changed or an hour has gone by. */
export function plannedRounds({ kept, live, now }: Services): Promise<TaskResult> {
  const of = `${live.changes} ${Math.floor(now() / HOUR_MS)}`;
  const last = kept.get("rounds") as Kept | undefined;
  if (last?.of === of) return last.plan;
  const plan = plannedElsewhere({ task: "rounds-house", ahead: clockAheadMinutes() });
  kept.set("rounds", { of, plan } satisfies Kept);
  // What failed is tried again by whoever asks next.
  plan.catch(() => kept.delete("rounds"));
  return plan;
}
