"use client";

import { BAR, judgeStill, type StepKind } from "@/core/job";
import { preferredUnit } from "@/core/quantity";
import { standingWords, stepWords } from "@/words";
import { Asked, needed, useAsked } from "../kit/asked";
import { AskedFigure } from "../kit/asked-figure";
import { blankFigure, readFigure } from "../kit/figure";
import { TextField } from "../kit/text-field";
import { useSettings } from "../settings";
import { useSpeaker } from "../use-speaker";
import { useNow } from "../when";
import { type BodyProps, StepForm } from "./step-form";

export function ShutBody({ step, log }: BodyProps<"shut" | "stop-pump">) {
  const form = useAsked({ lock: "" });
  return (
    <StepForm
      onDone={form.handleSubmit(({ lock }) => {
        log.add({ kind: "step-done", step: step.id, ...(lock.trim() !== "" && { entry: lock.trim() }) });
      })}
    >
      {step.kind === "shut" && step.where !== undefined && <p className="text-body">Where: {step.where}</p>}
      <Asked
        form={form}
        name="lock"
        {...(step.lockable && { refuse: needed("Write the number of the lock you put on.") })}
      >
        {(field) => (
          <TextField
            large
            measure
            label={step.lockable ? "Lock number" : "Tag number (no lock point)"}
            hint="On the lock's own face."
            {...field}
          />
        )}
      </Asked>
    </StepForm>
  );
}

export function WriteDownBody({ step, log }: BodyProps<StepKind>) {
  const words = useSpeaker();
  const { ask = "" } = stepWords(words, step);
  const form = useAsked({ said: "" });
  return (
    <StepForm
      onDone={form.handleSubmit(({ said }) => {
        log.add({ kind: "step-done", step: step.id, entry: said.trim().slice(0, 400) });
      })}
    >
      <Asked form={form} name="said" refuse={needed("Write it down: it stands in the record.")}>
        {(field) => <TextField large measure label={ask} hint="Names or numbers, a few words." {...field} />}
      </Asked>
    </StepForm>
  );
}

export function GaugeBody({ step, log }: BodyProps<"gauge">) {
  const { system } = useSettings();
  const [bars, degrees] = [preferredUnit("gauge pressure", system), preferredUnit("temperature", system)];
  const form = useAsked({ reading: blankFigure(bars.id), warmth: blankFigure(degrees.id) });
  return (
    <StepForm
      onDone={form.handleSubmit(({ reading, warmth }) => {
        const read = readFigure(reading, "gauge pressure");
        const warm = readFigure(warmth, "temperature");
        if (!read.ok) return;
        const { si, typed } = read.value;
        const taken = log.add({
          kind: "reading-taken",
          step: step.id,
          what: "zero",
          dimension: "gauge pressure",
          si,
          typed,
          ...(step.temperature && warm.ok && { kelvin: warm.value.si }),
        });
        if (taken) form.reset();
      })}
    >
      <NotZero step={step} log={log} />
      <AskedFigure
        form={form}
        name="reading"
        large
        measure
        label="Gauge reading"
        hint={`In ${bars.label} unless you type a unit: 0, 0.4 bar, 6 psi.`}
        dimension="gauge pressure"
      />
      {step.temperature && (
        <AskedFigure
          form={form}
          name="warmth"
          large
          label="Temperature of the pipe"
          hint={`In ${degrees.label} unless you type a unit. What is shut in rises with warming alone: with this it can be told apart.`}
          dimension="temperature"
        />
      )}
    </StepForm>
  );
}

/** One figure that has to be above another. */
export function GateBody({ step, log }: BodyProps<"gate">) {
  const bars = preferredUnit("gauge pressure", useSettings().system);
  const form = useAsked({ reading: blankFigure(bars.id) });
  return (
    <StepForm
      onDone={form.handleSubmit(({ reading }) => {
        const read = readFigure(reading, "gauge pressure");
        if (!read.ok) return;
        const { si, typed } = read.value;
        log.add({
          kind: "reading-taken",
          step: step.id,
          what: "vapour",
          dimension: "gauge pressure",
          si,
          typed,
        });
      })}
    >
      <AskedFigure
        form={form}
        name="reading"
        large
        measure
        label="Gauge reading"
        hint={`In ${bars.label} unless you type a unit: 12, 12 bar, 170 psi.`}
        dimension="gauge pressure"
      />
    </StepForm>
  );
}

