"use client";

import { provenAgain } from "@/core/job";
import { stepTitle } from "@/words";
import { Notice } from "../notice";
import { JobPapers } from "../paper/job-papers";
import { useSpeaker } from "../use-speaker";
import { STEP_FORM } from "./step-form";
import type { JobLog } from "./use-job-log";

/** Work that was stopped: why, what is shut meanwhile, and the way to take it up again. */
export function Stopped({ log, reason, by }: { log: JobLog; reason: string; by: string }) {
  const words = useSpeaker();
  const { stopped: card } = words.say.card;
  const { shut, current } = log.job;
  const again = provenAgain(log.job);
  const next = again[0] ?? current;
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-4 overflow-y-auto">
      <h1 className="font-bold text-figure leading-tight">{card.title}</h1>
      <p className="text-body text-soft">
        {by}: {reason}
      </p>
      <Notice tone="stop">{shut.length > 0 ? card.stillShut(shut.join(", ")) : card.nothingShut}</Notice>
      {again.length > 0 && <Notice tone="wait">{card.nobodyWatched}</Notice>}
      {next !== undefined && <p>{card.next(stepTitle(words, next))}</p>}
      <p>
        <JobPapers
          job={log.job.inputs.id}
          papers={log.job.plan.isolation?.ok === true ? ["hand-over", "isolation"] : ["hand-over"]}
        />
      </p>
      {log.refusal !== undefined && (
        <Notice tone="stop" live>
          {log.refusal}
        </Notice>
      )}
      <form
        id={STEP_FORM}
        className="mt-auto pb-1"
        onSubmit={(event) => {
          event.preventDefault();
          log.add({ kind: "resumed" });
        }}
      >
        <button type="submit" className="btn btn-go min-h-16 w-full text-lead">
          {card.takeUp} <span className="key">{words.say.card.enter}</span>
        </button>
      </form>
    </div>
  );
}
