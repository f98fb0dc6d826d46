"use client";

import { getISOWeek } from "date-fns";
import { ChevronLeft, ChevronRight } from "lucide-react";
import Link from "next/link";
import { useMemo, useState } from "react";
import type { HouseRounds } from "@/core/due-work";
import { Notice } from "@/ui/notice";
import { Page } from "@/ui/page";
import { useFigures } from "@/ui/use-figures";
import { DayList } from "./day-list";
import { useRounds } from "./use-rounds";
import { WeekGrid } from "./week-grid";
import { weekOf } from "./week-of";
import { NoRoom, WorkCard } from "./work-card";
import { YearBars } from "./year-bars";

const SAYS = "Who does what when: planned from what rings, how long it takes, and who is on shift.";

/** The quarter, planned by computation: hours by week, a week by crews and days, and why each is where it is. */
export function RoundsScreen() {
  const { state, again } = useRounds();
  switch (state.kind) {
    case "planning":
      return (
        <Page title="Rounds" says={SAYS}>
          <Notice tone="wait" live>
            Planning the quarter: every job is compiled for its minutes, then weeks and days are searched. A
            few seconds.
          </Notice>
        </Page>
      );
    case "none":
      return (
        <Page title="Rounds" says={SAYS}>
          {state.problems.map(({ message }) => (
            <Notice key={message} tone="stop" live>
              {message}
            </Notice>
          ))}
          <p className="flex flex-wrap gap-3">
            <Link href="/loft/house" className="btn btn-quiet min-h-12">
              The house
            </Link>
            <Link href="/crew" className="btn btn-quiet min-h-12">
              Crew
            </Link>
            <button type="button" className="btn btn-quiet min-h-12" onClick={again}>
              Plan again
            </button>
          </p>
        </Page>
      );
    case "planned":
      return <Planned rounds={state.rounds} again={again} />;
  }
}

function Planned({ rounds, again }: { rounds: HouseRounds; again: () => void }) {
  const [at, setAt] = useState(0);
  const [chosen, setChosen] = useState<string>();
  const { fixed } = useFigures();
  const from = rounds.weeks[at]!.from;
  const week = useMemo(() => weekOf(rounds, from), [rounds, from]);
  const work = chosen === undefined ? undefined : rounds.works[chosen];
  const card = work && <WorkCard rounds={rounds} work={work} />;
  const above = rounds.bound > 0 ? (100 * (rounds.cost.total - rounds.bound)) / rounds.bound : 0;
  const turn = (by: number) => setAt(Math.min(rounds.weeks.length - 1, Math.max(0, at + by)));
  return (
    <div className="mx-auto flex max-w-[1240px] flex-col gap-3 px-4 py-4 md:px-5">
      <header className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1 className="font-bold text-title">Week {getISOWeek(from)}</h1>
        <p className="text-soft">
          {week.jobs} {week.jobs === 1 ? "job" : "jobs"} ·{" "}
          {week.late === 0 ? "none late" : `${week.late} late`} · {fixed(week.km, 0)} km
        </p>
        <p className="text-note text-soft">
          {above < 0.05
            ? "no plan in weeks costs less"
            : `in weeks within ${fixed(above, 1)} % of the best there can be`}
        </p>
        <div className="no-print ml-auto flex gap-2">
          <button
            type="button"
            className="btn btn-quiet min-h-12 min-w-12"
            aria-label="The week before"
            disabled={at === 0}
            onClick={() => turn(-1)}
          >
            <ChevronLeft size={20} aria-hidden />
          </button>
          <button
            type="button"
            className="btn btn-quiet min-h-12 min-w-12"
            aria-label="The week after"
            disabled={at === rounds.weeks.length - 1}
            onClick={() => turn(1)}
          >
            <ChevronRight size={20} aria-hidden />
          </button>
          <button type="button" className="btn btn-quiet min-h-12" onClick={again}>
            Plan again
          </button>
        </div>
      </header>
      <YearBars rounds={rounds} week={at} onWeek={setAt} />
      <div className="grid grid-cols-1 gap-3 lg:grid-cols-[1fr_300px]">
        <div className="hidden min-w-0 md:block">
          <WeekGrid week={week} rounds={rounds} works={rounds.works} chosen={chosen} onChoose={setChosen} />
        </div>
        <div className="md:hidden">
          <DayList week={week} works={rounds.works} chosen={chosen} onChoose={setChosen} card={card} />
        </div>
        <div className="flex flex-col gap-3" aria-live="polite">
          <div className="hidden md:block">{card}</div>
          <NoRoom rounds={rounds} />
        </div>
      </div>
    </div>
  );
}
