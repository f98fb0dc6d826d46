"use client";

import { Undo2 } from "lucide-react";
import { useSpeaker } from "../use-speaker";
import type { JobLog } from "./use-job-log";

/** Undo, note and stop: at every step, and before anybody may do it. */
export function AlwaysThere({
  log,
  onNote,
  onStop,
}: {
  log: JobLog;
  onNote: () => void;
  onStop: () => void;
}) {
  const { card } = useSpeaker().say;
  return (
    <>
      <button
        type="button"
        onClick={log.undo}
        aria-label={card.buttons.undo}
        title={card.buttons.undoByKey}
        className="btn btn-quiet min-h-16 w-[52px] grow-0 px-0"
      >
        <Undo2 size={22} />
      </button>
      <button
        type="button"
        onClick={onNote}
        className="btn btn-quiet min-h-16 min-w-16 grow px-2 lg:min-w-[72px]"
      >
        {card.buttons.note}
      </button>
      <button
        type="button"
        onClick={onStop}
        className="btn btn-stop min-h-16 w-[4.75em] grow px-2.5 lg:w-[5.25em]"
      >
        {card.buttons.stopWork}
      </button>
    </>
  );
}
