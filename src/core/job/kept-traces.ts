import type { KeptTrace } from "./entered";
import type { Run } from "./run";
import type { Step } from "./step";
import { judgeTrace, type TraceVerdict } from "./traces";

/** A trace of the log with what it says, and the card it was recorded at. */
export interface JudgedTrace {
  readonly trace: KeptTrace;
  readonly step: Step;
  readonly verdict: TraceVerdict;
}

/** The traces that stand in a job, each judged by the sum of its card; a pull by the bolt that was entered after it. */
export function judgedTraces({ progress, inputs }: Run, steps: ReadonlyMap<string, Step>): JudgedTrace[] {
  return progress.traces.flatMap((trace) => {
    const step = steps.get(trace.step);
    if (step === undefined) return [];
    const verdict = judgeTrace(trace, step, inputs, pullAfter(progress, step, trace));
    return verdict === undefined ? [] : [{ trace, step, verdict }];
  });
}

function pullAfter({ effective }: Run["progress"], step: Step, trace: KeptTrace) {
  if (step.kind !== "tighten") return undefined;
  const since = effective.findIndex(({ id }) => id === trace.event);
  const pulled = effective.find(
    (event, index) => index > since && event.kind === "bolt-pulled" && event.step === step.id,
  );
  const wanted_Nm = pulled?.kind === "bolt-pulled" ? step.passes[pulled.pass - 1]?.torque_Nm : undefined;
  if (wanted_Nm === undefined) return undefined;
  return { wanted_Nm, ...(step.limit_Nm !== undefined && { limit_Nm: step.limit_Nm }) };
}
