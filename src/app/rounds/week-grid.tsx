"use client";

import clsx from "clsx";
import { format } from "date-fns";
import type { HouseRounds } from "@/core/due-work";
import type { Block, CrewDay, Week } from "./week-of";

/** px of an hour, and the least that can be read and touched with a mouse. */
const HOUR_PX = 30;
const LEAST_PX = 19;
const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

interface Chosen {
  readonly works: HouseRounds["works"];
  readonly chosen: string | undefined;
  readonly onChoose: (tag: string) => void;
}

/** Crews by days: each piece of work as long as it takes, at its hour; what stands meanwhile is hatched. */
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
      {days.map((day, at) => (
        <div
          key={week.days[at]}
          className="relative my-2 rounded-sm border-rule border-l-[1.5px]"
          style={{ height: high }}
        >
          {day === undefined ? (
            <p className="p-2 text-note text-soft">
              {week.days[at]! + DAY_MS <= rounds.at ? "past" : "nothing"}
            </p>
          ) : (
            <DayColumn day={day} midnight={week.days[at]!} first={week.hours.first} {...chosen} />
          )}
        </div>
      ))}
      <span className="sr-only">end of {id}</span>
    </>
  );
}

function DayColumn({
  day,
  midnight,
  first,
  works,
  chosen,
  onChoose,
}: Chosen & { day: CrewDay; midnight: number; first: number }) {
  const y = (ms: number) => ((ms - midnight) / HOUR_MS - first) * HOUR_PX;
  const over = day.back > day.to;
  return (
    <>
      {day.blocks.map((block) => (
        <BlockButton
          key={block.tag}
          block={block}
          y={y}
          work={works[block.tag]}
          on={chosen === block.tag}
          onChoose={() => onChoose(block.tag)}
        />
      ))}
      <p
        className={clsx(
          "absolute left-1 whitespace-nowrap text-fine",
          over ? "font-semibold text-stop" : "text-soft",
        )}
        style={{ top: y(day.back) + 2 }}
      >
        back {format(day.back, "HH:mm")}
        {over && ", over"}
      </p>
    </>
  );
}

function BlockButton({
  block,
  y,
  work,
  on,
  onChoose,
}: {
  block: Block;
  y: (ms: number) => number;
  work: HouseRounds["works"][string] | undefined;
  on: boolean;
  onChoose: () => void;
}) {
  const { from } = block.parts[0]!;
  const { to } = block.parts.at(-1)!;
  const top = y(from);
  const height = Math.max(LEAST_PX, y(to) - top - 2);
  const late = block.lateMin > 0;
  return (
    <button
      type="button"
      aria-pressed={on}
      aria-label={`${block.tag}, ${work?.what ?? ""}, ${format(from, "EEEE HH:mm")} to ${format(to, "HH:mm")}${late ? ", late" : ""}`}
      onClick={onChoose}
      className={clsx(
        "absolute flex flex-col items-stretch overflow-hidden rounded-[5px] border-[1.5px] px-1 text-left leading-tight",
        on
          ? "z-10 border-[2.5px] border-ink bg-brass-bg"
          : late
            ? "border-stop bg-card"
            : "border-ink bg-card",
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
        {block.tag}
        {late && block.lanes === 1 && <span className="text-stop"> late</span>}
      </span>
      {height > 44 && (
        <span className="relative line-clamp-2 text-fine text-soft leading-tight">{work?.what}</span>
      )}
    </button>
  );
}
