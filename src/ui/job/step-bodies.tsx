"use client";

import clsx from "clsx";
import { type ReactNode, useEffect, useId, useState } from "react";
import { nextBolt, type Run, type Step, type StepOf } from "@/core/job";
import {
  type Dimension,
  formatQuantity,
  parseQuantity,
  preferredUnit,
  quantityMessage,
  unit,
  unitNamed,
} from "@/core/quantity";
import { BoltCircle } from "../draw/bolt-circle";
import { endWords } from "../end-words";
import { useSettings } from "../settings";
import { useNow } from "../when";
import { JoinDrawing } from "./join-drawing";
import type { JobLog } from "./use-job-log";

export const STEP_FORM = "step-form";

export interface BodyProps<K extends Step["kind"]> {
  readonly step: StepOf<K>;
  readonly log: JobLog;
}

/** The form around a step: the wide button below and the Enter key submit it. */
export function StepForm({ onDone, children }: { onDone: () => void; children?: ReactNode }) {
  return (
    <form
      id={STEP_FORM}
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        onDone();
      }}
    >
      {children}
    </form>
  );
}

/** A field with its error below it; what is typed is kept when it is refused. */
export function Field({
  label,
  hint,
  value,
  onChange,
  error,
  measure = false,
  inputMode,
}: {
  label: string;
  hint?: string;
  value: string;
  onChange: (value: string) => void;
  error?: string | undefined;
  measure?: boolean;
  inputMode?: "text" | "decimal";
}) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="font-semibold text-[18px]">
        {label}
      </label>
      <input
        id={id}
        className="field mt-1"
        autoComplete="off"
        autoCapitalize="off"
        inputMode={inputMode}
        value={value}
        aria-invalid={error !== undefined}
        aria-describedby={`${id}-says`}
        onChange={(event) => onChange(event.target.value)}
        {...(measure && { "data-measure": true })}
      />
      <p
        id={`${id}-says`}
        className={clsx("mt-1 text-[15px]", error === undefined ? "text-soft" : "text-stop")}
        role={error === undefined ? undefined : "alert"}
      >
        {error ?? hint}
      </p>
    </div>
  );
}

export function ShutBody({ step, log }: BodyProps<"shut">) {
  const [lock, setLock] = useState("");
  const [error, setError] = useState<string>();
  return (
    <StepForm
      onDone={() => {
        if (step.lockable && lock.trim() === "") setError("Write the number of the lock you put on.");
        else log.add({ kind: "step-done", step: step.id, ...(lock.trim() !== "" && { entry: lock.trim() }) });
      }}
    >
      {step.where !== undefined && <p className="text-[17px]">Where: {step.where}</p>}
      <Field
        label={step.lockable ? "Lock number" : "Tag number (no lock point)"}
        hint="On the lock's own face."
        value={lock}
        onChange={setLock}
        error={error}
        measure
      />
    </StepForm>
  );
}

export function WriteDownBody({ step, log }: BodyProps<"write-down">) {
  const [text, setText] = useState("");
  const [error, setError] = useState<string>();
  return (
    <StepForm
      onDone={() => {
        if (text.trim() === "") setError("Write it down: it stands in the record.");
        else log.add({ kind: "step-done", step: step.id, entry: text.trim().slice(0, 400) });
      }}
    >
      <Field
        label={step.ask}
        hint="Names or numbers, a few words."
        value={text}
        onChange={setText}
        error={error}
        measure
      />
    </StepForm>
  );
}

