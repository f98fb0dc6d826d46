"use client";

import clsx from "clsx";
import { format } from "date-fns";
import { Fragment } from "react";
import type { DaySheet } from "@/core/due-work";
import { Plate } from "@/ui/plate";
import { useFigures } from "@/ui/use-figures";
import { inLanes } from "../week-of";

/** px of an hour, and the least that is readable. */
const HOUR_PX = 76;
const LEAST_PX = 47;
const HOUR_MS = 3_600_000;

/** The hours of a day: each piece of work where it lies, what stands by itself hatched, what is done meanwhile beside it. */
export function DayLine({ sheet }: { sheet: DaySheet }) {
  const { fixed } = useFigures();
  const first = Math.floor(sheet.from / HOUR_MS) * HOUR_MS;
  const last = Math.ceil(Math.max(sheet.to, sheet.back) / HOUR_MS) * HOUR_MS;
  const y = (ms: number) => ((ms - first) / HOUR_MS) * HOUR_PX;
  const blocks = inLanes(
    sheet.stops.map(({ tag, parts, lateMin }) => ({ tag, parts, of: parts.length, lateMin })),
  );
  const hours = Array.from({ length: (last - first) / HOUR_MS + 1 }, (_, hour) => first + hour * HOUR_MS);
  const stopOf = (tag: string) => sheet.stops.find((stop) => stop.tag === tag)!;
  return (
    <section className="card p-3" aria-label="The hours of the day">
      <ol className="relative" style={{ height: y(last) + 20 }}>
        {hours.map((hour) => (
          <li
            key={hour}
            aria-hidden
            className="absolute inset-x-0 border-rule border-t border-dashed"
            style={{ top: y(hour) }}
          >
            <span className="plate absolute top-[-10px] left-0 bg-card pr-1 text-note text-soft">
              {format(hour, "HH:mm")}
            </span>
          </li>
        ))}
        {sheet.legs.map(({ from, to, km }) => (
          <li key={from} className="absolute left-[56px] text-fine text-go" style={{ top: y(from) }}>
            <span
              aria-hidden
              className="absolute left-0 w-1 rounded bg-go"
              style={{ height: Math.max(4, y(to) - y(from)) }}
            />
            <span className="sr-only">drive </span>
            <span className="absolute left-2 whitespace-nowrap leading-none">{fixed(km, 1)} km</span>
          </li>
        ))}
        {blocks.map(({ tag, parts, lane, lanes, lateMin }) => {
          const stop = stopOf(tag);
          const [from, to] = [parts[0]!.from, parts.at(-1)!.to];
          const top = y(from);
          return (
            <li
              key={tag}
              className={clsx(
                "absolute overflow-hidden rounded-[5px] border-[1.5px] bg-card px-2 leading-tight",
                lateMin > 0 ? "border-stop" : "border-ink",
              )}
              style={{
                top,
                height: Math.max(LEAST_PX, y(to) - top - 2),
                left: `calc(114px + (100% - 114px) * ${lane / lanes})`,
                width: `calc((100% - 114px) / ${lanes} - 4px)`,
              }}
            >
              {parts.slice(1).map((part, at) => (
                <Fragment key={part.stretch}>
                  <span
                    aria-hidden
                    className="absolute inset-x-0 bg-[repeating-linear-gradient(115deg,var(--wait-bg)_0_8px,var(--card)_8px_12px)]"
                    style={{ top: y(parts[at]!.to) - top, height: y(part.from) - y(parts[at]!.to) }}
                  />
                  <span
                    className="absolute right-1 bg-card px-1 text-fine text-wait"
                    style={{ top: y(parts[at]!.to) - top + 2 }}
                  >
                    stands until {format(part.from, "HH:mm")}
                  </span>
                </Fragment>
              ))}
              <span className="relative flex flex-wrap items-baseline gap-x-2">
                <span className="plate text-lead">{stop.order}</span>
                <Plate id={tag} href={`/valves/${encodeURIComponent(tag)}`} />
                <span className="text-note text-soft">
                  {format(from, "HH:mm")} to {format(to, "HH:mm")}
                </span>
                {lateMin > 0 && <strong className="text-note text-stop">late</strong>}
              </span>
              <span className="relative block text-note">{stop.what}</span>
              <span className="relative block text-note text-soft">{stop.place}</span>
            </li>
          );
        })}
        <li className="absolute left-[114px] text-note text-soft" style={{ top: y(sheet.back) + 2 }}>
          back {format(sheet.back, "HH:mm")}
        </li>
      </ol>
    </section>
  );
}
