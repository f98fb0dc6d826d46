import clsx from "clsx";
import Link from "next/link";
import type { Today } from "@/server/today/today";
import { When } from "@/ui/when";

const TOP = {
  stop: "border-t-stop",
  wait: "border-t-(--ink-wait-mark)",
  due: "border-t-brass-line",
} as const;

/** A job that rings, or is at work. */
export function JobCard({ card }: { card: Today["cards"][number] }) {
  return (
    <Link
      href={`/jobs/${encodeURIComponent(card.bell.job ?? "")}`}
      className={clsx(
        "card grid h-full grid-cols-[1fr_auto] gap-x-3 border-t-[7px] p-4",
        card.bell.kind === "wait" ? TOP.wait : card.bell.kind === "at-work" ? TOP.due : TOP.stop,
      )}
    >
      <b className="text-lead leading-tight">{card.headline}</b>
      <span
        className={clsx(
          "plate row-span-2 text-figure leading-none",
          card.bell.kind === "wait" ? "text-wait" : card.bell.kind === "at-work" ? "text-ink" : "text-stop",
        )}
      >
        {card.bell.kind === "at-work" ? "open" : <When at={card.bell.at} />}
      </span>
      <span className="mt-1 text-note text-soft">{card.says}</span>
      <span className="col-span-2 mt-3 flex justify-between gap-3 border-rule border-t-[1.5px] border-dashed pt-2.5 font-semibold">
        <span className="line-clamp-2">{card.next}</span>
        <span className="whitespace-nowrap text-soft">
          {card.done} of {card.of}
        </span>
      </span>
    </Link>
  );
}

/** A valve that is due by now. */
export function DueCard({ due }: { due: Today["due"]["now"][number] }) {
  return (
    <Link
      href={`/valves/${encodeURIComponent(due.bell.valve)}`}
      className={clsx("card grid h-full grid-cols-[1fr_auto] gap-x-3 border-t-[7px] p-4", TOP.due)}
    >
      <b className="text-lead leading-tight">
        {due.bell.valve}: {due.symptom ?? due.bell.title}
      </b>
      <span className="plate row-span-2 text-figure leading-none">
        <When at={due.bell.at} />
      </span>
      <span className="mt-1 text-note text-soft">
        {due.sheet}, {due.place}
      </span>
      <span className="col-span-2 mt-3 border-rule border-t-[1.5px] border-dashed pt-2.5 font-semibold">
        Look at it and start the job
      </span>
    </Link>
  );
}
