"use client";

import clsx from "clsx";
import { format, getISOWeek } from "date-fns";
import type { HouseRounds } from "@/core/due-work";
import { useFigures } from "@/ui/use-figures";

/** Each crew's share of a bar: its ink, and a pattern for who does not tell inks apart. */
const INKS = [
  "bg-go",
  "bg-[repeating-linear-gradient(135deg,var(--brass-line)_0_5px,var(--brass-bg)_5px_7px)]",
  "bg-[repeating-linear-gradient(45deg,var(--cold)_0_5px,var(--card)_5px_7px)]",
  "bg-[repeating-linear-gradient(0deg,var(--soft)_0_5px,var(--card)_5px_7px)]",
] as const;

/** Hours that are planned in each week, by crew, against the hours there are; a week is chosen here. */
export function YearBars({
  rounds,
  week,
  onWeek,
}: {
  rounds: HouseRounds;
  week: number;
  onWeek: (week: number) => void;
}) {
  const { fixed } = useFigures();
  const { weeks, crews } = rounds;
  const sum = (at: number, of: "hours" | "planned_h") =>
    weeks[at]!.crews.reduce((all, crew) => all + crew[of], 0);
  const most = Math.max(1, ...weeks.map((_, at) => Math.max(sum(at, "hours"), sum(at, "planned_h"))));
  return (
    <section className="card p-3" aria-label="The quarter, hours by week">
      <h2 className="caption mb-2 flex flex-wrap justify-between gap-x-4">
        <span>The quarter, hours by week</span>
        <span className="flex flex-wrap gap-x-4 normal-case tracking-normal">
          {crews.map(({ id }, row) => (
            <span key={id}>
              <span
                aria-hidden
                className={clsx(
                  "mr-1.5 inline-block size-3.5 border border-ink align-[-2px]",
                  INKS[row % INKS.length],
                )}
              />
              {id}
            </span>
          ))}
          <span>
            <span
              aria-hidden
              className="mr-1.5 inline-block w-6 border-stop border-t-2 border-dashed align-middle"
            />
            hours there are
          </span>
        </span>
      </h2>
      <div role="group" aria-label="Week" className="flex gap-0.5 md:gap-1">
        {weeks.map(({ from, crews: shares }, at) => (
          <button
            key={from}
            type="button"
            aria-pressed={at === week}
            aria-label={`Week ${getISOWeek(from)}, from ${format(from, "d MMM")}: ${fixed(sum(at, "planned_h"), 0)} of ${fixed(sum(at, "hours"), 0)} h planned`}
            onClick={() => onWeek(at)}
            className={clsx(
              "min-w-0 flex-1 rounded px-0.5 pt-1 md:px-1",
              at === week ? "outline-2 outline-ink" : "hover:bg-sunk",
            )}
          >
            <span className="relative flex h-20 flex-col-reverse border-edge border-b">
              {shares.map(({ crew, planned_h }, row) => (
                <span
                  key={crew}
                  style={{ height: `${(100 * planned_h) / most}%` }}
                  className={clsx(planned_h > 0 && "border border-ink", INKS[row % INKS.length])}
                />
              ))}
              <span
                style={{ bottom: `${(100 * sum(at, "hours")) / most}%` }}
                className="-inset-x-0.5 md:-inset-x-1 absolute border-stop border-t-2 border-dashed"
              />
            </span>
            <span className="plate text-note">{getISOWeek(from)}</span>
          </button>
        ))}
      </div>
    </section>
  );
}
