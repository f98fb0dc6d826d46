import { cpus } from "node:os";
import { join } from "node:path";
import Piscina from "piscina";
import { err, type Result } from "@/core/result";
import type { StoreDone, StoreWork } from "./store-task";
import type { Task, TaskResult } from "./tasks";

/** Longer than this nobody waits for a plan; what takes longer is given up. */
export const DEADLINE_MS = 10_000;
/** Questions that may wait; further ones are told to come again. */
const MOST_WAITING = 32;

type Kind = "questions" | "storing";
const kept = globalThis as typeof globalThis & { loftbellPools?: Partial<Record<Kind, Piscina>> };

const begun = (minThreads: number, maxThreads: number): Piscina =>
  new Piscina({
    filename: join(process.cwd(), "src", "server", "heavy", "worker.mjs"),
    minThreads,
    maxThreads,
    maxQueue: MOST_WAITING,
    idleTimeout: 5 * 60_000,
  });

/** Begun when first asked, and one who answers is kept. Nobody's question waits for somebody's import. */
function pool(kind: Kind): Piscina {
  kept.loftbellPools ??= {};
  kept.loftbellPools[kind] ??= kind === "storing" ? begun(0, 1) : begun(1, Math.max(1, cpus().length - 1));
  return kept.loftbellPools[kind];
}

/** Stores, or says what it would store, off the serving thread; it takes the time it takes. */
export const inStoring = (work: StoreWork): Promise<StoreDone> => pool("storing").run(work);

/** Begins a worker and has it load its solvers, so that the first who asks does not wait for that. */
export async function warmUp(): Promise<void> {
  const least =
    '{"needed":[{"part":"a","qty":1}],"kits":[],"parts":[{"part":"a","price_cents":1,"in_stock":true}]}';
  await elsewhere("cover", new TextEncoder().encode(least), new AbortController().signal).catch(() => {});
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
      value: await pool("questions").run({ task, body }, { signal: AbortSignal.any([signal, deadline]) }),
    };
  } catch (thrown) {
    if (signal.aborted) return err({ kind: "gone" });
    if (deadline.aborted) return err({ kind: "too-long" });
    if (thrown instanceof Error && /queue/i.test(thrown.message)) return err({ kind: "busy" });
    throw thrown;
  }
}
