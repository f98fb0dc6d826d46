"use client";

import { format } from "date-fns";
import { FileText } from "lucide-react";
import Link from "next/link";
import { useEffect, useMemo, useState } from "react";
import type { DaySheet } from "@/core/due-work";
import { formatDuration } from "@/core/quantity";
import type { Problem } from "@/core/result";
import { addressOf, call } from "@/edge/client";
import type { AnswerTo } from "@/edge/contract";
import { DAY_GEOJSON, HOUSE_DAY } from "@/edge/contracts/house-rounds";
import { DAY_PDF } from "@/edge/contracts/papers";
import { SiteMap, type SiteMark } from "@/ui/map/site-map";
import { Notice } from "@/ui/notice";
import { Page } from "@/ui/page";
import { usePrinting } from "@/ui/paper/use-printing";
import { PrintButton } from "@/ui/print-button";
import { useFigures } from "@/ui/use-figures";
import { DayLine } from "./day-line";
import { TakeAlong } from "./take-along";
import { ShutOff, TellBefore } from "./tell-before";

type Found = AnswerTo<typeof HOUSE_DAY>;

/** One crew's day: its way on our own map, its hours with the waits that are used, what to take along, whom to tell. */
export function DayScreen({ crew, day }: { crew: string; day: string }) {
  const [found, setFound] = useState<Found>();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  useEffect(() => {
    if (crew === "" || day === "") {
      setProblems([
        { path: "", message: "Which day is meant? Choose one in the week: its time back leads here." },
      ]);
      return;
    }
    const asked = new AbortController();
    void call(HOUSE_DAY, { query: { crew, day }, signal: asked.signal }).then((answer) => {
      if (asked.signal.aborted) return;
      if (answer.ok) setFound(answer.value);
      setProblems(answer.ok ? [] : answer.error.problems);
    });
    return () => asked.abort();
  }, [crew, day]);
  if (found !== undefined) return <Day {...found} />;
  return (
    <Page title="A day" says="Where to, what to take along, whom to tell.">
      {problems.length === 0 && (
        <Notice tone="wait" live>
          Looking up the day: every job of it is compiled. A few seconds.
        </Notice>
      )}
      {problems.map(({ message }) => (
        <Notice key={message} tone="stop" live>
          {message}
        </Notice>
      ))}
      <p>
        <Link href="/rounds" className="btn btn-quiet min-h-12">
          The week
        </Link>
      </p>
    </Page>
  );
}

function Day({ sheet, ground }: Found) {
  const { fixed } = useFigures();
  const { marks, way } = useMemo(() => wayOf(sheet), [sheet]);
  const works = sheet.stops.length;
  return (
    <div className="mx-auto flex max-w-[1240px] flex-col gap-3 px-4 py-4 md:px-5">
      <header className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1 className="font-bold text-title">
          {format(sheet.from, "EEEE d MMM")}, {sheet.crew}
        </h1>
        <p className="text-soft">
          {works} {works === 1 ? "job" : "jobs"} · {formatDuration((sheet.back - sheet.from) / 1000)} of{" "}
          {formatDuration((sheet.to - sheet.from) / 1000)} · {fixed(sheet.km, 1)} km · back{" "}
          {format(sheet.back, "HH:mm")}
          {sheet.overMin >= 1 && <strong className="text-stop">, after the shift</strong>}
        </p>
        <div className="no-print ml-auto flex flex-wrap gap-2">
          <Link href="/rounds" className="btn btn-quiet min-h-12">
            The week
          </Link>
          <PrintButton />
          <DayFiles sheet={sheet} />
        </div>
      </header>
      <div className="grid grid-cols-1 items-start gap-3 lg:grid-cols-[360px_1fr_280px]">
        {marks.length > 0 && (
          <SiteMap
            ground={ground}
            marks={marks}
            way={way}
            label={`The way of ${sheet.crew}`}
            className="order-2 h-[360px] lg:order-none lg:h-[660px]"
          />
        )}
        <DayLine sheet={sheet} />
        <div className="flex flex-col gap-3">
          <TakeAlong sheet={sheet} />
          <TellBefore sheet={sheet} />
          <ShutOff sheet={sheet} />
        </div>
      </div>
    </div>
  );
}

/** The day with all its isolation sheets as one set, and for any map. */
function DayFiles({ sheet }: { sheet: DaySheet }) {
  const printing = usePrinting();
  const query = { crew: sheet.crew, day: new Date(sheet.from).toISOString() };
  return (
    <>
      <a
        className="btn btn-quiet min-h-12"
        href={addressOf(DAY_PDF, { query: { ...query, ...printing } })}
        target="_blank"
        rel="noreferrer"
      >
        <FileText size={20} aria-hidden="true" /> All of it, as PDF
      </a>
      <a className="btn btn-quiet min-h-12" href={addressOf(DAY_GEOJSON, { query })} download>
        GeoJSON
      </a>
    </>
  );
}

/** Where it goes: a plate for each spot with the numbers of what is done there. */
function wayOf({ stops, base }: DaySheet): {
  readonly marks: readonly SiteMark[];
  readonly way: SiteMark["spot"][];
} {
  const bySpot = new Map<string, { spot: SiteMark["spot"]; orders: number[]; tags: string[] }>();
  for (const { spot, order, tag } of stops) {
    if (spot === undefined) continue;
    const key = `${spot.lat} ${spot.lon}`;
    const here = bySpot.get(key) ?? { spot, orders: [], tags: [] };
    here.orders.push(order);
    here.tags.push(tag);
    bySpot.set(key, here);
  }
  const marks = [...bySpot.values()].map(
    ({ spot, orders, tags }): SiteMark => ({
      id: tags[0]!,
      name: tags.join(", "),
      spot,
      href: `/valves/${encodeURIComponent(tags[0]!)}`,
      valves: tags.length,
      late: 0,
      label: orders.join(" · "),
      says: `${orders.join(" and ")}: ${tags.join(", ")}`,
    }),
  );
  const visited = stops
    .flatMap(({ parts, spot }) => (spot === undefined ? [] : parts.map(({ from }) => ({ from, spot }))))
    .sort((a, b) => a.from - b.from)
    .map(({ spot }) => spot);
  const ends = base === undefined ? [] : [base];
  const start: SiteMark[] =
    base === undefined || bySpot.has(`${base.lat} ${base.lon}`)
      ? []
      : [
          {
            id: "base",
            name: "base",
            spot: base,
            href: "/places",
            valves: 0,
            late: 0,
            here: true,
            label: "from",
            says: "where the day begins and ends",
          },
        ];
  return { marks: [...start, ...marks], way: [...ends, ...visited, ...ends] };
}
