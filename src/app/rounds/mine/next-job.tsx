"use client";

import { format } from "date-fns";
import Link from "next/link";
import type { BegunWork, DaySheet, DayStop, MyDay } from "@/core/due-work";
import { formatDuration } from "@/core/quantity";
import { Plate } from "@/ui/plate";
import { useFigures } from "@/ui/use-figures";
import { useNow } from "@/ui/when";
import { NoWayIn, RunsOver } from "./say-of-day";
import type { OwnDay } from "./use-my-day";

const MIN_MS = 60_000;
/** So long before one has to leave it is said in minutes. */
const SOON_MS = 12 * 3_600_000;

/** When to leave for a piece of work: the way to it, or its beginning where it is here. */
export const leaveFor = ({ legs }: DaySheet, { parts }: DayStop): { at: number; km: number } => {
  const way = legs.find(({ to }) => to === parts[0]!.from);
  return way === undefined ? { at: parts[0]!.from, km: 0 } : { at: way.from, km: way.km };
};

/** What is next: when to leave, where to, what, who goes without; and the two things that turn out otherwise. */
export function NextJob({ day, stop, own }: { day: MyDay; stop: DayStop; own: OwnDay }) {
  const { fixed } = useFigures();
  const { sheet } = day;
  const { tag, name, place, what, parts, lateMin, job } = stop;
  const { at, km } = leaveFor(sheet, stop);
  const [from, to] = [parts[0]!.from, parts.at(-1)!.to];
  const beside = stop.with;
  const ask = beside.length === 0 ? "" : `?${new URLSearchParams({ with: beside.join(",") })}`;
  const tell = sheet.tell.filter((each) => each.tags.includes(tag));
  return (
    <section aria-label="What is next" className="card flex flex-col gap-3 p-4">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <p className="caption">Next</p>
        <Leave at={at} far={km > 0} />
      </div>
      <h2 className="font-bold text-head leading-tight">
        <Plate id={tag} /> {name}
      </h2>
      <p>
        {place}. {what}
      </p>
      <p className="text-soft">
        {format(from, "HH:mm")} to {format(to, "HH:mm")}
        {km > 0 && `, ${fixed(km, 1)} km`}
        {parts.length > 1 &&
          `; stands from ${format(parts[0]!.to, "HH:mm")} to ${format(parts[1]!.from, "HH:mm")}`}
        {lateMin > 0 && <strong className="text-stop">, late</strong>}
      </p>
      {tell.length > 0 && (
        <ul className="border-wait border-l-[6px] bg-wait-bg px-3 py-2 leading-snug">
          {tell.map(({ names, who, phone }) => (
            <li key={names.join()}>
              Without service: {names.join(", ")}.{who !== undefined && ` Tell ${who} before you shut off`}
              {phone !== undefined && (
                <>
                  {": "}
                  <a
                    className="inline-block min-h-11 content-center underline underline-offset-4"
                    href={`tel:${phone.replaceAll(/\s/g, "")}`}
                  >
                    {phone}
                  </a>
                </>
              )}
              {who !== undefined && phone === undefined && "."}
            </li>
          ))}
        </ul>
      )}
      {beside.length > 0 && (
        <p className="text-note">
          Shut off once with {beside.join(", ")}: shut all of it before either is opened.
        </p>
      )}
      <Link
        href={
          job === undefined
            ? `/valves/${encodeURIComponent(tag)}/start${ask}`
            : `/jobs/${encodeURIComponent(job)}`
        }
        className="btn btn-go min-h-14 text-lead"
      >
        {job === undefined ? "Start" : "Go on with"} {tag}
      </Link>
      <div className="grid grid-cols-2 gap-3">
        <RunsOver task={tag} own={own} />
        <NoWayIn task={tag} own={own} />
      </div>
    </section>
  );
}

/** The time to leave, and how long that is. */
function Leave({ at, far }: { at: number; far: boolean }) {
  const now = useNow(10_000);
  const left = now === null ? undefined : at - now;
  const what = far ? "Leave" : "Begin";
  return (
    <p className="plate text-head" suppressHydrationWarning>
      {left !== undefined && left <= 0 ? (
        <span className="text-stop">{what} now</span>
      ) : (
        <>
          {what} {format(at, "HH:mm")}
          {left !== undefined && left < SOON_MS && (
            <small className="ml-2 text-body text-soft">
              in {formatDuration(Math.ceil(left / MIN_MS) * 60)}
            </small>
          )}
        </>
      )}
    </p>
  );
}

/** What the crew is at. */
export function AtIt({ begun, own }: { begun: BegunWork; own: OwnDay }) {
  const { task, name, place, to } = begun;
  const now = useNow(10_000);
  const over = now !== null && now > to;
  return (
    <section aria-label="What you are at" className="card flex flex-col gap-3 border-go p-4">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <p className="caption">At work</p>
        <p className="plate text-lead">
          {over ? (
            <span className="text-stop">was to end {format(to, "HH:mm")}</span>
          ) : (
            `until ${format(to, "HH:mm")}`
          )}
        </p>
      </div>
      <p>
        <Plate id={task} href={`/valves/${encodeURIComponent(task)}`} /> {name}; {place}
      </p>
      <RunsOver task={task} own={own} />
    </section>
  );
}