/** Reads a figure as typed; the message stands at the field and nothing is stored. */
function useReading(dimension: Dimension, unitId: string) {
  const [text, setText] = useState("");
  const [error, setError] = useState<string>();
  const assumed = unit(unitId);
  return {
    text,
    error,
    label: assumed.label,
    setText: (value: string) => {
      setText(value);
      setError(undefined);
    },
    refuse: setError,
    read(): { si: number; typed: string } | undefined {
      const parsed = parseQuantity(text, dimension, assumed);
      if (!parsed.ok) {
        setError(quantityMessage(parsed.error));
        return undefined;
      }
      const typed = /[a-z°Ω"'%]/i.test(text) ? text.trim() : `${text.trim()} ${assumed.label}`;
      return { si: parsed.value.si, typed: typed.slice(0, 80) };
    },
  };
}

export function GaugeBody({ step, log }: BodyProps<"gauge">) {
  const { system } = useSettings();
  const reading = useReading("gauge pressure", preferredUnit("gauge pressure", system).id);
  const { job } = log;
  const state = job.states.get(step.id);
  const suspects = job.shut.filter((link) => !job.progress.passing.includes(link));
  const nameOf = (id: string) => job.inputs.line?.links.find((link) => link.id === id)?.name ?? "";
  return (
    <StepForm
      onDone={() => {
        const read = reading.read();
        if (read === undefined) return;
        const taken = log.add({
          kind: "reading-taken",
          step: step.id,
          what: "zero",
          dimension: "gauge pressure",
          ...read,
        });
        if (taken) reading.setText("");
      }}
    >
      {state?.kind === "not-zero" && (
        <div role="alert" className="rounded border-l-[6px] border-stop bg-stop-bg px-4 py-3">
          <b>Not dead: the gauge showed {state.typed}.</b> Do not open anything. Is it still draining? Wait
          and read again. If it does not fall, a closure passes: name it, and another is found.
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
      )}
      <Field
        label="Gauge reading"
        hint={`In ${reading.label} unless you type a unit: 0, 0.4 bar, 6 psi.`}
        value={reading.text}
        onChange={reading.setText}
        error={reading.error}
        measure
      />
    </StepForm>
  );
}

export function WaitBody({ step, log }: BodyProps<"wait">) {
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
      <div className="card flex items-center gap-5 p-4">
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
            stroke={share >= 1 ? "var(--go)" : "#E39A2D"}
            strokeWidth={13}
            strokeLinecap="round"
            strokeDasharray={`${share * 389.6} 389.6`}
            transform="rotate(-90 74 74)"
          />
          <text x={74} y={86} textAnchor="middle" className="plate" fontSize={38} fill="var(--ink)">
            {Math.floor(seconds / 60)}:{String(seconds % 60).padStart(2, "0")}
          </text>
        </svg>
        <p className="text-[17px]">
          {!running &&
            "Start it when the gauge is shut in. You may close this: it goes on, and the bell rings when it is over."}
          {running &&
            left > 0 &&
            `It runs. You may close this: the bell rings when it is over. Then: ${step.lookAt}`}
          {running && left === 0 && `It is over. ${step.lookAt}`}
        </p>
      </div>
    </StepForm>
  );
}

export function CaptureBody({ step, log }: BodyProps<"capture">) {
  const [chosen, setChosen] = useState<string>();
  const [missing, setMissing] = useState(false);
  return (
    <StepForm
      onDone={() =>
        chosen === undefined ? setMissing(true) : log.add({ kind: "step-done", step: step.id, entry: chosen })
      }
    >
      <Choices
        label="What do you see?"
        options={step.choices.map((each) => ({ id: each, label: each }))}
        chosen={chosen}
        onChoose={setChosen}
      />
      {missing && chosen === undefined && (
        <p role="alert" className="text-stop">
          Choose one: nobody remembers it at the rebuild.
        </p>
      )}
    </StepForm>
  );
}

export function Choices({
  label,
  options,
  chosen,
  onChoose,
}: {
  label: string;
  options: readonly { id: string; label: string }[];
  chosen: string | undefined;
  onChoose: (id: string) => void;
}) {
  return (
    <fieldset className="card p-4">
      <legend className="float-left mb-2.5 font-bold text-[18px]">{label}</legend>
      <div className="clear-both grid gap-2 sm:grid-cols-[repeat(auto-fit,minmax(150px,1fr))]">
        {options.map((option) => (
          <button
            key={option.id}
            type="button"
            aria-pressed={chosen === option.id}
            onClick={() => onChoose(option.id)}
            className={clsx(
              "min-h-[58px] rounded-md border-2 px-3 py-1.5 font-semibold text-[17px] leading-tight",
              chosen === option.id ? "border-ink bg-ink text-paper" : "border-edge bg-paper",
            )}
          >
            {option.label}
          </button>
        ))}
      </div>
    </fieldset>
  );
}

