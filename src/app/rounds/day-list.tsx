"use client";

import clsx from "clsx";
import { format } from "date-fns";
import Link from "next/link";
import type { ReactNode } from "react";
import type { HouseRounds } from "@/core/due-work";
import { formatDuration } from "@/core/quantity";
import { useFigures } from "@/ui/use-figures";
import { dayHref, type Week } from "./week-of";

/** The week on a phone: day by day, crew by crew, one line each. */
export function DayList({
  week,
  works,
  chosen,
  onChoose,
  card,
}: {
  week: Week;
  works: HouseRounds["works"];
  chosen: string | undefined;
  onChoose: (tag: string) => void;
  /** Of the one that is chosen: it opens below it. */
  card: ReactNode;
}) {
  const { fixed } = useFigures();
  return (
    <div className="flex flex-col gap-3">
      {week.days.map((midnight, at) => (
        <section key={midnight} className="card p-3">
          <h2 className="plate text-lead">{format(midnight, "EEEE d MMM")}</h2>
          {week.crews.every(({ days }) => days[at] === undefined) && (
            <p className="text-soft">Nothing planned.</p>
          )}
          {week.crews.map(({ id, days }) => {
            const day = days[at];
            if (day === undefined) return null;
            return (
              <div key={id} className="mt-2">
                <Link
                  href={dayHref(id, day.from)}
                  className="caption block min-h-11 content-center underline underline-offset-4"
                >
                  {id} · back {format(day.back, "HH:mm")} · {fixed(day.km, 0)} km
                </Link>
                <ul>
                  {day.blocks.map(({ tag, parts, lateMin }) => (
                    <li key={tag}>
                      <button
                        type="button"
                        aria-pressed={chosen === tag}
                        onClick={() => onChoose(tag)}
                        className={clsx(
                          "grid min-h-12 w-full grid-cols-[52px_1fr_auto] items-center gap-2 border-rule border-t text-left",
                          chosen === tag && "bg-brass-bg",
                        )}
                      >
                        <span className="plate text-lead">{format(parts[0]!.from, "HH:mm")}</span>
                        <span className="min-w-0">
                          <span className="plate">{tag}</span>{" "}
                          <span className="text-note text-soft">{works[tag]?.what}</span>
                          {parts.length > 1 && (
                            <span className="block text-note text-wait">others in its wait</span>
                          )}
                        </span>
                        <span className={clsx("text-note", lateMin > 0 && "font-semibold text-stop")}>
                          {lateMin > 0 ? "late" : formatDuration((parts.at(-1)!.to - parts[0]!.from) / 1000)}
                        </span>
                      </button>
                      {chosen === tag && card}
                    </li>
                  ))}
                </ul>
              </div>
            );
          })}
        </section>
      ))}
    </div>
  );
}
