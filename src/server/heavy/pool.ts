import { cpus } from "node:os";
import { join } from "node:path";
import Piscina from "piscina";
import { err, type Result } from "@/core/result";
import type { Task, TaskResult } from "./tasks";

/** Longer than this nobody waits for a plan; what takes longer is given up. */
export const DEADLINE_MS = 10_000;
/** Questions that may wait; further ones are told to come again. */
const MOST_WAITING = 32;

const kept = globalThis as typeof globalThis & { loftbellPool?: Piscina };

// Begun with the first question: a server that is never asked keeps no workers.
function pool(): Piscina {
  kept.loftbellPool ??= new Piscina({
    filename: join(process.cwd(), "src", "server", "heavy", "worker.ts"),
    execArgv: ["--import", "tsx"],
    minThreads: 1,
    maxThreads: Math.max(1, cpus().length - 1),
    maxQueue: MOST_WAITING,
    idleTimeout: 5 * 60_000,
  });
  return kept.loftbellPool;
}

/** Why a worker gave no answer. */
export type HeavyFailure =
  | { readonly kind: "too-long" }
  | { readonly kind: "busy" }
  | { readonly kind: "gone" };

/**
 * Works out off the serving thread; given up after the deadline, and as soon as the one who asked is gone.
 *
 * @param body the body as it came: reading megabytes is heavy work, too
 */
export async function elsewhere(
  task: Task,
  body: Uint8Array,
  signal: AbortSignal,
): Promise<Result<TaskResult, HeavyFailure>> {
  const deadline = AbortSignal.timeout(DEADLINE_MS);
  try {
    return {
      ok: true,
      value: await pool().run({ task, body }, { signal: AbortSignal.any([signal, deadline]) }),
    };
  } catch (thrown) {
    if (signal.aborted) return err({ kind: "gone" });
    if (deadline.aborted) return err({ kind: "too-long" });
    if (thrown instanceof Error && /queue/i.test(thrown.message)) return err({ kind: "busy" });
    throw thrown;
  }
}