export function CheckBody({
  step,
  log,
  onChosen,
}: BodyProps<"check"> & { onChosen: (means: string | undefined) => void }) {
  const { check } = step;
  const [answer, setAnswer] = useState<string>();
  const [missing, setMissing] = useState(false);
  const { system } = useSettings();
  const sheetUnit = check.kind === "measure" ? unitNamed(check.unit, check.dimension) : undefined;
  const shown =
    check.kind === "measure" && check.dimension !== "time" && check.dimension !== "number"
      ? preferredUnit(check.dimension, system)
      : (sheetUnit ?? unit(""));
  const reading = useReading(check.kind === "measure" ? check.dimension : "number", shown.id);
  const options =
    check.kind === "choice"
      ? check.options
      : check.kind === "trick"
        ? [
            { id: "go", ...check.go },
            { id: "no-go", ...check.noGo },
          ]
        : [];
  const means = options.find((option) => option.id === answer)?.means;
  useEffect(() => onChosen(means), [means, onChosen]);
  if (check.kind !== "measure")
    return (
      <StepForm
        onDone={() =>
          answer === undefined
            ? setMissing(true)
            : log.add({ kind: "check-answered", step: step.id, check: check.id, answer })
        }
      >
        <Choices label={check.ask} options={options} chosen={answer} onChoose={setAnswer} />
        {missing && answer === undefined && (
          <p role="alert" className="text-stop">
            Choose what you found.
          </p>
        )}
      </StepForm>
    );
  const inShown = (value: number | undefined) =>
    value === undefined || sheetUnit === undefined
      ? undefined
      : formatQuantity(value * sheetUnit.scale + (sheetUnit.offset ?? 0), check.dimension, system);
  const limits =
    check.dimension === "time" || check.dimension === "number"
      ? [check.low, check.high].map((each) => (each === undefined ? undefined : `${each} ${check.unit}`))
      : [inShown(check.low), inShown(check.high)];
  return (
    <StepForm
      onDone={() => {
        const read = reading.read();
        if (
          read !== undefined &&
          log.add({ kind: "check-measured", step: step.id, check: check.id, ...read })
        )
          reading.setText("");
      }}
    >
      <Field
        label={check.ask}
        hint={`Allowed: ${limits[0] === undefined ? "up" : limits[0]} to ${limits[1] ?? "any"}. In ${shown.label || "plain numbers"} unless you type a unit.`}
        value={reading.text}
        onChange={reading.setText}
        error={reading.error}
        measure
      />
    </StepForm>
  );
}

export function CollectBody({ step, log }: BodyProps<"collect">) {
  return (
    <StepForm onDone={() => log.add({ kind: "step-done", step: step.id })}>
      <ul className="card dashed px-4 py-1">
        {step.lines.map((line) => (
          <li key={line.name + line.note} className="grid gap-x-4 py-2 sm:grid-cols-[1fr_1.2fr]">
            <b>{line.name}</b>
            <span
              className={clsx(
                "text-[15px]",
                line.note.startsWith("MISSING") ? "font-semibold text-stop" : "text-soft",
              )}
            >
              {line.note}
            </span>
          </li>
        ))}
        {step.lines.length === 0 && <li className="py-2 text-soft">Nothing to bring.</li>}
      </ul>
    </StepForm>
  );
}

const RULE_TONE = {
  orientation: "border-cold",
  lubricate: "border-go",
  dry: "border-stop",
  locker: "border-wait",
  "anti-seize": "border-wait",
  sealant: "border-wait",
  "as-noted": "border-cold",
} as const;
const RULE_NAME = {
  orientation: "Which way",
  lubricate: "Grease",
  dry: "DRY",
  locker: "Locker",
  "anti-seize": "Anti-seize",
  sealant: "Sealant",
  "as-noted": "As found",
} as const;

export function FitBody({ step, log }: BodyProps<"fit">) {
  const { system } = useSettings();
  return (
    <StepForm onDone={() => log.add({ kind: "step-done", step: step.id })}>
      <ul className="flex flex-col gap-2">
        {step.rules.map((rule) => (
          <li
            key={rule.kind + rule.says}
            className={clsx("card border-l-[6px] px-3.5 py-2", RULE_TONE[rule.kind])}
          >
            <b className="plate mr-2 text-[16px]">{RULE_NAME[rule.kind]}</b>
            {rule.says}
            {rule.why && <small className="block text-[14.5px] text-soft">{rule.why}</small>}
          </li>
        ))}
      </ul>
      <div className="card flex items-center gap-4 px-4 py-3">
        <JoinDrawing end={step.end} loose={step.loose} />
        <div>
          <span className="caption block">
            {step.end.kind === "seated" && !step.loose ? "Right when" : "Tighten"}
          </span>
          <b className="text-[21px] leading-tight">
            {step.loose ? "By hand, and leave it loose for now" : endWords(step.end, system, step.torque_Nm)}
          </b>
          {step.end.kind === "torque" && step.end.holdAgainst && !step.loose && (
            <span className="mt-1 block text-soft">{step.end.holdAgainst}</span>
          )}
        </div>
      </div>
    </StepForm>
  );
}

