"use client";

import { useEffect } from "react";
import type { Recording } from "@/core/instruments";
import { BAR, gapsOf, judgeTrace, nextBolt, type Run, type Step } from "@/core/job";
import { formatDuration, toSI, unitNamed } from "@/core/quantity";
import { gapWords, traceFigure, traceVerdictWords } from "@/words";
import { TracePicture } from "../draw/trace-picture";
import type { JobLog } from "../job/use-job-log";
import { useSpeaker } from "../use-speaker";
import { keepTraces } from "./keep-traces";
import { useRecordings, watch, watchedAt } from "./recorder";

/** What is connected draws what it shows over the time of a card, and what the sum of this card says of it so far. */
export function TracePanel({
  log,
  step,
  since,
  until,
  byHand = false,
}: {
  log: JobLog;
  step: Step;
  /** ms: since when it counts; nothing while the wait is not begun. */
  since: number | undefined;
  until?: number | undefined;
  /** Somebody keeps it by a press; else it is kept when the card is done. */
  byHand?: boolean;
}) {
  const { job } = log;
  useEffect(() => {
    if (since !== undefined) watch(job, step, since);
  }, [job, step, since]);
  const recordings = useRecordings();
  const words = useSpeaker();
  const { trace: said } = words.say.instruments;
  if (since === undefined || watchedAt(step) === undefined) return null;
  return (
    <section aria-label={said.title} className="flex flex-col gap-2">
      {[...recordings].map(([serial, recording]) => (
        <OneTrace
          key={serial}
          job={job}
          step={step}
          recording={recording}
          {...(until !== undefined && { until_s: (until - recording.trace.from) / 1000 })}
          keep={byHand ? () => keepTraces(log, step.id, serial) : undefined}
          isKept={job.progress.traces.some(
            (each) => each.step === step.id && each.with.serial === serial && each.from >= since,
          )}
        />
      ))}
    </section>
  );
}

function OneTrace({
  job,
  step,
  recording: { trace, with: taken },
  until_s,
  keep,
  isKept,
}: {
  job: Run;
  step: Step;
  recording: Recording;
  until_s?: number;
  keep: (() => void) | undefined;
  isKept: boolean;
}) {
  const words = useSpeaker();
  const { trace: said } = words.say.instruments;
  const { points } = trace;
  const figure = (si: number) => traceFigure(words, trace, si);
  const gaps = gapsOf(trace);
  const pull = pullAt(job, step);
  const verdict = judgeTrace(trace, step, job.inputs, pull);
  const wrong =
    (verdict?.kind === "standing" && verdict.says.kind !== "holds") ||
    (verdict?.kind === "pull" && verdict.says !== "within");
  return (
    <div className="card p-3">
      <p className="mb-1 flex flex-wrap justify-between gap-x-3">
        <b>{taken.name}</b>
        {points.length > 0 && (
          <span className="plate text-head tabular-nums">{figure(points.at(-1)![1]!)}</span>
        )}
      </p>
      {points.length < 2 ? (
        <p className="text-note text-soft">{said.waiting}</p>
      ) : (
        <TracePicture
          trace={trace}
          gaps={gaps}
          until_s={until_s}
          bound={step.kind === "hold" ? job.inputs.sheet.isolation.zero_bar * BAR : undefined}
          band={bandOf(step)}
          figure={figure}
          time={formatDuration}
          label={said.alt(
            taken.name,
            figure(points[0]![1]!),
            figure(points.at(-1)![1]!),
            formatDuration(points.at(-1)![0]!),
          )}
        />
      )}
      {verdict !== undefined && (
        <p className={wrong ? "mt-1 font-semibold text-stop" : "mt-1"}>
          {verdict.kind === "standing" && <b>{said.says.standing}: </b>}
          {traceVerdictWords(words, trace, verdict)}
        </p>
      )}
      {gaps.length > 0 && <p className="mt-1 font-semibold text-wait">{gapWords(words, trace)}</p>}
      {isKept ? (
        <p className="mt-1 text-go-text text-note">{said.kept}</p>
      ) : keep !== undefined ? (
        points.length > 1 && (
          <button type="button" className="btn btn-quiet mt-2" onClick={keep}>
            {said.keep}
          </button>
        )
      ) : (
        step.kind === "hold" && <p className="mt-1 text-note text-soft">{said.keptWithDone}</p>
      )}
    </div>
  );
}

/** What a pull is judged by, of the bolt in hand. */
function pullAt({ progress }: Run, step: Step) {
  if (step.kind !== "tighten") return undefined;
  const next = nextBolt(step, progress);
  if (next === undefined) return undefined;
  return {
    wanted_Nm: step.passes[next.pass - 1]!.torque_Nm,
    ...(step.limit_Nm !== undefined && { limit_Nm: step.limit_Nm }),
  };
}

/** What a check allows, SI. */
function bandOf(step: Step): { low: number; high: number } | undefined {
  if (step.kind !== "check" || step.check.kind !== "measure") return undefined;
  const { low, high, unit: name, dimension } = step.check;
  const own = unitNamed(name, dimension);
  if (low === undefined || high === undefined) return undefined;
  const si = (figure: number) => (own === undefined ? figure : toSI(figure, own));
  return { low: si(low), high: si(high) };
}