/** Not dead: what to do, and which closure may be named as passing. */
function NotZero({ step, log }: BodyProps<"gauge">) {
  const words = useSpeaker();
  const { job } = log;
  const state = job.states.get(step.id);
  if (state?.kind !== "not-zero") return null;
  const verdict = judgeStill(job.progress.readings, step.zero_bar * BAR);
  const suspects = job.shut.filter((link) => !job.progress.passing.includes(link));
  const nameOf = (id: string) => job.inputs.line?.links.find((link) => link.id === id)?.name ?? "";
  return (
    <div role="alert" className="rounded border-l-[6px] border-stop bg-stop-bg px-4 py-3">
      <b>Not dead: the gauge showed {state.typed}.</b> Do not open anything. Is it still draining? Wait and
      read again. If it does not fall, a closure passes: name it, and another is found.
      {verdict !== undefined && verdict.kind !== "holds" && (
        <p className="mt-1">
          <b>The standing test:</b> {standingWords(words, verdict)}
        </p>
      )}
      {suspects.length > 0 && (
        <div className="mt-2 flex flex-wrap gap-2">
          {suspects.map((link) => (
            <button
              key={link}
              type="button"
              className="btn btn-stop bg-card"
              onClick={() => log.add({ kind: "closure-passes", link })}
            >
              {link} {nameOf(link)} passes
            </button>
          ))}
        </div>
      )}
    </div>
  );
}

export function WaitBody({ step, log }: BodyProps<"hold" | "soak">) {
  const words = useSpeaker();
  const { afterwards = "" } = stepWords(words, step);
  const now = useNow(250);
  const state = log.job.states.get(step.id);
  const running = state?.kind === "running";
  const left = running && now !== null ? Math.max(0, state.until - now) : step.minutes * 60_000;
  const share = running ? 1 - left / (step.minutes * 60_000) : 0;
  const seconds = Math.ceil(left / 1000);
  return (
    <StepForm
      onDone={() => {
        if (running) log.add({ kind: "step-done", step: step.id });
        else log.add({ kind: "wait-started", step: step.id, minutes: step.minutes });
      }}
    >
      <div className="card flex flex-wrap items-center gap-5 p-4">
        <svg
          width={148}
          height={148}
          viewBox="0 0 148 148"
          className="shrink-0"
          role="img"
          aria-label={`${Math.floor(seconds / 60)} minutes ${seconds % 60} seconds left`}
        >
          <circle cx={74} cy={74} r={62} fill="none" stroke="var(--sunk)" strokeWidth={13} />
          <circle
            cx={74}
            cy={74}
            r={62}
            fill="none"
            stroke={share >= 1 ? "var(--go)" : "var(--ink-wait-mark)"}
            strokeWidth={13}
            strokeLinecap="round"
            strokeDasharray={`${share * 389.6} 389.6`}
            transform="rotate(-90 74 74)"
          />
          <text x={74} y={86} textAnchor="middle" className="plate" fontSize={38} fill="var(--ink)">
            {Math.floor(seconds / 60)}:{String(seconds % 60).padStart(2, "0")}
          </text>
        </svg>
        <p className="min-w-[9em] flex-1 text-body">
          {!running &&
            `${step.kind === "hold" ? "Start it when the gauge is shut in." : "Start it when it is at work."} You may close this: it goes on, and the bell rings when it is over.`}
          {running &&
            left > 0 &&
            `It runs. You may close this: the bell rings when it is over. Then: ${afterwards}`}
          {running && left === 0 && `It is over. ${afterwards}`}
        </p>
      </div>
    </StepForm>
  );
}
