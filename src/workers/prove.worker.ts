import type { JobInputs } from "@/core/formats";
import { type Proof, prove, run, truthsOf } from "@/core/job";
import type { Truth } from "@/core/world";

/** A job that is about to begin, to be proven off the page. */
export interface ProveAsk {
  readonly id: number;
  readonly inputs: JobInputs;
}

export interface ProveAnswer {
  readonly id: number;
  /** Nothing where nothing can be compiled. */
  readonly proof?: Proof;
  readonly tried: readonly Truth[];
}

addEventListener("message", ({ data: { id, inputs } }: MessageEvent<ProveAsk>) => {
  const job = run(inputs, []);
  const tried = job.ok ? truthsOf(job.value.plan, inputs) : [];
  postMessage({
    id,
    tried,
    ...(job.ok && { proof: prove(job.value.plan, inputs, { truths: tried }) }),
  } satisfies ProveAnswer);
});
