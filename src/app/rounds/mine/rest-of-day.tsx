"use client";

import { format } from "date-fns";
import { Check } from "lucide-react";
import type { MyDay } from "@/core/due-work";
import { Panel } from "@/ui/page";
import { Plate } from "@/ui/plate";
import { leaveFor } from "./next-job";
import { NoWayIn } from "./say-of-day";
import type { OwnDay } from "./use-my-day";

/** What is done, and what comes after the next: when, where to, what; and where one knows already that there is no way in. */
export function RestOfDay({ day: { sheet, begun }, own }: { day: MyDay; own: OwnDay }) {
  const done = begun.filter(({ open }) => !open);
  const rest = sheet.stops.slice(1);
  if (done.length === 0 && rest.length === 0) return null;
  return (
    <Panel title="The day">
      <ol className="dashed">
        {done.map(({ task, name }) => (
          <li key={task} className="grid grid-cols-[4rem_1fr] items-center gap-x-3 py-2 text-soft">
            <Check size={22} aria-label="done" className="text-go" />
            <span>
              <Plate id={task} href={`/valves/${encodeURIComponent(task)}`} /> {name}
            </span>
          </li>
        ))}
        {rest.map((stop) => {
          const { tag, name, place, what, parts, lateMin } = stop;
          const { at } = leaveFor(sheet, stop);
          return (
            <li key={tag} className="grid grid-cols-[4rem_1fr] gap-x-3 py-2 leading-snug">
              <span className="plate text-lead">{format(parts[0]!.from, "HH:mm")}</span>
              <span className="min-w-0">
                <Plate id={tag} href={`/valves/${encodeURIComponent(tag)}`} /> {name}
                <span className="block text-note text-soft">
                  {place}. {what}
                  {at < parts[0]!.from && `; leave ${format(at, "HH:mm")}`}
                  {lateMin > 0 && <strong className="text-stop">; late</strong>}
                </span>
                <details className="mt-1">
                  <summary className="min-h-11 cursor-pointer content-center text-note underline underline-offset-4">
                    Something is in the way
                  </summary>
                  <NoWayIn task={tag} own={own} />
                </details>
              </span>
            </li>
          );
        })}
      </ol>
    </Panel>
  );
}
