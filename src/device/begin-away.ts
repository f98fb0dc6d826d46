import { type BeginRefusal, begin } from "@/core/begin";
import type { Certificates, JobInputs } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import { call } from "@/edge/client";
import { clockAhead } from "@/edge/clock";
import { OPEN_JOB, type OpenJobBody } from "@/edge/contracts/jobs";
import { keepJob } from "./jobs";
import { jobHere, jobPage } from "./pages";
import { deviceStore } from "./store";
import { tellKept } from "./tell-kept";

/** Somebody stands at the valve: a server that has not answered by then is asked again later, for the same job. */
const START_PATIENCE_MS = 8000;

/** What a job can be begun from without signal. */
export interface Offer {
  readonly offer: JobInputs;
  /** The server's signature under it. */
  readonly seal: string;
  /** Who begins it. */
  readonly by: string;
  readonly crew: ReadonlyMap<string, Certificates>;
}

export type NotOpened =
  | { readonly kind: "refused-here"; readonly refusal: BeginRefusal }
  | { readonly kind: "refused-there"; readonly problems: readonly Problem[] };

/** Where its first card is. */
export interface Opened {
  readonly where: "there" | "here";
  readonly page: string;
}

/**
 * Opens a job on the server, or, where that is not heard, on this device: it is worked like any other, and handed in
 * when there is a signal.
 */
export async function openHereOrThere(
  asked: OpenJobBody & { readonly id: string },
  { offer, seal, by, crew }: Offer,
): Promise<Result<Opened, NotOpened>> {
  const opened = await call(OPEN_JOB, { body: asked, signal: AbortSignal.timeout(START_PATIENCE_MS) });
  if (opened.ok) return ok({ where: "there", page: jobPage(opened.value.id) });
  if (opened.error.kind !== "no-signal")
    return err({ kind: "refused-there", problems: opened.error.problems });
  const store = deviceStore();
  // One that was begun here on this valve already is gone on with.
  const begun = await store.begun.filter(({ tag }) => tag === offer.valve.tag).first();
  if (begun !== undefined) return ok({ where: "here", page: jobHere(begun.id) });
  const now = Date.now() - clockAhead();
  const at = new Date(now).toISOString();
  const inputs = begin(offer, asked, { id: asked.id, at, by });
  if (!inputs.ok) return err({ kind: "refused-here", refusal: inputs.error });
  await store.transaction("rw", store.jobs, store.logs, store.begun, async () => {
    await keepJob(store, {
      id: asked.id,
      inputs: inputs.value,
      stored: [],
      crew,
      heard: 0,
      opening: { ...asked, away: { offer, seal, at, by } },
    });
    await store.begun.put({ id: asked.id, tag: offer.valve.tag });
  });
  tellKept();
  return ok({ where: "here", page: jobHere(asked.id) });
}
