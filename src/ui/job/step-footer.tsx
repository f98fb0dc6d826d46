"use client";

import { Undo2 } from "lucide-react";
import { judgeNewPart } from "@/core/build";
import { nextBolt, piecesLeft, type Step, type StepOf } from "@/core/job";
import { useNow } from "../when";
import { STEP_FORM } from "./step-form";
import type { JobLog } from "./use-job-log";

const CHECK_BUTTON: Record<string, string> = {
  reuse: "Sound: go on",
  clean: "Cleaned: go on",
  renew: "Renew it",
  stop: "Record it",
};

/** While a stack is counted the button counts. */
function pieceSays(
  step: StepOf<"strip"> | StepOf<"fit">,
  log: JobLog,
  way: "out" | "in",
): string | undefined {
  const left = piecesLeft(step, log.job.progress);
  return left > 0 ? `Piece ${step.pieces.length - left + 1} is ${way}` : undefined;
}

function buttonSays(step: Step, log: JobLog, means: string | undefined, waiting: boolean): string {
  switch (step.kind) {
    case "shut":
      return "Shut and locked";
    case "open":
      return step.leaveShut ? "Lock is off" : "Open, lock off";
    case "gauge":
      return "Take the reading";
    case "wait":
      return log.job.states.get(step.id)?.kind === "running"
        ? waiting
          ? "The wait runs"
          : "Wait is over"
        : `Start the wait: ${step.minutes} min`;
    case "strip":
      return pieceSays(step, log, "out") ?? "Off, on the tray";
    case "crack":
      return "Cracked, two hold it";
    case "ask-twice":
      return "Yes, go on";
    case "confirm":
      return "It is so again";
    case "fit": {
      const part = log.job.inputs.sheet.parts.find((each) => each.id === step.part);
      const seen = part && judgeNewPart(part, log.job.progress.compared.get(part.id) ?? []);
      if (step.features.length > 0 && seen?.kind !== "right") return "Compare it";
      return (
        pieceSays(step, log, "in") ??
        (step.loose ? "In, left loose" : step.renew ? "New one is in" : "It is in")
      );
    }
    case "tighten":
      return `Bolt ${nextBolt(step, log.job.progress)?.bolt ?? ""} done`;
    case "tray":
      return "The tray balances";
    case "check":
      return step.check.kind === "measure"
        ? "Take the figure"
        : (CHECK_BUTTON[means ?? ""] ?? "Choose what you found");
    case "sign-off":
      return "Sign off";
    default:
      return "Done";
  }
}

const tappedFast = (step: Step) =>
  step.kind === "tighten" || ((step.kind === "strip" || step.kind === "fit") && step.pieces.length > 0);

/** The wide button of the step, undo, note and stop. */
export function StepFooter({
  log,
  step,
  halted,
  means,
  onNote,
  onStop,
}: {
  log: JobLog;
  step: Step;
  halted: boolean;
  means: string | undefined;
  onNote: () => void;
  onStop: () => void;
}) {
  const state = log.job.states.get(step.id);
  const now = useNow(state?.kind === "running" ? 250 : 60_000);
  const waiting = state?.kind === "running" && (now ?? 0) < state.until;
  // With large letters the wide button has a row of its own, and the others share the next.
  return (
    <div className="flex flex-wrap gap-2 pt-2">
      <button
        type="submit"
        form={STEP_FORM}
        disabled={halted || waiting}
        // A glove taps twice: the second tap would land on the next step. Bolts and pieces are tapped fast on purpose.
        onClick={(event) => event.detail > 1 && !tappedFast(step) && event.preventDefault()}
        className="btn btn-go min-h-16 flex-[99_1_7em] px-3 text-lead"
      >
        {buttonSays(step, log, means, waiting)} <span className="key hidden lg:inline">Enter</span>
      </button>
      <button
        type="button"
        onClick={log.undo}
        aria-label="Undo the newest entry"
        title="Undo (Backspace)"
        className="btn btn-quiet min-h-16 w-[52px] grow-0 px-0"
      >
        <Undo2 size={22} />
      </button>
      <button
        type="button"
        onClick={onNote}
        className="btn btn-quiet min-h-16 min-w-16 grow px-2 lg:min-w-[72px]"
      >
        Note
      </button>
      <button
        type="button"
        onClick={onStop}
        className="btn btn-stop min-h-16 w-[4.75em] grow px-2.5 lg:w-[5.25em]"
      >
        Stop work
      </button>
    </div>
  );
}
