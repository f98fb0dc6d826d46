import { cpus } from "node:os";
import Piscina from "piscina";
import { err, ok, type Result } from "@/core/result";
import type { PrintTask } from "../papers/print-task";
import { programBeside } from "../programs";
import type { HouseRoundsWork } from "./house-rounds-task";
import type { StoreDone, StoreWork } from "./store-task";
import type { Task, TaskResult } from "./tasks";

/** Longer than this nobody waits for a plan; what takes longer is given up. */
export const DEADLINE_MS = 10_000;
/** A plan of rounds takes the seconds that are asked for it: five minutes, on a slow machine twice that, and its bound. */
const ROUNDS_DEADLINE_MS = 15 * 60_000;
/** Questions that may wait; further ones are told to come again. */
const MOST_WAITING = 32;

type Kind = "questions" | "rounds" | "house" | "storing" | "papers";
const kept = globalThis as typeof globalThis & { loftbellPools?: Partial<Record<Kind, Piscina>> };

const begun = (minThreads: number, maxThreads: number, program = "server/heavy/worker.mjs"): Piscina =>
  new Piscina({
    filename: programBeside(program),
    minThreads,
    maxThreads,
    maxQueue: MOST_WAITING,
    idleTimeout: 5 * 60_000,
  });

const BEGUN: Readonly<Record<Kind, () => Piscina>> = {
  questions: () => begun(1, Math.max(1, cpus().length - 1)),
  rounds: () => begun(0, 1),
  house: () => begun(0, 1),
  storing: () => begun(0, 1),
  papers: () => begun(0, 1, "print/printer.mjs"),
};

/** Begun when first asked, and one who answers is kept. Nobody's question waits for somebody's import, print or plan of a year. */
function pool(kind: Kind): Piscina {
  kept.loftbellPools ??= {};
  kept.loftbellPools[kind] ??= BEGUN[kind]();
  return kept.loftbellPools[kind];
}

/** Sets papers off the serving thread. @returns the PDF; or that too many wait before it */
export async function onPaper(task: PrintTask): Promise<Result<Uint8Array, { readonly kind: "busy" }>> {
  try {
    return ok(await pool("papers").run(task));
  } catch (thrown) {
    if (isQueueFull(thrown)) return err({ kind: "busy" });
    throw thrown;
  }
}

const isQueueFull = (thrown: unknown): boolean => thrown instanceof Error && /queue/i.test(thrown.message);

/** Stores, or says what it would store, off the serving thread; it takes the time it takes. */
export const inStoring = (work: StoreWork): Promise<StoreDone> => pool("storing").run(work);

/** Plans the rounds of this house off the serving thread; it waits for no question that somebody sends. */
export const plannedElsewhere = (work: HouseRoundsWork): Promise<TaskResult> => pool("house").run(work);

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
  const rounds = task === "rounds-day" || task === "rounds-plan";
  const deadline = AbortSignal.timeout(rounds ? ROUNDS_DEADLINE_MS : DEADLINE_MS);
  try {
    return {
      ok: true,
      value: await pool(rounds ? "rounds" : "questions").run(
        { task, body },
        { signal: AbortSignal.any([signal, deadline]) },
      ),
    };
  } catch (thrown) {
    if (signal.aborted) return err({ kind: "gone" });
    if (deadline.aborted) return err({ kind: "too-long" });
    if (isQueueFull(thrown)) return err({ kind: "busy" });
    throw thrown;
  }
}
