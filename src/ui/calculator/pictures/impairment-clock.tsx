"use client";

import { siOf } from "@/core/calculators";
import { formatDuration, unit } from "@/core/quantity";
import { useFigures } from "@/ui/use-figures";
import { onCircle } from "../../draw/round";
import type { PictureProps } from "./props";

const DAY = 86_400;
const [C, R] = [150, 118];

const arc = (from: number, to: number, radius: number): string => {
  const angle = (seconds: number) => -Math.PI / 2 + (Math.min(seconds, DAY * 0.9999) / DAY) * 2 * Math.PI;
  return `M${onCircle(C, C, radius, angle(from))}A${radius} ${radius} 0 ${to - from > DAY / 2 ? 1 : 0} 1 ${onCircle(C, C, radius, angle(to))}`;
};

/** A day's round: how much of it the protection has been out, and where the fire watch begins. */
export function ImpairmentPicture({ form, answer }: PictureProps) {
  const { inUnit } = useFigures();
  const out = siOf(answer.outputs, "out");
  const watch = form.si("watch") ?? 10 * 3600;
  const late = out >= watch;
  const mark = -Math.PI / 2 + (Math.min(watch, DAY) / DAY) * 2 * Math.PI;
  return (
    <figure className="grid items-center gap-4 sm:grid-cols-[300px_1fr]">
      <svg
        viewBox="0 0 300 300"
        className="w-full max-w-[300px]"
        role="img"
        aria-label={`Out for ${formatDuration(out)}, fire watch after ${formatDuration(watch)}`}
      >
        <circle cx={C} cy={C} r={R} fill="none" stroke="var(--sunk)" strokeWidth={30} />
        <path d={arc(0, Math.min(out, watch), R)} fill="none" stroke="var(--wait)" strokeWidth={30} />
        {late && (
          <path
            d={arc(Math.min(watch, DAY), Math.min(out, DAY), R)}
            fill="none"
            stroke="var(--stop)"
            strokeWidth={30}
            strokeDasharray="9 4"
          />
        )}
        <path
          d={`M${onCircle(C, C, R - 24, mark)}L${onCircle(C, C, R + 24, mark)}`}
          stroke="var(--ink)"
          strokeWidth={5}
        />
        {Array.from({ length: 24 }, (_, hour) => {
          const angle = -Math.PI / 2 + (hour / 24) * 2 * Math.PI;
          return (
            <path
              key={hour}
              d={`M${onCircle(C, C, R - 17, angle)}L${onCircle(C, C, R - (hour % 6 === 0 ? 30 : 22), angle)}`}
              stroke="var(--soft)"
              strokeWidth={hour % 6 === 0 ? 3 : 1.5}
            />
          );
        })}
        <text
          x={C}
          y={C + 4}
          textAnchor="middle"
          className="plate"
          fontSize={42}
          fill={late ? "var(--stop)" : "var(--ink)"}
        >
          {inUnit(out, unit("h"))}
        </text>
        <text x={C} y={C + 30} textAnchor="middle" fontSize={16} fill="var(--soft)">
          out of service
        </text>
      </svg>
      <p className="text-lead">
        {late ? (
          <b className="text-stop">The fire watch has been due for {formatDuration(out - watch)}.</b>
        ) : (
          <>
            Fire watch in <b className="plate text-title">{formatDuration(watch - out)}</b>, at the thick
            mark.
          </>
        )}
      </p>
    </figure>
  );
}
