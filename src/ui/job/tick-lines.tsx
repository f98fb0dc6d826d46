"use client";

import clsx from "clsx";
import { Check } from "lucide-react";
import type { TickLine } from "@/core/job";
import { useSpeaker } from "../use-speaker";
import type { JobLog } from "./use-job-log";

/** A list that is ticked line by line, each as it is taken in the hand. */
export function TickLines({
  step,
  log,
  asDone = false,
}: {
  step: { readonly id: string; readonly lines?: readonly TickLine[] };
  log: JobLog;
  /** It is work that is done, nothing that is taken along. */
  asDone?: boolean;
}) {
  const { card, common } = useSpeaker().say;
  const { ticks } = card;
  const { commas } = common;
  const { lines = [] } = step;
  const ticked = log.job.progress.ticked.get(step.id);
  if (lines.length === 0) return null;
  return (
    <fieldset className="card p-4">
      <legend className="float-left mb-2 font-bold text-lead">
        {asDone ? ticks.asDone : ticks.title}{" "}
        <span className="plate text-body">{ticks.of(ticked?.size ?? 0, lines.length)}</span>
      </legend>
      <ul className="clear-both grid gap-2 sm:grid-cols-2">
        {lines.map((line) => {
          const done = ticked?.has(line.id) === true;
          return (
            <li key={line.id}>
              <button
                type="button"
                data-tick
                aria-pressed={done}
                onClick={() => {
                  if (!done) log.add({ kind: "line-ticked", step: step.id, line: line.id });
                }}
                className={clsx(
                  "grid min-h-14 w-full grid-cols-[36px_1fr] items-center gap-3 rounded-md border-2 px-3 py-1.5 text-left leading-tight",
                  done ? "border-go bg-go-bg" : "border-edge bg-paper",
                )}
              >
                <span
                  className={clsx(
                    "grid size-8 place-items-center rounded border-2",
                    done ? "border-go bg-go text-go-ink" : "border-edge",
                  )}
                >
                  {done && <Check size={22} strokeWidth={3} aria-hidden="true" />}
                </span>
                <span>
                  <b>{line.pieces > 1 ? ticks.pieces(line.name, line.pieces) : line.name}</b>
                  {line.of !== undefined || line.place !== undefined ? (
                    <small className="block text-note text-soft">
                      {commas([line.of, line.place].filter((each) => each !== undefined))}
                    </small>
                  ) : null}
                  {line.note !== undefined && (
                    <small className="block text-note text-soft">{line.note}</small>
                  )}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </fieldset>
  );
}
