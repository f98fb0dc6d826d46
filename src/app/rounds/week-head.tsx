"use client";

import { getISOWeek } from "date-fns";
import { ChevronLeft, ChevronRight } from "lucide-react";
import Link from "next/link";
import type { HouseRounds } from "@/core/due-work";
import { useFigures } from "@/ui/use-figures";
import { publishedSays } from "./plan-state";
import type { Plan } from "./use-plan";
import type { Week } from "./week-of";

/** Which week it is, how good, whether people know of it, and what can be done with it. */
export function WeekHead({
  rounds,
  week,
  at,
  onWeek,
  plan,
}: {
  rounds: HouseRounds;
  week: Week;
  at: number;
  onWeek: (at: number) => void;
  plan: Plan;
}) {
  const { fixed } = useFigures();
  const { id, from, published } = rounds.weeks[at]!;
  const above = rounds.bound > 0 ? (100 * (rounds.cost.total - rounds.bound)) / rounds.bound : 0;
  const turn = (by: number) => onWeek(Math.min(rounds.weeks.length - 1, Math.max(0, at + by)));
  const number = getISOWeek(from);
  const busy = plan.busy !== undefined;
  return (
    <header className="flex flex-wrap items-center gap-x-4 gap-y-2">
      <h1 className="font-bold text-title">Week {number}</h1>
      <div>
        <p className="text-soft">
          {week.jobs} {week.jobs === 1 ? "job" : "jobs"} ·{" "}
          {week.late === 0 ? "none late" : `${week.late} late`} · {fixed(week.km, 0)} km ·{" "}
          {above < 0.05
            ? "no plan in weeks costs less"
            : `in weeks within ${fixed(above, 1)} % of the best there can be`}
        </p>
        <p className="text-note text-soft" role="status">
          {plan.busy === "again" ? "Planning again, a few seconds." : publishedSays(rounds, at)}
        </p>
      </div>
      <div className="no-print ml-auto flex flex-wrap gap-2">
        <Link href="/rounds/mine" className="btn btn-quiet min-h-12">
          My day
        </Link>
        <button
          type="button"
          className="btn btn-quiet min-h-12 min-w-12"
          aria-label="The week before"
          disabled={at === 0}
          onClick={() => turn(-1)}
        >
          <ChevronLeft size={20} aria-hidden />
        </button>
        <button
          type="button"
          className="btn btn-quiet min-h-12 min-w-12"
          aria-label="The week after"
          disabled={at === rounds.weeks.length - 1}
          onClick={() => turn(1)}
        >
          <ChevronRight size={20} aria-hidden />
        </button>
        {plan.last !== undefined && (
          <button type="button" className="btn btn-quiet min-h-12" disabled={busy} onClick={plan.undo}>
            Undo
          </button>
        )}
        <button type="button" className="btn btn-quiet min-h-12" disabled={busy} onClick={plan.again}>
          Plan again
        </button>
        <button
          type="button"
          className="btn btn-quiet min-h-12"
          disabled={busy || week.jobs === 0 || published?.since.length === 0}
          onClick={() => plan.publish(id, `Week ${number} is published.`)}
        >
          {published === undefined ? "Publish" : "Publish again"}
        </button>
      </div>
    </header>
  );
}
