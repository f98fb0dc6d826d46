"use client";

import clsx from "clsx";
import Link from "next/link";
import type { ReactNode } from "react";
import type { HouseRounds, RoundsWork } from "@/core/due-work";
import { formatDuration } from "@/core/quantity";
import { Panel } from "@/ui/page";
import { Plate } from "@/ui/plate";
import { useSpeaker } from "@/ui/use-speaker";
import { Day } from "@/ui/when";
import { apartWords, savesWords } from "@/words";
import { DragButton } from "./drag-button";
import { HowLongIt } from "./how-long";
import { MoveTo } from "./move-to";
import type { Plan } from "./use-plan";
import type { WeekMoves } from "./week-moves";

const DAY_MS = 86_400_000;

/** One piece of work: what it is, why then, why they, what it would cost otherwise. */
export function WorkCard({
  rounds,
  work,
  moves,
  plan,
}: {
  rounds: HouseRounds;
  work: RoundsWork;
  moves: WeekMoves;
  plan: Plan;
}) {
  const shift = rounds.shifts.find(({ visits }) => visits.some(({ task }) => task === work.tag));
  const visits = shift?.visits.filter(({ task }) => task === work.tag) ?? [];
  const ends = visits.at(-1);
  const speaker = useSpeaker();
  const taken = shift && work.long.by[shift.crew];
  const joint = rounds.joint.find(({ tags }) => tags.includes(work.tag));
  // What is in no shift is as late as it is by now.
  const late = ((ends === undefined ? rounds.at : Date.parse(ends.to)) - work.due) / DAY_MS;
  return (
    <section className="card border-l-[6px] border-l-brass-line p-4" aria-label={`${work.tag}: why so`}>
      <div className="flex items-center gap-3">
        <Plate id={work.tag} href={`/valves/${encodeURIComponent(work.tag)}`} />
        <span className="text-note text-soft">
          {formatDuration(Math.round(taken?.half ?? work.minutes) * 60)}
        </span>
      </div>
      <h2 className="mt-1 font-semibold text-lead leading-snug">{work.what}</h2>
      <p className="text-note text-soft">
        {work.name}; {work.place}
      </p>
      <dl className="dashed mt-3 [&>div]:py-2">
        <div>
          <dt className="caption">Why then</dt>
          <dd>
            Due <Day at={work.due} />.{" "}
            {late > 0 ? (
              <strong className="text-stop">
                {Math.ceil(late)} {Math.ceil(late) === 1 ? "day" : "days"} late.
              </strong>
            ) : (
              ends !== undefined && "In time."
            )}{" "}
            <span className="text-soft">{work.why}</span>
          </dd>
        </div>
        <div>
          <dt className="caption">Why they</dt>
          <dd>
            {shift?.crew ?? "Nobody yet"}.{" "}
            {work.needs.length > 0 ? `It needs ${work.needs.join(", ")}. ` : "Any crew may. "}
            {work.people > 1 && `${work.people} people.`}
          </dd>
        </div>
        <HowLongIt long={work.long} crew={shift?.crew} />
        {work.job !== undefined && (
          <div>
            <dt className="caption">The job</dt>
            <dd>
              <Link
                className="inline-block min-h-11 content-center underline underline-offset-4"
                href={`/jobs/${encodeURIComponent(work.job)}`}
              >
                Go on with {work.tag}
              </Link>
            </dd>
          </div>
        )}
        {joint !== undefined && (
          <div>
            <dt className="caption">Shut off once</dt>
            <dd>
              With {joint.tags.filter((tag) => tag !== work.tag).join(", ")}, where one crew does them on one
              day. <span className="text-soft">{savesWords(speaker, joint.saves)}</span>
            </dd>
          </div>
        )}
        {work.apart.length > 0 && (
          <div>
            <dt className="caption">Never out with</dt>
            {work.apart.map(({ tag, because }) => (
              <dd key={tag}>
                {tag}: {apartWords(speaker, because)}
              </dd>
            ))}
          </div>
        )}
        {work.lost.length > 0 && (
          <div>
            <dt className="caption">Without service meanwhile</dt>
            <dd>{work.lost.join(", ")}</dd>
          </div>
        )}
        {work.nowhere && (
          <div>
            <dt className="caption">The way</dt>
            <dd>
              Where it stands is not known, so its way is not counted. Give it or its place a position:{" "}
              <Link
                className="underline underline-offset-4"
                href={`/valves/${encodeURIComponent(work.tag)}/edit`}
              >
                edit {work.tag}
              </Link>
            </dd>
          </div>
        )}
      </dl>
      <MoveTo rounds={rounds} tag={work.tag} shift={shift} moves={moves} plan={plan} />
    </section>
  );
}

/** What found no place, and what would make room. */
export function NoRoom({
  rounds,
  chosen,
  onChoose,
  card,
}: {
  rounds: HouseRounds;
  chosen: string | undefined;
  onChoose: (tag: string) => void;
  /** Of the one that is chosen: in the hand it opens below it. */
  card: ReactNode;
}) {
  const { unplaced, works, not } = rounds;
  const atWork = not.filter(({ kind }) => kind === "at-work").map(({ tag }) => tag);
  const noJob = not.filter(({ kind }) => kind === "no-job").map(({ tag }) => tag);
  return (
    <Panel title="No room this quarter">
      {unplaced.length === 0 ? (
        <p className="text-soft">All that rings has its place.</p>
      ) : (
        <ul className="dashed">
          {unplaced.map(({ task, says }) => (
            <li key={task} className="py-2">
              <DragButton
                tag={task}
                on={chosen === task}
                label={`${task}, in no shift`}
                onChoose={() => onChoose(task)}
                className={clsx(
                  "plate min-h-12 border-ink px-3",
                  chosen === task ? "bg-brass-bg" : "bg-card",
                )}
              >
                {task}
              </DragButton>
              <span className="ml-2">{works[task]?.what}</span>
              {says.map((each) => (
                <p key={each} className="text-note text-soft leading-snug">
                  {each}
                </p>
              ))}
              {chosen === task && <div className="mt-2 md:hidden">{card}</div>}
            </li>
          ))}
        </ul>
      )}
      {atWork.length > 0 && (
        <p className="mt-2 text-note">At work already, so not planned: {atWork.join(", ")}.</p>
      )}
      {noJob.length > 0 && (
        <p className="mt-2 text-note">
          No job can be compiled, so not planned: {noJob.join(", ")}. Start one by hand to see why.
        </p>
      )}
    </Panel>
  );
}
