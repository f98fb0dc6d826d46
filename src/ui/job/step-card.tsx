"use client";

import clsx from "clsx";
import { Wrench } from "lucide-react";
import { type ReactNode, useCallback, useEffect, useRef, useState } from "react";
import { mayCloseEarly, type Step } from "@/core/job";
import { Notice } from "../notice";
import { useSettings } from "../settings";
import { CaptureBody, CheckBody, CollectBody } from "./bodies-inspect";
import { GaugeBody, ShutBody, WaitBody, WriteDownBody } from "./bodies-isolate";
import { FitBody, SignOffBody, TightenBody, TrayBody, tightenTitle } from "./bodies-rebuild";
import { AskTwiceBody, ConfirmBody, CrackBody, StripBody } from "./bodies-strip";
import { CloseModal, ReasonModal, StepBench } from "./later";
import { phaseLine, timeLeft } from "./phase-bar";
import { StepFooter } from "./step-footer";
import { STEP_FORM, StepForm } from "./step-form";
import { StuckLadder } from "./stuck-ladder";
import type { JobLog } from "./use-job-log";

/** The step in hand: one imperative, why, what to look out for, and one wide button. */
export function StepCard({ log, onNote, onStop }: { log: JobLog; onNote: () => void; onStop: () => void }) {
  const { job, change, refusal } = log;
  const { system } = useSettings();
  const [means, setMeans] = useState<string>();
  const [again, setAgain] = useState<string>();
  const [asking, setAsking] = useState<"skip" | "renew" | "close">();
  const step = job.current;
  const state = step === undefined ? undefined : job.states.get(step.id);
  const heading = useRef<HTMLHeadingElement>(null);
  const shown = step?.id;
  const first = useRef(true);
  const onChosen = useCallback((now: string | undefined) => setMeans(now), []);

  // A new step is read out, and starts at its top.
  useEffect(() => {
    if (shown === undefined) return;
    if (!first.current) heading.current?.focus({ preventScroll: true });
    first.current = false;
    heading.current?.scrollIntoView({ block: "start" });
  }, [shown]);

  if (job.status.kind === "stopped")
    return <Stopped log={log} reason={job.status.reason} by={job.status.by} />;
  if (step === undefined) return <Notice tone="go">Signed off. The record is being made.</Notice>;
  const halted = state?.kind === "halted" && again !== step.id;
  const title = step.kind === "tighten" ? tightenTitle(job, step, system) : step.title;
  return (
    <>
      <div
        className="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto pr-1 pb-3"
        key={shown}
        onInput={log.forgetRefusal}
      >
        <p className="caption hidden justify-between lg:flex">
          <span>{phaseLine(job)}</span>
          <span>{timeLeft(job)}</span>
        </p>
        <h1
          ref={heading}
          tabIndex={-1}
          className="font-bold text-title leading-[1.12] tracking-[-.01em] outline-none lg:text-figure"
        >
          {title}
        </h1>
        <p className="text-body text-soft">{step.why}</p>
        <Chips step={step} />
        {halted ? (
          <Notice tone="stop" live>
            <b>Stop.</b> {state.says}
            <div className="mt-2 flex flex-wrap gap-2">
              {step.kind === "check" && (
                <button type="button" className="btn btn-quiet bg-card" onClick={() => setAgain(step.id)}>
                  Put it right, then look again
                </button>
              )}
              {mayCloseEarly(job) && (
                <button type="button" className="btn btn-quiet bg-card" onClick={() => setAsking("close")}>
                  Close the job here
                </button>
              )}
            </div>
          </Notice>
        ) : (
          <Body step={step} log={log} onChosen={onChosen} />
        )}
        {!halted && <StepBench log={log} step={step} />}
        {change !== undefined && <Change change={change} />}
        {step.cautions.map((caution) => (
          <Notice key={caution.can} tone="stop">
            <b>{caution.can}</b> {caution.do}
          </Notice>
        ))}
        {step.forbidden.map((each) => (
          <Notice key={each.tool} tone="stop">
            <b>No {each.tool.toLowerCase()}:</b> {each.why}.
          </Notice>
        ))}
        {step.kind === "strip" && <Stuck log={log} part={step.part} />}
        <div className="flex flex-wrap gap-2">
          {step.mayOverride && (
            <button
              type="button"
              className="min-h-11 px-1 text-soft underline underline-offset-4"
              onClick={() => setAsking("skip")}
            >
              Skip, with a reason
            </button>
          )}
          {step.kind === "check" &&
            step.phase === "inspect" &&
            step.check.part !== undefined &&
            !job.plan.renewals.some(
              (each) => each.part === (step.kind === "check" ? step.check.part : ""),
            ) && (
              <button
                type="button"
                className="min-h-11 px-1 text-soft underline underline-offset-4"
                onClick={() => setAsking("renew")}
              >
                Renew it all the same
              </button>
            )}
        </div>
      </div>
      {/* Beside the button that was pressed: below a long card nobody would see it. */}
      {refusal !== undefined && (
        <Notice tone="stop" live>
          {refusal}
        </Notice>
      )}
      <StepFooter log={log} step={step} halted={halted} means={means} onNote={onNote} onStop={onStop} />
      <CloseModal
        open={asking === "close"}
        onClose={() => setAsking(undefined)}
        onSigned={(by) => {
          const says = state?.kind === "halted" ? state.says : "";
          log.add({ kind: "signed-off", statement: `Closed at triage: ${says}`.slice(0, 400) }, { by });
          setAsking(undefined);
        }}
      />
      <ReasonModal
        open={asking === "skip"}
        onClose={() => setAsking(undefined)}
        title="Skip this step"
        says="It stands in the record with your name."
        onReason={(reason) => log.add({ kind: "step-overridden", step: step.id, reason })}
      />
      <ReasonModal
        open={asking === "renew"}
        onClose={() => setAsking(undefined)}
        title="Renew it all the same"
        says="The plan is compiled anew. The reason stands in the record."
        onReason={(reason) =>
          step.kind === "check" &&
          step.check.part !== undefined &&
          log.add({ kind: "part-judged", part: step.check.part, disposition: "renew", reason })
        }
      />
    </>
  );
}

