"use client";

import clsx from "clsx";
import { useState } from "react";
import { ASKED_TWICE, linesLeft, piecesLeft, staysAt } from "@/core/job";
import { Grip } from "../draw/grip";
import { onCircle } from "../draw/round";
import { StackCount } from "../draw/stack-count";
import { Asked, needed, useAsked } from "../kit/asked";
import { Choices } from "../kit/choices";
import { Counter } from "../kit/counter";
import { useSpeaker } from "../use-speaker";
import { MarkForm } from "./mark-form";
import { PhotoStrip } from "./photo-strip";
import { StandIn } from "./stand-in";
import { type BodyProps, StepForm } from "./step-form";
import { SwingClock } from "./swing-clock";
import { TickLines } from "./tick-lines";

export function StripBody({ step, log }: BodyProps<"strip">) {
  const { strip } = useSpeaker().say.card;
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
        <Counter label={strip.count} count={count} most={step.count} onCount={setCount} />
      )}
      {step.grip !== undefined && part !== undefined && (
        <div className="card flex items-center gap-4 px-4 py-3">
          <Grip part={part} at={step.grip.at} {...(step.grip.keepOff && { keepOff: step.grip.keepOff.at })} />
          <p className="text-body">
            <b>{strip.gripHere(step.grip.with)}</b>
            {step.grip.keepOff !== undefined && (
              <span className="mt-1 block text-stop">{strip.keepOff(step.grip.keepOff.why)}</span>
            )}
          </p>
        </div>
      )}
      {step.standIn !== undefined && <StandIn of={step.standIn} />}
      {step.keep !== undefined && <p className="text-body">{strip.bagIt}</p>}
      <PhotoStrip log={log} step={step.id} take />
    </StepForm>
  );
}

/** Work that takes nothing off; what is counted while it is done is counted here. */
export function TaskBody({ step, log }: BodyProps<"task">) {
  const [count, setCount] = useState(0);
  const [round, setRound] = useState<number>();
  const entry = step.count !== undefined ? `${count}` : round?.toFixed(1);
  return (
    <StepForm
      onDone={() => log.add({ kind: "step-done", step: step.id, ...(entry !== undefined && { entry }) })}
    >
      {step.count !== undefined && (
        <Counter label={step.count.what} count={count} most={step.count.most} onCount={setCount} />
      )}
      <TickLines step={step} log={log} asDone />
      {step.swing !== undefined && linesLeft(step, log.job.progress).length === 0 && (
        <SwingClock swing={step.swing} onRound={setRound} />
      )}
    </StepForm>
  );
}

export function CrackBody({ step, log }: BodyProps<"crack">) {
  const { strip } = useSpeaker().say.card;
  const form = useAsked({ came: "" });
  const options = [
    { id: "dry", label: strip.came.dry },
    { id: "dripped out", label: strip.came.dripped },
    { id: "spits", label: strip.came.spits },
  ];
  const done = form.handleSubmit(({ came }) => {
    if (came === "spits") log.add({ kind: "still-pressure", step: step.id });
    else log.add({ kind: "step-done", step: step.id, entry: came });
  });
  return (
    <StepForm onDone={done}>
      <div className="card flex items-center gap-4 px-4 py-3">
        <CrackedJoint of={step.of} stay={step.stay} at={staysAt(step)} />
        <p className="text-body">
          <b>{strip.hold[staysAt(step)](step.stay)}</b> {strip.holds}
        </p>
      </div>
      <Asked form={form} name="came" refuse={needed(strip.whatMissing)}>
        {(field) => <Choices label={strip.what} options={options} {...field} />}
      </Asked>
      {form.watch("came") === "spits" && (
        <p role="alert" className="rounded border-stop border-l-[6px] bg-stop-bg px-4 py-2.5">
          {strip.tightenAgain}
        </p>
      )}
    </StepForm>
  );
}

type Stays = ReturnType<typeof staysAt>;

/** Places on the ring, from the top on clockwise, half a pitch off it where top or bottom ones stay in. */
function staying(of: number, stay: number, at: Stays): ReadonlySet<number> {
  const all = Array.from({ length: of }, (_, place) => place);
  if (at === "opposite" || at === "apart")
    return new Set(all.slice(0, stay).map((index) => Math.round((index * of) / stay)));
  const height = (place: number) => Math.cos(((place + 0.5) * 2 * Math.PI) / of) * (at === "top" ? 1 : -1);
  return new Set(all.sort((a, b) => height(b) - height(a)).slice(0, stay));
}

/** The ring of bolts from above: those that stay in are filled. */
function CrackedJoint({ of, stay, at }: { of: number; stay: number; at: Stays }) {
  const stays = staying(of, stay, at);
  const turned = at === "opposite" || at === "apart" ? 0 : 0.5;
  return (
    <svg width={96} height={96} viewBox="0 0 96 96" aria-hidden="true" className="shrink-0">
      <circle cx={48} cy={48} r={44} fill="var(--ink-iron)" stroke="var(--draw)" strokeWidth={1.4} />
      <circle cx={48} cy={48} r={20} fill="var(--card)" stroke="var(--draw)" />
      {Array.from({ length: of }, (_, place) => {
        const [cx, cy] = onCircle(48, 48, 32, -Math.PI / 2 + ((place + turned) * 2 * Math.PI) / of);
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

export function AskTwiceBody({ step, log }: BodyProps<"ask-twice" | "live">) {
  const { twice } = useSpeaker().say.card;
  const [said, setSaid] = useState<readonly boolean[]>([false, false]);
  const [missing, setMissing] = useState(false);
  const questions = [twice.allowed(step.allowed), twice.ready];
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
          <span className="plate text-center text-head">{said[index] ? twice.yes : index + 1}</span>
          {question}
        </button>
      ))}
      {missing && !said.every(Boolean) && (
        <p role="alert" className="text-stop">
          {twice.missing}
        </p>
      )}
    </StepForm>
  );
}

/** What was noted before the strip, with its picture; it has to be so again. */
export function ConfirmBody({ step, log }: BodyProps<"confirm">) {
  const { look } = useSpeaker().say.card;
  return (
    <MarkForm
      {...step}
      label={look.now}
      missing={look.nowMissing}
      photos={{ step: step.mark }}
      log={log}
      onNoted={(entry) => log.add({ kind: "step-done", step: step.id, entry })}
    >
      <p className="card border-cold border-l-[6px] px-4 py-3">
        <span className="caption block">{look.noted}</span>
        <b className="text-head">{step.noted}</b>
      </p>
    </MarkForm>
  );
}
