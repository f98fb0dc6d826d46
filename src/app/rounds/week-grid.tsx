"use client";

import { useDroppable } from "@dnd-kit/core";
import clsx from "clsx";
import { format } from "date-fns";
import { Pin } from "lucide-react";
import Link from "next/link";
import type { ReactNode } from "react";
import type { HouseRounds } from "@/core/due-work";
import { DragButton } from "./drag-button";
import { cellId, type Drag } from "./drag-week";
import type { Outlook } from "./week-moves";
import { type Block, type CrewDay, dayHref, type Week } from "./week-of";

/** px of an hour, and the least that can be read and touched with a mouse. */
const HOUR_PX = 30;
const LEAST_PX = 19;
const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

interface Chosen {
  readonly works: HouseRounds["works"];
  readonly fixed: ReadonlySet<string>;
  readonly chosen: string | undefined;
  readonly onChoose: (tag: string) => void;
  readonly drag: Drag | undefined;
}

/**
 * Crews by days: each piece of work as long as it takes, at its hour; what stands meanwhile is hatched. While one is
 * dragged, each shift shows whether it can have it, and the one below it where it would lie.
 */
export function WeekGrid({ week, rounds, ...chosen }: Chosen & { week: Week; rounds: HouseRounds }) {
  const { first, last } = week.hours;
  const high = (last - first) * HOUR_PX;
  return (
    <div className="card overflow-x-auto p-3">
      <div
        className="grid min-w-[720px] gap-x-1.5"
        style={{ gridTemplateColumns: `96px repeat(${week.days.length}, minmax(112px, 1fr))` }}
      >
        <span />
        {week.days.map((day) => (
          <h2 key={day} className="plate border-rule border-b-[1.5px] pb-1 pl-1 text-lead">
            {format(day, "EEE d")}
          </h2>
        ))}
        {week.crews.map(({ id, days }) => (
          <CrewRow key={id} id={id} days={days} week={week} rounds={rounds} high={high} {...chosen} />
        ))}
      </div>
    </div>
  );
}

function CrewRow({
  id,
  days,
  week,
  rounds,
  high,
  ...chosen
}: Chosen & {
  id: string;
  days: readonly (CrewDay | undefined)[];
  week: Week;
  rounds: HouseRounds;
  high: number;
}) {
  const crew = rounds.crews.find((each) => each.id === id);
  return (
    <>
      <div className="border-rule border-b-[1.5px] py-2 pr-1">
        <h3 className="plate text-lead leading-tight">{id}</h3>
        <p className="text-note text-soft leading-snug">{crew?.skills.join(", ")}</p>
      </div>
      {days.map((day, at) => {
        const midnight = week.days[at]!;
        const cell = cellId({ crew: id, day: midnight });
        return (
          <Cell
            key={midnight}
            id={cell}
            high={high}
            drag={chosen.drag}
            midnight={midnight}
            first={week.hours.first}
          >
            {day === undefined ? (
              <p className="absolute bottom-1 left-1 text-note text-soft">
                {midnight + DAY_MS <= rounds.at ? "past" : "nothing"}
              </p>
            ) : (
              <DayColumn crew={id} day={day} midnight={midnight} first={week.hours.first} {...chosen} />
            )}
          </Cell>
        );
      })}
      <span className="sr-only">end of {id}</span>
    </>
  );
}

const yOf = (ms: number, midnight: number, first: number) => ((ms - midnight) / HOUR_MS - first) * HOUR_PX;

/** One shift: what is dragged can be put down here. */
function Cell({
  id,
  high,
  drag,
  midnight,
  first,
  children,
}: {
  id: string;
  high: number;
  drag: Drag | undefined;
  midnight: number;
  first: number;
  children: ReactNode;
}) {
  const outlook = drag?.outlooks.find(({ target }) => cellId(target) === id);
  const { setNodeRef } = useDroppable({ id, disabled: drag !== undefined && outlook === undefined });
  const isOver = drag?.over !== undefined && drag.over === outlook;
  return (
    <div
      ref={setNodeRef}
      className={clsx(
        "relative my-2 rounded-sm border-rule border-l-[1.5px]",
        outlook !== undefined &&
          (outlook.at === undefined
            ? "bg-[repeating-linear-gradient(115deg,var(--stop-bg)_0_6px,transparent_6px_12px)]"
            : "bg-go-bg"),
        isOver && (outlook?.at === undefined ? "outline-2 outline-stop" : "outline-2 outline-go"),
      )}
      style={{ height: high }}
    >
      {children}
      {isOver && outlook !== undefined && <Landing outlook={outlook} y={(ms) => yOf(ms, midnight, first)} />}
    </div>
  );
}