function Stuck({ log, part }: { log: JobLog; part: string | undefined }) {
  const { sheet } = log.job.inputs;
  const found = sheet.parts.find((each) => each.id === part);
  return found === undefined ? null : <StuckLadder part={found} sheet={sheet} />;
}

function Chips({ step }: { step: Step }) {
  if (step.cues.length + step.tools.length === 0 && step.stands === undefined) return null;
  const chip =
    "plate inline-flex items-center gap-1.5 rounded border-[1.5px] border-rule bg-card px-2.5 py-1 text-body tracking-[.02em]";
  return (
    <ul className="flex flex-wrap gap-2">
      {step.stands !== undefined && (
        <li className="plate inline-flex items-center gap-1.5 rounded border-[1.5px] border-cold bg-card px-2.5 py-1 text-body">
          stands {step.stands.before}
          {step.stands.after !== step.stands.before && ` → ${step.stands.after}`}
        </li>
      )}
      {step.tools.map((tool) => (
        <li key={tool.id} className={chip} title={tool.substitutes.join("; ")}>
          <Wrench size={15} aria-hidden="true" /> {tool.name}
        </li>
      ))}
      {step.cues.map((cue) => (
        <li key={cue} className={clsx(chip, "text-soft")}>
          {cue}
        </li>
      ))}
    </ul>
  );
}

function Change({ change }: { change: NonNullable<JobLog["change"]> }) {
  const minutes = Math.round(change.minutes);
  return (
    <Notice tone="wait" live>
      <b>The plan has changed.</b> {change.says.join(" ")}{" "}
      {minutes !== 0 && (
        <b className="whitespace-nowrap">{minutes > 0 ? `+ ${minutes}` : `− ${-minutes}`} min.</b>
      )}
    </Notice>
  );
}

function Stopped({ log, reason, by }: { log: JobLog; reason: string; by: string }) {
  const { shut } = log.job;
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
      <p>Next: {log.job.current?.title}</p>
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

function Body({
  step,
  log,
  onChosen,
}: {
  step: Step;
  log: JobLog;
  onChosen: (means: string | undefined) => void;
}): ReactNode {
  switch (step.kind) {
    case "shut":
      return <ShutBody key={step.id} step={step} log={log} />;
    case "write-down":
      return <WriteDownBody key={step.id} step={step} log={log} />;
    case "gauge":
      return <GaugeBody key={step.id} step={step} log={log} />;
    case "wait":
      return <WaitBody key={step.id} step={step} log={log} />;
    case "capture":
      return <CaptureBody key={step.id} step={step} log={log} />;
    case "check":
      return <CheckBody key={step.id} step={step} log={log} onChosen={onChosen} />;
    case "collect":
      return <CollectBody key={step.id} step={step} log={log} />;
    case "fit":
      return <FitBody key={step.id} step={step} log={log} />;
    case "tighten":
      return <TightenBody key={step.id} step={step} log={log} />;
    case "tray":
      return <TrayBody key={step.id} step={step} log={log} />;
    case "sign-off":
      return <SignOffBody key={step.id} step={step} log={log} />;
    case "blocked":
      return null;
    case "strip":
      return <StripBody key={step.id} step={step} log={log} />;
    case "crack":
      return <CrackBody key={step.id} step={step} log={log} />;
    case "ask-twice":
      return <AskTwiceBody key={step.id} step={step} log={log} />;
    case "confirm":
      return <ConfirmBody key={step.id} step={step} log={log} />;
    case "do":
    case "open":
      return (
        <StepForm onDone={() => log.add({ kind: "step-done", step: step.id })}>
          {(step.kind === "open" && step.where) || null}
        </StepForm>
      );
  }
}
