"use client";

import clsx from "clsx";
import { formatDuration } from "@/core/quantity";
import { type Drag, targetWords } from "./drag-week";
import { betterThan } from "./week-moves";

/** What happens when it is put down where it is now, and where it would be better. */
export function Consequence({ drag }: { drag: Drag }) {
  const { tag, over, outlooks } = drag;
  const better = over && betterThan(outlooks, over);
  if (over === undefined)
    return (
      <section className="card p-4" aria-label={`${tag} is picked up`}>
        <h2 className="caption">{tag} is picked up</h2>
        <p className="mt-1">
          {outlooks.filter(({ at }) => at !== undefined).length} of {outlooks.length} shifts of this week can
          take it. Where it is hatched they cannot.
        </p>
      </section>
    );
  const not = over.at === undefined;
  return (
    <>
      <section
        className={clsx("card border-l-[6px] p-4", not ? "border-l-stop bg-stop-bg" : "border-l-go bg-go-bg")}
        aria-label={`If you drop ${tag} here`}
      >
        <h2 className="caption">
          {over.here ? "It is there now:" : "If you drop it on"} {targetWords(over.target)}
        </h2>
        {not && <p className="mt-1 font-semibold text-lead text-stop leading-snug">It cannot be there.</p>}
        <ul className="dashed mt-1">
          {over.says.map((each) => (
            <li key={each} className="py-1.5 leading-snug">
              {each}
            </li>
          ))}
        </ul>
      </section>
      {better && (
        <section className="card border-l-[6px] border-l-brass-line p-4" aria-label="Better">
          <h2 className="caption">Better</h2>
          <p className="mt-1 font-semibold text-lead leading-snug">
            {better.here ? "Where it is" : targetWords(better.target)}
          </p>
          <p className="text-note">
            {over.total !== undefined && `Costs ${formatDuration((over.total - better.total!) * 60)} less. `}
            {!better.here && better.says.join(" ")}
          </p>
        </section>
      )}
    </>
  );
}
