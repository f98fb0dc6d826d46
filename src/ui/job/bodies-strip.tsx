"use client";

import clsx from "clsx";
import { Minus, Plus } from "lucide-react";
import { useState } from "react";
import { ASKED_TWICE, piecesLeft } from "@/core/job";
import { onCircle } from "../draw/round";
import { StackCount } from "../draw/stack";
import { PhotoStrip } from "./photo-strip";
import { type BodyProps, Choices, StepForm } from "./step-form";

/** How many pieces came out or go in: counted, never assumed twice. */
export function Counter({
  label,
  count,
  most,
  onCount,
}: {
  label: string;
  count: number;
  most?: number;
  onCount: (count: number) => void;
}) {
  const button = "btn btn-quiet size-14 px-0";
  return (
    <div className="card flex items-center justify-between gap-3 px-4 py-2.5">
      <span className="font-semibold text-lead">{label}</span>
      <span className="flex items-center gap-2">
        <button
          type="button"
          aria-label={`${label}: one less`}
          className={button}
          disabled={count <= 0}
          onClick={() => onCount(count - 1)}
        >
          <Minus size={22} />
        </button>
        <output aria-live="polite" className="plate min-w-14 text-center text-figure">
          {count}
        </output>
        <button
          type="button"
          aria-label={`${label}: one more`}
          className={button}
          disabled={most !== undefined && count >= most}
          onClick={() => onCount(count + 1)}
        >
          <Plus size={22} />
        </button>
      </span>
    </div>
  );
}

export function StripBody({ step, log }: BodyProps<"strip">) {
  const [count, setCount] = useState(step.count);
  const part = log.job.inputs.sheet.parts.find((each) => each.id === step.part);
  const left = piecesLeft(step, log.job.progress);
  const counted = step.pieces.length - left;
  const done = () =>
    left > 0
      ? log.add({ kind: "piece-set", step: step.id, piece: counted + 1 })
      : log.add({ kind: "step-done", step: step.id, ...(step.count > 1 && { entry: `${count}` }) });
  return (
    <StepForm onDone={done}>
      {step.pieces.length > 0 && part !== undefined && (
        <div className="card px-4 py-3">
          <StackCount stack={part} counted={counted} upward={false} />
        </div>
      )}
      {step.pieces.length === 0 && step.count > 1 && (
        <Counter label="Count what came out" count={count} most={step.count} onCount={setCount} />
      )}
    </StepForm>
  );
}

const CAME_OUT = [
  { id: "dry", label: "Nothing: dry" },
  { id: "dripped out", label: "Dripped out and stopped" },
  { id: "spits", label: "It keeps coming" },
];

export function CrackBody({ step, log }: BodyProps<"crack">) {
  const [chosen, setChosen] = useState<string>();
  const [missing, setMissing] = useState(false);
  const done = () => {
    if (chosen === undefined) setMissing(true);
    else if (chosen === "spits") log.add({ kind: "still-pressure", step: step.id });
    else log.add({ kind: "step-done", step: step.id, entry: chosen });
  };
  return (
    <StepForm onDone={done}>
      <div className="card flex items-center gap-4 px-4 py-3">
        <CrackedJoint of={step.of} stay={step.stay} />
        <p className="text-body">
          <b>{step.stay} opposite bolts stay in</b> and hold the joint. Everything else is out.
        </p>
      </div>
      <Choices label="What comes out?" options={CAME_OUT} chosen={chosen} onChoose={setChosen} />
      {chosen === "spits" && (
        <p role="alert" className="rounded border-stop border-l-[6px] bg-stop-bg px-4 py-2.5">
          Tighten them again. Something still feeds it: zero has to be proven anew.
        </p>
      )}
      {missing && chosen === undefined && (
        <p role="alert" className="text-stop">
          Choose what comes out.
        </p>
      )}
    </StepForm>
  );
}

/** The ring of bolts from above: the two that stay in are filled. */
function CrackedJoint({ of, stay }: { of: number; stay: number }) {
  const stays = new Set(Array.from({ length: stay }, (_, index) => Math.round((index * of) / stay)));
  return (
    <svg width={96} height={96} viewBox="0 0 96 96" aria-hidden="true" className="shrink-0">
      <circle cx={48} cy={48} r={44} fill="var(--ink-iron)" stroke="var(--draw)" strokeWidth={1.4} />
      <circle cx={48} cy={48} r={20} fill="var(--card)" stroke="var(--draw)" />
      {Array.from({ length: of }, (_, place) => {
        const [cx, cy] = onCircle(48, 48, 32, -Math.PI / 2 + (place * 2 * Math.PI) / of);
        return (
          <circle
            key={place}
            cx={cx}
            cy={cy}
            r={stays.has(place) ? 7 : 5}
            fill={stays.has(place) ? "var(--go)" : "var(--card)"}
            stroke="var(--draw)"
            strokeWidth={1.3}
            {...(!stays.has(place) && { strokeDasharray: "3 2" })}
          />
        );
      })}
    </svg>
  );
}

export function AskTwiceBody({ step, log }: BodyProps<"ask-twice">) {
  const [said, setSaid] = useState<readonly boolean[]>([false, false]);
  const [missing, setMissing] = useState(false);
  const questions = [
    `It is allowed here: ${step.allowed}`,
    "I may do this, I am ready to stop, and nobody stands in line with it.",
  ];
  return (
    <StepForm
      onDone={() =>
        said.every(Boolean)
          ? log.add({ kind: "step-done", step: step.id, entry: ASKED_TWICE })
          : setMissing(true)
      }
    >
      {questions.map((question, index) => (
        <button
          key={question}
          type="button"
          data-ask
          aria-pressed={said[index]}
          onClick={() => setSaid((now) => now.map((each, at) => (at === index ? !each : each)))}
          className={clsx(
            "grid min-h-16 grid-cols-[44px_1fr] items-center gap-3 rounded-md border-2 px-3 py-2.5 text-left text-body leading-snug",
            said[index] ? "border-ink bg-ink text-paper" : "border-wait bg-wait-bg",
          )}
        >
          <span className="plate text-center text-head">{said[index] ? "YES" : index + 1}</span>
          {question}
        </button>
      ))}
      {missing && !said.every(Boolean) && (
        <p role="alert" className="text-stop">
          Say yes to both, or stop work.
        </p>
      )}
    </StepForm>
  );
}

/** What was noted before the strip, with its picture; it has to be so again. */
export function ConfirmBody({ step, log }: BodyProps<"confirm">) {
  const [chosen, setChosen] = useState<string>();
  const [missing, setMissing] = useState(false);
  return (
    <StepForm
      onDone={() =>
        chosen === undefined ? setMissing(true) : log.add({ kind: "step-done", step: step.id, entry: chosen })
      }
    >
      <p className="card border-cold border-l-[6px] px-4 py-3">
        <span className="caption block">You noted</span>
        <b className="text-head">{step.noted}</b>
      </p>
      <PhotoStrip log={log} step={step.mark} />
      <Choices
        label="How is it now?"
        options={step.choices.map((each) => ({ id: each, label: each }))}
        chosen={chosen}
        onChoose={setChosen}
      />
      {missing && chosen === undefined && (
        <p role="alert" className="text-stop">
          Look at it and choose.
        </p>
      )}
    </StepForm>
  );
}