/** The bolt in hand, in words and in the circle. */
export function tightenTitle(job: Run, step: StepOf<"tighten">, system: "metric" | "us"): string {
  const next = nextBolt(step, job.progress);
  if (next === undefined) return step.title;
  const pass = step.passes[next.pass - 1]!;
  const part = job.inputs.sheet.parts.find((each) => each.id === step.part)?.name ?? "Bolts";
  return `${part}, ${pass.circular ? "last round" : `pass ${next.pass}`} of ${step.passes.length}, to ${formatQuantity(pass.torque_Nm, "torque", system)}.`;
}

export function TightenBody({ step, log }: BodyProps<"tighten">) {
  const { progress } = log.job;
  const next = nextBolt(step, progress);
  const done = progress.bolts.get(step.id) ?? new Set<string>();
  const pull = () => next !== undefined && log.add({ kind: "bolt-pulled", step: step.id, ...next });
  return (
    <StepForm onDone={pull}>
      <div className="card p-2">
        <BoltCircle
          bolts={step.bolts}
          order={step.order}
          passes={step.passes.length}
          circular
          done={(pass, bolt) => done.has(`${pass}:${bolt}`)}
          {...(next !== undefined && { next })}
          label={`${step.bolts} bolts, ${done.size} of ${step.bolts * step.passes.length} pulls done`}
          onPull={pull}
        />
      </div>
      <p className="rounded border-wait border-l-[6px] bg-wait-bg px-4 py-2.5">{step.note}</p>
    </StepForm>
  );
}

export function TrayBody({ step, log }: BodyProps<"tray">) {
  const { tray, plan } = log.job;
  const kept = tray.items.filter((item) => item.keep !== undefined);
  const renewed = tray.items.filter((item) => item.place === "renewed");
  return (
    <StepForm onDone={() => log.add({ kind: "step-done", step: step.id })}>
      <dl className="card dashed px-4 py-1">
        <Account says="Came off" value={`${tray.off}`} />
        <Account
          says="Back in"
          value={`${tray.back}`}
          note={renewed.length > 0 ? `of these new: ${renewed.map((item) => item.name).join(", ")}` : ""}
        />
        <Account
          says="Still on the tray"
          value={`${tray.missing.length}`}
          note={tray.missing.map((item) => item.name).join(", ")}
          bad={!tray.balances}
        />
        <Account
          says="Kept and refitted"
          value={`${kept.length}`}
          note={kept.map((item) => item.name).join(", ")}
        />
        <Account
          says="Right to be left over"
          value={`${plan.kits.leftovers.reduce((sum, left) => sum + left.quantity, 0)}`}
          note={plan.kits.leftovers.map((left) => `${left.name}: ${left.why}`).join(" ")}
        />
      </dl>
    </StepForm>
  );
}

function Account({
  says,
  value,
  note = "",
  bad = false,
}: {
  says: string;
  value: string;
  note?: string;
  bad?: boolean;
}) {
  return (
    <div className="grid grid-cols-[1fr_auto] gap-x-4 py-2">
      <dt>
        {says}
        {note && <small className="block text-[14.5px] text-soft">{note}</small>}
      </dt>
      <dd className={clsx("plate text-[24px]", bad && "text-stop")}>{value}</dd>
    </div>
  );
}

export function SignOffBody({ step, log }: BodyProps<"sign-off">) {
  const { who } = useSettings();
  return (
    <StepForm onDone={() => log.add({ kind: "signed-off", statement: "Back in service" })}>
      <p className="card p-4 text-[17px]" data-step={step.id}>
        I, <b>{who || log.job.inputs.openedBy}</b>, put {log.job.inputs.valve.tag} back in service. Every
        closure is open, every test is passed.
      </p>
    </StepForm>
  );
}
