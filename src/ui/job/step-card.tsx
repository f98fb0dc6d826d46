"use client";

import { useCallback, useEffect, useLayoutEffect, useRef, useState } from "react";
import type { Disposition } from "@/core/formats";
import { haltedBy, heldAct } from "@/core/job";
import { stepWords, tightenTitle } from "@/words";
import { Notice } from "../notice";
import { useSpeaker } from "../use-speaker";
import { useAfterPaint } from "./after-paint";
import { phaseLine, timeLeft } from "./phase-bar";
import { AskedReason, type Asking } from "./step-asides";
import { StepFooter } from "./step-footer";
import { StepRead } from "./step-read";
import { Stopped } from "./stopped";
import { useHeld } from "./use-held";
import type { JobLog } from "./use-job-log";

/** The step in hand: one imperative, why, what to look out for, and one wide button. */
export function StepCard({ log, onNote, onStop }: { log: JobLog; onNote: () => void; onStop: () => void }) {
  const { job, refusal } = log;
  const words = useSpeaker();
  const { card } = words.say;
  const [means, setMeans] = useState<Disposition>();
  const [again, setAgain] = useState<string>();
  const held = useHeld(job.current?.id, job.current !== undefined && heldAct(job.current));
  const [asking, setAsking] = useState<Asking>();
  const step = job.current;
  const state = step === undefined ? undefined : job.states.get(step.id);
  const heading = useRef<HTMLHeadingElement>(null);
  const shown = step?.id;
  const first = useRef(true);
  // The headline answers the tap. What is read after it is drawn in the next frame, and until then nothing can be done.
  const painted = useAfterPaint(shown);
  const whole = painted === shown;
  const onChosen = useCallback((now: Disposition | undefined) => setMeans(now), []);

  // A new step starts at its top, and is read out once it is seen.
  useLayoutEffect(() => {
    if (shown !== undefined) heading.current?.scrollIntoView({ block: "start" });
  }, [shown]);
  useEffect(() => {
    if (painted === undefined) return;
    if (!first.current) heading.current?.focus({ preventScroll: true });
    first.current = false;
  }, [painted]);

  if (job.status.kind === "stopped")
    return <Stopped log={log} reason={job.status.reason} by={job.status.by} />;
  if (step === undefined) return <Notice tone="go">{card.signedOff}</Notice>;
  const halted = state?.kind === "halted" && again !== step.id;
  const { title, why, cues = [], reason } = stepWords(words, step);
  return (
    <>
      <div
        className="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto pr-1 pb-3"
        key={shown}
        aria-busy={!whole}
        onInput={log.forgetRefusal}
        onSubmitCapture={held.onSubmitCapture}
      >
        <p className="caption hidden justify-between lg:flex">
          <span>{phaseLine(words, job)}</span>
          <span>{timeLeft(words, job)}</span>
        </p>
        <h1
          ref={heading}
          tabIndex={-1}
          className="font-bold text-title leading-[1.12] tracking-[-.01em] outline-none lg:text-figure"
        >
          {step.kind === "tighten" ? tightenTitle(words, job, step) : title}
        </h1>
        <p className="text-body text-soft">{why}</p>
        {whole && (
          <StepRead
            log={log}
            step={step}
            cues={cues}
            stopped={halted ? (haltedBy(job, step) ?? reason ?? "") : undefined}
            onAgain={() => setAgain(step.id)}
            onAsk={setAsking}
            onChosen={onChosen}
          />
        )}
      </div>
      {/* Beside the button that was pressed: below a long card nobody would see it. */}
      {refusal !== undefined && (
        <Notice tone="stop" live>
          {refusal}
        </Notice>
      )}
      {held.hint && (
        <Notice tone="wait" live>
          {card.held.hint}
        </Notice>
      )}
      <StepFooter
        log={log}
        step={step}
        halted={halted}
        means={means}
        held={held}
        onNote={onNote}
        onStop={onStop}
      />
      <AskedReason log={log} step={step} asking={asking} onClose={() => setAsking(undefined)} />
    </>
  );
}
