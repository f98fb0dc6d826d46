"use client";

import Link from "next/link";
import { useMemo, useState } from "react";
import type { HouseRounds } from "@/core/due-work";
import { Notice } from "@/ui/notice";
import { Page } from "@/ui/page";
import { useSpeaker } from "@/ui/use-speaker";
import { Consequence } from "./consequence";
import { DayList } from "./day-list";
import { DragWeek } from "./drag-week";
import { Changes } from "./plan-state";
import { TakeOut } from "./take-out";
import { usePlan } from "./use-plan";
import { useRounds } from "./use-rounds";
import { WeekGrid } from "./week-grid";
import { WeekHead } from "./week-head";
import { NO_MOVES, readHouse, weekMoves } from "./week-moves";
import { weekOf } from "./week-of";
import { WhatIfPanel } from "./what-if";
import { NoRoom, WorkCard } from "./work-card";
import { YearBars } from "./year-bars";

const SAYS = "Who does what when: planned from what rings, how long it takes, and who is on shift.";

/** The quarter, planned by computation: hours by week, a week by crews and days, and why each is where it is. */
export function RoundsScreen({
  feedKey,
  places,
}: {
  feedKey: string | undefined;
  places: readonly string[];
}) {
  const { state, reload } = useRounds();
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
            <button type="button" className="btn btn-quiet min-h-12" onClick={() => void reload()}>
              Plan again
            </button>
          </p>
        </Page>
      );
    case "planned":
      return <Planned rounds={state.rounds} reload={reload} feedKey={feedKey} places={places} />;
  }
}

function Planned({
  rounds,
  reload,
  feedKey,
  places,
}: {
  rounds: HouseRounds;
  reload: () => Promise<void>;
  feedKey: string | undefined;
  /** That have a spot on the map. */
  places: readonly string[];
}) {
  const [at, setAt] = useState(0);
  const [chosen, setChosen] = useState<string>();
  const plan = usePlan(reload);
  const speaker = useSpeaker();
  const week = rounds.weeks[at]!;
  const drawn = useMemo(() => weekOf(rounds, week.from), [rounds, week.from]);
  const asked = useMemo(() => readHouse(rounds), [rounds]);
  const moves = useMemo(
    () => (asked === undefined ? NO_MOVES : weekMoves(speaker, asked, rounds, week.from)),
    [asked, speaker, rounds, week.from],
  );
  const work = chosen === undefined ? undefined : rounds.works[chosen];
  const card = work && <WorkCard rounds={rounds} work={work} moves={moves} plan={plan} />;
  const fixed = useMemo(() => new Set(week.fixed), [week.fixed]);
  const choice = { works: rounds.works, chosen, onChoose: setChosen };
  const changed = week.published?.changed.filter(({ was }) => was !== undefined) ?? [];
  return (
    <div className="mx-auto flex max-w-[1240px] flex-col gap-3 px-4 py-4 md:px-5">
      <WeekHead rounds={rounds} week={drawn} at={at} onWeek={setAt} plan={plan} />
      {plan.problems.map(({ message }) => (
        <Notice key={message} tone="stop" live>
          {message}
        </Notice>
      ))}
      <YearBars rounds={rounds} week={at} onWeek={setAt} />
      <DragWeek moves={moves} onDrop={plan.move}>
        {(drag) => (
          <div className="grid grid-cols-1 gap-3 lg:grid-cols-[1fr_300px]">
            <div className="hidden min-w-0 md:block">
              <WeekGrid week={drawn} rounds={rounds} fixed={fixed} drag={drag} {...choice} />
            </div>
            <div className="md:hidden">
              <DayList week={drawn} card={card} {...choice} />
            </div>
            <div className="flex flex-col gap-3" aria-live="polite">
              {drag === undefined ? (
                <div className="hidden md:block">{card}</div>
              ) : (
                <div className="flex flex-col gap-3 lg:sticky lg:top-3">
                  <Consequence drag={drag} />
                </div>
              )}
              {plan.moved && <Changes title="What planning again moved" changes={plan.moved} />}
              <Changes title="Other than it was published" changes={week.published?.since ?? []} />
              <Changes title="Changed when it was published" changes={changed} />
              <NoRoom rounds={rounds} chosen={chosen} onChoose={setChosen} card={card} />
              <WhatIfPanel rounds={rounds} places={places} />
              <TakeOut rounds={rounds} week={week.id} feedKey={feedKey} />
            </div>
          </div>
        )}
      </DragWeek>
    </div>
  );
}
