"use client";

import type { Disposition } from "@/core/formats";
import { heldAct, type Step } from "@/core/job";
import { useSpeaker } from "../use-speaker";
import { useNow } from "../when";
import { AlwaysThere } from "./always-there";
import { showsAtOnce } from "./look-wait";
import { STEP_FORM } from "./step-form";
import { buttonSays } from "./step-views";
import type { useHeld } from "./use-held";
import type { JobLog } from "./use-job-log";

const tappedFast = (step: Step) =>
  step.kind === "tighten" || ((step.kind === "strip" || step.kind === "fit") && step.pieces.length > 0);

/** The wide button of the step, undo, note and stop. */
export function StepFooter({
  log,
  step,
  halted,
  means,
  held,
  onNote,
  onStop,
}: {
  log: JobLog;
  step: Step;
  halted: boolean;
  means: Disposition | undefined;
  held: ReturnType<typeof useHeld>;
  onNote: () => void;
  onStop: () => void;
}) {
  const { card } = useSpeaker().say;
  const state = log.job.states.get(step.id);
  const now = useNow(state?.kind === "running" ? 250 : 60_000);
  const waiting = state?.kind === "running" && (now ?? 0) < state.until;
  // With large letters the wide button has a row of its own, and the others share the next.
  return (
    <div className="by-hand flex flex-wrap gap-2 pt-2">
      <button
        type="submit"
        form={STEP_FORM}
        disabled={halted || (waiting && !showsAtOnce(means)) || state?.kind === "waits-for-others"}
        // A glove taps twice: the second tap would land on the next step. Bolts and pieces are tapped fast on purpose.
        onClick={(event) => {
          if (held.swallowed() || (event.detail > 1 && !tappedFast(step))) event.preventDefault();
        }}
        {...held.button}
        data-hold={heldAct(step) || undefined}
        className="btn btn-go relative min-h-16 flex-[99_1_7em] touch-manipulation select-none overflow-hidden px-3 text-lead max-lg:flex-wrap"
      >
        {held.holding && <span className="hold-fill" aria-hidden="true" />}
        {buttonSays(step, { log, means, waiting, says: card.buttons })}{" "}
        {heldAct(step) && !waiting && <span className="text-fine font-normal">{card.held.hold}</span>}
        <span className="key hidden lg:inline">{card.enter}</span>
      </button>
      <AlwaysThere log={log} onNote={onNote} onStop={onStop} />
    </div>
  );
}