/** Where it would lie. */
function Landing({ outlook: { at }, y }: { outlook: Outlook; y: (ms: number) => number }) {
  if (at === undefined) return null;
  return (
    <p
      className="pointer-events-none absolute inset-x-0.5 z-20 rounded-[5px] border-[2.5px] border-go border-dashed bg-card/85 px-1 text-fine"
      style={{ top: y(at.from), height: Math.max(LEAST_PX, y(at.to) - y(at.from)) }}
    >
      {format(at.from, "HH:mm")}
    </p>
  );
}

function DayColumn({
  crew,
  day,
  midnight,
  first,
  works,
  fixed,
  chosen,
  onChoose,
  drag,
}: Chosen & { crew: string; day: CrewDay; midnight: number; first: number }) {
  const y = (ms: number) => yOf(ms, midnight, first);
  const over = day.back > day.to;
  return (
    <>
      {day.blocks.map((block) => (
        <BlockButton
          key={block.tag}
          block={block}
          y={y}
          work={works[block.tag]}
          fixed={fixed.has(block.tag)}
          against={drag?.over?.against.includes(block.tag) === true}
          on={chosen === block.tag}
          onChoose={() => onChoose(block.tag)}
        />
      ))}
      <Link
        href={dayHref(crew, day.from)}
        className={clsx(
          "absolute left-1 min-h-6 whitespace-nowrap text-fine underline underline-offset-4",
          over ? "font-semibold text-stop" : "text-soft",
        )}
        style={{ top: Math.max(y(day.back), ...day.blocks.map((block) => bottomOf(block, y))) + 2 }}
      >
        back {format(day.back, "HH:mm")}
        {over && ", over"}
        <span className="sr-only">: the day of {crew}</span>
      </Link>
    </>
  );
}

/** A short one is drawn higher than it takes. */
const bottomOf = ({ parts }: Block, y: (ms: number) => number): number =>
  Math.max(y(parts[0]!.from) + LEAST_PX, y(parts.at(-1)!.to) - 2);

function BlockButton({
  block,
  y,
  work,
  fixed,
  against,
  on,
  onChoose,
}: {
  block: Block;
  y: (ms: number) => number;
  work: HouseRounds["works"][string] | undefined;
  /** Put by hand. */
  fixed: boolean;
  /** It stands in the way of what is dragged. */
  against: boolean;
  on: boolean;
  onChoose: () => void;
}) {
  const { from } = block.parts[0]!;
  const { to } = block.parts.at(-1)!;
  const top = y(from);
  const height = bottomOf(block, y) - top;
  const late = block.lateMin > 0;
  return (
    <DragButton
      tag={block.tag}
      on={on}
      label={`${block.tag}, ${work?.what ?? ""}, ${format(from, "EEEE HH:mm")} to ${format(to, "HH:mm")}${late ? ", late" : ""}${fixed ? ", put by hand" : ""}`}
      onChoose={onChoose}
      className={clsx(
        "absolute flex flex-col items-stretch overflow-hidden px-1 text-left leading-tight",
        on
          ? "z-10 border-[2.5px] border-ink bg-brass-bg"
          : late || against
            ? "border-stop bg-card"
            : "border-ink bg-card",
        against && "outline-2 outline-stop",
      )}
      style={{
        top,
        height,
        left: `${(100 * block.lane) / block.lanes + 1.5}%`,
        width: `${100 / block.lanes - 3}%`,
      }}
    >
      {block.parts.slice(1).map((part, at) => {
        const stood = block.parts[at]!.to;
        return (
          <span
            key={part.stretch}
            aria-hidden
            className="absolute inset-x-0 bg-[repeating-linear-gradient(115deg,var(--wait-bg)_0_7px,var(--card)_7px_10px)]"
            style={{ top: y(stood) - top, height: y(part.from) - y(stood) }}
          />
        );
      })}
      <span className={clsx("plate relative truncate", block.lanes > 1 ? "text-fine" : "text-note")}>
        {fixed && <Pin size={12} aria-hidden className="mr-0.5 inline align-[-1px]" />}
        {block.tag}
        {late && block.lanes === 1 && <span className="text-stop"> late</span>}
      </span>
      {height > 44 && (
        <span className="relative line-clamp-2 text-fine text-soft leading-tight">{work?.what}</span>
      )}
    </DragButton>
  );
}
