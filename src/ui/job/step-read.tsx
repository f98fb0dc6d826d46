"use client";

import type { Disposition } from "@/core/formats";
import { mayCloseEarly, type Step } from "@/core/job";
import { otherWay } from "@/core/schools";
import { Notice } from "../notice";
import { useSpeaker } from "../use-speaker";
import { FoundBefore } from "./found-before";
import { StepBench } from "./later";
import { Asides, type Asking } from "./step-asides";
import { PlanChange, StepDangers, StepDrawings, StepPlates } from "./step-notes";
import { StepBody } from "./step-views";
import { StuckLadder } from "./stuck-ladder";
import type { JobLog } from "./use-job-log";

/** What is read of a step after its headline: tools, drawings, what it asks, and what to look out for. */
export function StepRead({
  log,
  step,
  cues,
  stopped,
  onAgain,
  onAsk,
  onChosen,
}: {
  log: JobLog;
  step: Step;
  cues: readonly string[];
  /** Why it goes no further here. */
  stopped: string | undefined;
  /** What halts it was put right: it is asked again. */
  onAgain: () => void;
  onAsk: (what: Asking) => void;
  onChosen: (means: Disposition | undefined) => void;
}) {
  const { job, change } = log;
  const { card } = useSpeaker().say;
  const { sheet } = job.inputs;
  const stuck = step.kind === "strip" ? sheet.parts.find(({ id }) => id === step.part) : undefined;
  return (
    <>
      <StepPlates step={step} cues={cues} />
      <StepDrawings step={step} />
      {stopped !== undefined ? (
        <Notice tone="stop" live>
          <b>{card.stop}</b> {stopped}
          <div className="mt-2 flex flex-wrap gap-2">
            {step.kind === "check" && (
              <button type="button" className="btn btn-quiet bg-card" onClick={onAgain}>
                {card.putRight}
              </button>
            )}
            {mayCloseEarly(job) && (
              <button type="button" className="btn btn-quiet bg-card" onClick={() => onAsk("close")}>
                {card.closeHere}
              </button>
            )}
          </div>
        </Notice>
      ) : (
        <StepBody step={step} log={log} onChosen={onChosen} />
      )}
      {stopped === undefined && <StepBench log={log} step={step} />}
      {change !== undefined && <PlanChange change={change} />}
      <StepDangers step={step} />
      {stuck !== undefined && (
        <StuckLadder
          part={stuck}
          sheet={sheet}
          noShock={otherWay(job.inputs.schools, "freeing")?.way === "oil"}
        />
      )}
      <FoundBefore log={log} />
      <Asides step={step} job={job} onAsk={onAsk} />
    </>
  );
}
