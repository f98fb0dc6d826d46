import type { JobInputs } from "@/core/formats";
import type { IsolationFailure } from "@/core/isolation";
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
  /** Why nothing can be shut for it: the job says so at its first card, and goes no further. */
  readonly blocked?: IsolationFailure;
}

addEventListener("message", ({ data }: MessageEvent<ProveAsk>) => {
  postMessage(answerTo(data));
});

/** A sheet that is being written may not compile yet: then there is nothing to prove. */
function answerTo({ id, inputs }: ProveAsk): ProveAnswer {
  try {
    const job = run(inputs, []);
    if (!job.ok) return { id, tried: [] };
    const { plan } = job.value;
    const tried = truthsOf(plan, inputs);
    const blocked = plan.isolation?.ok === false ? { blocked: plan.isolation.error } : {};
    return { id, tried, proof: prove(plan, inputs, { truths: tried }), ...blocked };
  } catch {
    return { id, tried: [] };
  }
}
