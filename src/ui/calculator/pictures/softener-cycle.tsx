"use client";

import { siOf, wordsOf } from "@/core/calculators";
import { unit } from "@/core/quantity";
import { useFigures } from "@/ui/use-figures";
import { round } from "../../draw/round";
import type { PictureProps } from "./props";

const W = 720;
const LOOK: Readonly<Record<string, { readonly fill: string; readonly ink: string }>> = {
  backwash: { fill: "var(--ink-water-light)", ink: "var(--ink-on-water)" },
  "brine draw": { fill: "var(--ink-brine)", ink: "var(--ink-line)" },
  "slow rinse": { fill: "var(--ink-brine-pale)", ink: "var(--ink-line)" },
  "fast rinse": { fill: "var(--ink-water-pale)", ink: "var(--ink-on-water)" },
  refill: { fill: "var(--ink-done)", ink: "var(--ink-white)" },
};

/** The cycle as a line of time, each phase as long as it lasts, with the way the water goes through the bed. */
export function SoftenerCyclePicture({ answer, system }: PictureProps) {
  const { inUnit } = useFigures();
  const phases = answer.tables.phases ?? [];
  const whole = siOf(answer.outputs, "whole");
  const flow = unit(system === "us" ? "US gpm" : "L/min");
  const x = (seconds: number) => round(10 + (seconds / whole) * (W - 20));
  const narrow = phases.filter((row) => (siOf(row, "minutes") / whole) * (W - 20) < 92);
  return (
    <figure>
      <figcaption className="caption">The cycle, {inUnit(whole, unit("min"))} in all</figcaption>
      <svg
        viewBox={`0 0 ${W} ${136 + Math.max(0, narrow.length - 1) * 44}`}
        className="w-full"
        role="img"
        aria-label={phases
          .map((row) => `${wordsOf(row, "phase")} ${inUnit(siOf(row, "minutes"), unit("min"))}`)
          .join(", ")}
      >
        {phases.map((row) => {
          const [starts, lasts, name] = [siOf(row, "starts"), siOf(row, "minutes"), wordsOf(row, "phase")];
          const [left, width] = [x(starts), x(starts + lasts) - x(starts)];
          const look = LOOK[name]!;
          const up = name === "backwash";
          // A narrow phase has its words under the bar, those of neighbours on lines of their own.
          const under = width < 92;
          const middle = left + width / 2;
          const at = Math.min(Math.max(middle, 78), W - 78);
          const line = under ? 112 + narrow.indexOf(row) * 44 : 108;
          const times = `${inUnit(lasts, unit("min"))}`;
          return (
            <g key={name}>
              <rect
                x={left}
                y={14}
                width={Math.max(width, 2)}
                height={74}
                fill={look.fill}
                stroke="var(--ink)"
                strokeWidth={1.4}
              />
              {width > 26 && (
                <path
                  d={up ? `M${middle} 80v-24m-7 9l7 -9l7 9` : `M${middle} 56v24m-7 -9l7 9l7 -9`}
                  fill="none"
                  stroke={look.ink}
                  strokeWidth={2.5}
                />
              )}
              {under ? (
                <path d={`M${middle} 88V${line - 16}`} stroke="var(--soft)" strokeWidth={1.2} />
              ) : (
                <text x={middle} y={42} textAnchor="middle" fontSize={16} fontWeight={600} fill={look.ink}>
                  {name}
                </text>
              )}
              <text x={at} y={line} textAnchor="middle" fontSize={16} fill="var(--ink)">
                {under ? `${name}, ` : ""}
                <tspan className="plate">{times}</tspan>
              </text>
              <text
                x={at}
                y={line + 18}
                textAnchor="middle"
                className="plate"
                fontSize={15}
                fill="var(--soft)"
              >
                {inUnit(siOf(row, "flow"), flow)}
              </text>
            </g>
          );
        })}
      </svg>
      <p className="px-2 text-note text-soft">
        Arrow up: water lifts the bed and goes to the drain. Arrow down: through the bed, or into the brine
        tank.
      </p>
    </figure>
  );
}
