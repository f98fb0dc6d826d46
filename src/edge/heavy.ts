import { err, ok, type Result } from "@/core/result";
import { DEADLINE_MS, elsewhere, type HeavyFailure } from "@/server/heavy/pool";
import type { Task } from "@/server/heavy/tasks";
import { type Refusal, refusal, refused } from "./problem";

const SAYS: Record<HeavyFailure["kind"], string> = {
  "too-long": `This takes longer than ${DEADLINE_MS / 1000} s and was given up. Send a smaller piece of it.`,
  busy: "All workers are busy. Ask again in a moment.",
  gone: "The one who asked is gone.",
};

/** Hands a body to the workers and tells what came of it. */
export async function workedOutElsewhere<Answer>(
  task: Task,
  body: Uint8Array,
  signal: AbortSignal,
): Promise<Result<Answer, Refusal>> {
  const done = await elsewhere(task, body, signal);
  if (!done.ok) return err(refused(503, "Not worked out", SAYS[done.error.kind]));
  const found = done.value;
  return found.ok
    ? ok(found.value as Answer)
    : err(refusal(found.status, found.title, found.problems, found.more));
}
