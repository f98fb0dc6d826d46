"use client";

import clsx from "clsx";
import { stepWords } from "@/words";
import { WillRing } from "../bell/will-ring";
import { useHowMany } from "../instruments/connected";
import { keepTraces } from "../instruments/keep-traces";
import { useSpeaker } from "../use-speaker";
import { useNow } from "../when";
import { type BodyProps, StepForm } from "./step-form";
import { Traced } from "./traced";

type Waiting = "hold" | "soak" | "discharge" | "cure";

export function WaitBody({ step, log }: BodyProps<Waiting>) {
  const words = useSpeaker();
  const { afterwards = "" } = stepWords(words, step);
  const state = log.job.states.get(step.id);
  const running = state?.kind === "running";
  // What an instrument draws has the room.
  const connected = useHowMany() > 0 && running;
  return (
    <StepForm
      onDone={() => {
        if (running) {
          keepTraces(log, step.id);
          log.add({ kind: "step-done", step: step.id });
        } else log.add({ kind: "wait-started", step: step.id, minutes: step.minutes });
      }}
    >
      <WaitClock
        minutes={step.minutes}
        until={running ? state.until : undefined}
        toStart={words.say.card.wait.start[step.kind]}
        afterwards={afterwards}
        small={connected}
      />
      <Traced
        log={log}
        step={step}
        since={log.job.progress.waits.get(step.id)?.from}
        until={running ? state.until : undefined}
      />
    </StepForm>
  );
}

/** A wait as a ring that fills, with what comes then. @param until ms; nothing while nobody has started it */
export function WaitClock({
  minutes,
  until,
  toStart,
  afterwards,
  small = false,
}: {
  minutes: number;
  until: number | undefined;
  toStart: string;
  afterwards: string;
  /** It shares its card with a question. */
  small?: boolean;
}) {
  const { wait } = useSpeaker().say.card;
  const now = useNow(250);
  const whole = minutes * 60_000;
  const left = until !== undefined && now !== null ? Math.max(0, until - now) : whole;
  const share = until === undefined ? 0 : Math.max(0, 1 - left / whole);
  const seconds = Math.ceil(left / 1000);
  return (
    <div className={clsx("card flex items-center", small ? "gap-3 px-4 py-2" : "flex-wrap gap-5 p-4")}>
      <svg
        width={small ? 88 : 148}
        height={small ? 88 : 148}
        viewBox="0 0 148 148"
        className="shrink-0"
        role="img"
        aria-label={wait.left(Math.floor(seconds / 60), seconds % 60)}
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
      <div className={clsx(small ? "min-w-[min(9em,100%)] flex-1" : "min-w-0 flex-[1_1_14em]")}>
        <p className={clsx(small ? "text-note" : "text-body")}>
          {until === undefined
            ? `${toStart} ${wait.goesOn}`
            : left === 0
              ? `${wait.over} ${afterwards}`
              : `${wait.runs} ${small ? "" : wait.next(afterwards)}`}
        </p>
        {until === undefined && <WillRing />}
      </div>
    </div>
  );
}
