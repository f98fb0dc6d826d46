"use client";

import { useMemo } from "react";
import type { HouseRounds } from "@/core/due-work";
import { formatDuration } from "@/core/quantity";
import { targetWords } from "./drag-week";
import type { Plan } from "./use-plan";
import type { Outlook, WeekMoves } from "./week-moves";

/** Shifts that are offered: further ones are dearer still. */
const MOST_OFFERED = 5;

/** Where else a piece of work could be, the cheapest first, each with what that costs: moved by a tap. */
export function MoveTo({
  rounds,
  tag,
  shift,
  moves,
  plan,
}: {
  rounds: HouseRounds;
  tag: string;
  shift: HouseRounds["shifts"][number] | undefined;
  moves: WeekMoves;
  plan: Plan;
}) {
  const offered = useMemo(() => offeredOf(moves, tag), [moves, tag]);
  const fixed = rounds.weeks.some((week) => week.fixed.includes(tag));
  return (
    <div className="mt-1 border-rule border-t-[1.5px] pt-3">
      <h3 className="caption">{shift === undefined ? "Put it" : "Otherwise"}</h3>
      {offered.length === 0 && <p>No {shift === undefined ? "" : "other "}shift of this week can take it.</p>}
      <ul>
        {offered.map(({ target, total = 0 }) => (
          <li key={target.row}>
            <button
              type="button"
              disabled={plan.busy !== undefined}
              onClick={() => plan.move(tag, target)}
              className="grid min-h-12 w-full grid-cols-[1fr_auto] items-center gap-2 border-rule border-b text-left hover:bg-sunk"
            >
              <span className="underline underline-offset-4">{targetWords(target)}</span>
              <span className="text-note text-soft">{costWords(total)}</span>
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-3 flex flex-wrap gap-2">
        {shift !== undefined && (
          <button
            type="button"
            className="btn btn-quiet min-h-12"
            disabled={plan.busy !== undefined}
            onClick={() => plan.move(tag, "out")}
          >
            Take it out
          </button>
        )}
        {fixed && (
          <button
            type="button"
            className="btn btn-quiet min-h-12"
            disabled={plan.busy !== undefined}
            onClick={() => plan.move(tag, "loose")}
          >
            Let it move again
          </button>
        )}
      </div>
      {fixed && <p className="mt-2 text-note text-soft">Put by hand: planning again leaves it on its day.</p>}
    </div>
  );
}

function offeredOf({ targets, outlook }: WeekMoves, tag: string): Outlook[] {
  return targets
    .flatMap((target) => outlook(tag, target) ?? [])
    .filter(({ total, here }) => total !== undefined && !here)
    .sort((a, b) => a.total! - b.total!)
    .slice(0, MOST_OFFERED);
}

/** Minutes of a crew, all told: its time, the way, lateness, who goes without. */
function costWords(total: number): string {
  if (Math.abs(total) < 1) return "costs no more";
  const time = formatDuration(Math.abs(total) * 60);
  return total > 0 ? `costs ${time} more` : `costs ${time} less`;
}
