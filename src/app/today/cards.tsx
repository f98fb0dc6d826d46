import clsx from "clsx";
import Link from "next/link";
import type { ReactNode } from "react";
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
        "card flex h-full flex-col border-t-[7px] p-4",
        card.bell.kind === "wait" ? TOP.wait : card.bell.kind === "at-work" ? TOP.due : TOP.stop,
      )}
    >
      <Head title={card.headline} says={card.says}>
        <span
          className={
            card.bell.kind === "wait" ? "text-wait" : card.bell.kind === "at-work" ? "text-ink" : "text-stop"
          }
        >
          {card.bell.kind === "at-work" ? "open" : <When at={card.bell.at} />}
        </span>
      </Head>
      <span className="mt-3 flex justify-between gap-3 border-rule border-t-[1.5px] border-dashed pt-2.5 font-semibold">
        <span className="line-clamp-2">{card.next}</span>
        <span className="whitespace-nowrap text-soft">
          {card.done} of {card.of}
        </span>
      </span>
    </Link>
  );
}

/** A valve that is due by now, or trouble with it that somebody else has. */
export function DueCard({ due }: { due: Today["due"]["now"][number] }) {
  return (
    <Link
      href={`/valves/${encodeURIComponent(due.bell.valve)}`}
      className={clsx("card flex h-full flex-col border-t-[7px] p-4", TOP.due)}
    >
      <Head title={`${due.bell.valve}: ${due.symptom ?? due.bell.title}`} says={`${due.sheet}, ${due.place}`}>
        <When at={due.bell.at} />
      </Head>
      <span className="mt-3 border-rule border-t-[1.5px] border-dashed pt-2.5 font-semibold">
        {due.bell.kind === "case" ? "Ask, and write down what came of it" : "Look at it and start the job"}
      </span>
    </Link>
  );
}

/** What rings, and when; with large letters the one stands above the other. */
function Head({ title, says, children }: { title: string; says: string; children: ReactNode }) {
  return (
    <span className="flex flex-1 flex-wrap justify-between gap-x-3">
      <span className="min-w-0 flex-[1_1_9rem]">
        <b className="block text-lead leading-tight">{title}</b>
        <span className="mt-1 block text-note text-soft">{says}</span>
      </span>
      <span className="plate text-figure leading-none">{children}</span>
    </span>
  );
}
