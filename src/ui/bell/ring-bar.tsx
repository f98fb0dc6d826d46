"use client";

import clsx from "clsx";
import Link from "next/link";
import { usePathname, useSearchParams } from "next/navigation";
import { useEffect, useId, useState } from "react";
import { formatDuration } from "@/core/quantity";
import { mayWait, type Ringing } from "@/core/ringing";
import { timeNow } from "@/edge/clock";
import type { SpokenBell } from "@/words";
import { bellHref } from "../bell-knots";
import { BellShape } from "../draw/rope";
import { useMay } from "../settings";
import { useSpeaker } from "../use-speaker";
import { silence } from "./heard";
import { PutOff } from "./put-off";
import { useRinging, useRingingTitle } from "./use-ringing";

/** Whoever is on the way there is not rung at, ms. */
const ON_THE_WAY_MS = 3 * 60_000;
/** What may wait is not struck again for a day, ms; work that is stopped again is. */
const heardFor = (kind: SpokenBell["kind"]): number => (mayWait(kind) ? 24 * 3_600_000 : 0);
/** Room for these at a desk, and for one in the hand; the rest is counted. */
const MOST = 3;

/** What rings now, over every screen: what to look at, the way there, and putting it off. */
export function RingBar({ bells }: { bells: readonly SpokenBell[] }) {
  const { ringing: sounding, untouched } = useRinging(bells);
  const { say } = useSpeaker();
  const words = say.ringing;
  const here = useJobOfPage();
  const [all, setAll] = useState(false);
  // What is struck once of the job that one looks at stands on its card.
  const ringing = sounding.filter(
    ({ bell, manner }) => manner !== "chime" || here === undefined || bell.job !== here,
  );
  const first = ringing[0]?.bell;
  useRingingTitle(first && words.pageTitle(first.short, first.valve));
  useSilentByTouch(ringing, here);
  if (ringing.length === 0) return null;
  return (
    <section
      aria-label={words.region}
      className="no-print border-wait border-b-[3px] bg-wait-bg px-4 py-1.5 text-ink md:px-5"
    >
      {untouched && first?.job !== here && <p className="text-note font-semibold">{words.touch}</p>}
      <ul className="dashed">
        {ringing.slice(0, all ? ringing.length : MOST).map((each, index) => (
          <Rings
            key={each.bell.id}
            ringing={each}
            isHere={here !== undefined && each.bell.job === here}
            folded={index > 0 && !all}
          />
        ))}
      </ul>
      {ringing.length > 1 && (
        <button
          type="button"
          aria-expanded={all}
          onClick={() => setAll(!all)}
          className={clsx(
            "btn min-h-12 px-0 underline underline-offset-4",
            ringing.length <= MOST && "md:hidden",
          )}
        >
          {all ? words.fewer : words.allOf(ringing.length)}
        </button>
      )}
    </section>
  );
}

function Rings({
  ringing: { bell, manner, since },
  isHere,
  folded,
}: {
  ringing: Ringing<SpokenBell>;
  isHere: boolean;
  /** In the hand it is counted only. */
  folded: boolean;
}) {
  const words = useSpeaker().say.ringing;
  const may = useMay("technician");
  const [puttingOff, setPuttingOff] = useState(false);
  const title = useId();
  const long = timeNow() - since;
  const hear = () => silence(bell.id, timeNow() + (manner === "alarm" ? ON_THE_WAY_MS : heardFor(bell.kind)));
  return (
    <li
      className={clsx(
        "items-center gap-x-3 gap-y-1.5 py-1",
        // The card says it itself: in the hand one row is enough.
        (!isHere || puttingOff) && "flex-wrap",
        folded ? "hidden md:flex" : "flex",
      )}
    >
      <svg width={26} height={32} viewBox="20 8 64 74" aria-hidden="true" className="shrink-0">
        <BellShape ringing />
      </svg>
      <div
        className={clsx("min-w-0 flex-1 leading-snug", !isHere && "basis-44")}
        role={manner === "alarm" ? "alert" : "status"}
      >
        <p id={title} className="line-clamp-2 md:line-clamp-none">
          <b className="text-lead">{isHere ? bell.title : words.title(bell.title, bell.valve)}</b>{" "}
          <span className="text-note text-soft">
            {long < 60_000 ? words.justNow : words.since(formatDuration(Math.floor(long / 60_000) * 60))}
          </span>
        </p>
        <p className={clsx("text-note", isHere ? "hidden md:block" : "line-clamp-2 md:line-clamp-none")}>
          {bell.look}
        </p>
      </div>
      <div className="flex gap-2">
        {isHere ? null : (
          <Link href={bellHref(bell)} onClick={hear} className="btn btn-go" aria-describedby={title}>
            {words.goThere}
          </Link>
        )}
        {manner === "chime" ? (
          <button type="button" onClick={hear} className="btn btn-quiet bg-card" aria-describedby={title}>
            {words.heard}
          </button>
        ) : !may ? null : (
          <button
            type="button"
            onClick={() => setPuttingOff(!puttingOff)}
            aria-expanded={puttingOff}
            className="btn btn-quiet bg-card"
            aria-describedby={title}
          >
            {puttingOff ? words.back : words.putOff}
          </button>
        )}
      </div>
      {puttingOff && bell.job !== undefined && (
        <PutOff bell={{ ...bell, job: bell.job }} onDone={() => setPuttingOff(false)} />
      )}
    </li>
  );
}

/** The job whose page this is. */
function useJobOfPage(): string | undefined {
  const path = usePathname();
  const id = useSearchParams().get("id");
  const [, there] = /^\/jobs\/([^/]+)$/.exec(path) ?? [];
  return there !== undefined
    ? decodeURIComponent(there)
    : path === "/along/job" && id !== null
      ? id
      : undefined;
}

/** Somebody works at what rings: the tone has done its work. */
function useSilentByTouch(ringing: readonly Ringing<SpokenBell>[], here: string | undefined): void {
  useEffect(() => {
    const mine = ringing.filter(({ bell }) => here !== undefined && bell.job === here);
    if (mine.length === 0) return;
    const touched = (event: Event) => {
      if (!(event.target instanceof Element) || event.target.closest("main") === null) return;
      for (const { bell } of mine) silence(bell.id, timeNow() + ON_THE_WAY_MS);
    };
    // When the press is over: what is pressed must not move away under the finger.
    addEventListener("click", touched);
    addEventListener("keyup", touched);
    return () => {
      removeEventListener("click", touched);
      removeEventListener("keyup", touched);
    };
  }, [ringing, here]);
}
