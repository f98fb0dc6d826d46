"use client";

import clsx from "clsx";
import { useEffect, useRef, useState } from "react";
import type { StepOf } from "@/core/job";
import { useFigures } from "@/ui/use-figures";
import { useSpeaker } from "../use-speaker";

/** Time to get both hands on the wrenches. */
const COUNT_IN_S = 5;

type Swing =
  | { readonly kind: "still" }
  /** `turnAt` ms: the wrench moves from then on. */
  | { readonly kind: "under-way"; readonly turnAt: number }
  | { readonly kind: "round"; readonly seconds: number };

/** What may not be left on its way: counted in, then timed against what its gas allows until it has come round. */
export function SwingClock({
  swing: { most_s, workedOut },
  onRound,
}: {
  swing: NonNullable<StepOf<"task">["swing"]>;
  /** @param seconds nothing while it is not round */
  onRound: (seconds: number | undefined) => void;
}) {
  const { swing: words } = useSpeaker().say.card;
  const { fixed } = useFigures();
  const [swing, setSwing] = useState<Swing>({ kind: "still" });
  const now = useTicking(swing.kind === "under-way");
  const turning = swing.kind === "under-way" ? (now - swing.turnAt) / 1000 : 0;
  const seconds = swing.kind === "round" ? swing.seconds : Math.max(0, turning);
  const countingIn = swing.kind === "under-way" && turning < 0;
  const over = seconds > most_s;
  // Before its first tick the clock still shows the time of an earlier one.
  const count = countingIn ? Math.min(COUNT_IN_S, Math.ceil(-turning)) : 0;
  const figure = countingIn ? `${count}` : fixed(seconds, 1);
  useBuzz(swing.kind === "under-way" ? count : undefined);

  const press = () => {
    if (swing.kind === "under-way") {
      const took = Math.max(0.1, Math.round((Date.now() - swing.turnAt) / 100) / 10);
      setSwing({ kind: "round", seconds: took });
      onRound(took);
      return;
    }
    onRound(undefined);
    setSwing({ kind: "under-way", turnAt: Date.now() + COUNT_IN_S * 1000 });
  };
  const back = () => setSwing({ kind: "still" });

  return (
    <div className={clsx("card grid gap-3 p-4", over && "border-2 border-stop bg-stop-bg")}>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <output
          className={over ? "text-stop" : countingIn ? "text-wait" : "text-ink"}
          aria-live={countingIn ? "assertive" : "off"}
        >
          {/* A drawn figure: it is read from as far as the wrench reaches. */}
          <svg width={150} height={64} viewBox="0 0 150 64" aria-hidden="true" className="plate">
            <text x={75} y={56} textAnchor="middle" fontSize={68} fill="currentColor">
              {figure}
            </text>
          </svg>
          <span className="sr-only">{figure}</span>
        </output>
        <p className="min-w-[min(11em,100%)] flex-1 text-body">
          <b className="block text-lead">
            {swing.kind === "still"
              ? words.ready
              : countingIn
                ? words.handsOn
                : swing.kind === "under-way"
                  ? words.turn
                  : words.took(fixed(seconds, 1))}
          </b>
          {workedOut ? words.lasts(most_s) : words.within(most_s)}
        </p>
      </div>
      <div
        className="h-3 overflow-hidden rounded-full bg-sunk"
        role="img"
        aria-label={workedOut ? words.lasts(most_s) : words.within(most_s)}
      >
        <div
          className={clsx("h-full", over ? "bg-stop" : "bg-go")}
          style={{ width: `${Math.min(1, seconds / most_s) * 100}%` }}
        />
      </div>
      <button
        type="button"
        data-swing={swing.kind}
        className={clsx("btn min-h-16 text-lead", turning > 0 ? "btn-go" : "btn-quiet")}
        onClick={countingIn ? back : press}
      >
        {swing.kind === "still"
          ? words.countIn
          : countingIn
            ? words.notYet
            : swing.kind === "under-way"
              ? words.round
              : words.again}
      </button>
      {/* Below the button, which does not move away from under a thumb. */}
      {over && (
        <p role="alert" className="font-semibold text-body">
          {words.tooLong}
        </p>
      )}
    </div>
  );
}

/** The time, ten times a second while something runs; ms. */
function useTicking(runs: boolean): number {
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (!runs) return;
    setNow(Date.now());
    const timer = setInterval(() => setNow(Date.now()), 100);
    return () => clearInterval(timer);
  }, [runs]);
  return now;
}

/** A buzz in the hand with each count, a longer one to turn: eyes are on the wrench. */
function useBuzz(count: number | undefined): void {
  const last = useRef(count);
  useEffect(() => {
    if (count !== undefined && count !== last.current) navigator.vibrate?.(count === 0 ? 400 : 80);
    last.current = count;
  }, [count]);
}
