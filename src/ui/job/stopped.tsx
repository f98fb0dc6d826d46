"use client";

import { provenAgain } from "@/core/job";
import { stepTitle } from "@/words";
import { Notice } from "../notice";
import { useSpeaker } from "../use-speaker";
import { STEP_FORM } from "./step-form";
import type { JobLog } from "./use-job-log";

/** Work that was stopped: why, what is shut meanwhile, and the way to take it up again. */
export function Stopped({ log, reason, by }: { log: JobLog; reason: string; by: string }) {
  const words = useSpeaker();
  const { shut, current } = log.job;
  const again = provenAgain(log.job);
  const next = again[0] ?? current;
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-4 overflow-y-auto">
      <h1 className="font-bold text-figure leading-tight">Work is stopped here.</h1>
      <p className="text-body text-soft">
        {by}: {reason}
      </p>
      <Notice tone="stop">
        {shut.length > 0
          ? `Still shut: ${shut.join(", ")}. Whatever they feed is out of service. It rings on every screen.`
          : "Nothing is shut. It rings until it is taken up again."}
      </Notice>
      {again.length > 0 && (
        <Notice tone="wait">
          Nobody watched the section meanwhile: when work is taken up, it is proven again before anything is
          opened.
        </Notice>
      )}
      <p>Next: {next && stepTitle(words, next)}</p>
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
          Take it up again <span className="key">Enter</span>
        </button>
      </form>
    </div>
  );
}
