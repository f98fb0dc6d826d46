"use client";

import { siOf, wordsOf } from "@/core/calculators";
import { useFigures } from "@/ui/use-figures";
import { round } from "../../draw/round";
import type { PictureProps } from "./props";

const W = 720;
const BAR = { left: 130, most: 470 };

/** Two bars to compare, and below them what the answer hangs on, the widest swing first. */
export function CostPicture({ answer }: PictureProps) {
  const { digits } = useFigures();
  const bars = [
    { name: "put it back", cost: siOf(answer.outputs, "reuse"), fill: "var(--ink-brine)" },
    { name: "renew it", cost: siOf(answer.outputs, "renew"), fill: "var(--ink-done)" },
  ];
  const most = Math.max(...bars.map((bar) => bar.cost), 1e-9);
  const here = bars[0]!.cost - bars[1]!.cost;
  const swings = (answer.tables.sensitivity ?? [])
    .map((row) => ({ what: wordsOf(row, "what"), less: siOf(row, "less"), more: siOf(row, "more") }))
    .sort((a, b) => Math.abs(b.more - b.less) - Math.abs(a.more - a.less));
  const ends = [0, here, ...swings.flatMap(({ less, more }) => [less, more])];
  const [low, high] = [Math.min(...ends), Math.max(...ends)];
  const x = (gain: number) => round(230 + ((gain - low) / (high - low || 1)) * 450);
  return (
    <figure>
      <figcaption className="caption">Expected cost to the next visit, ¤</figcaption>
      <svg
        viewBox={`0 0 ${W} ${190 + swings.length * 30}`}
        className="w-full"
        role="img"
        aria-label={bars.map((bar) => `${bar.name} ${digits(bar.cost)}`).join(", ")}
      >
        {bars.map((bar, index) => (
          <g key={bar.name} transform={`translate(0 ${8 + index * 46})`}>
            <text x={0} y={25} fontSize={18} fill="var(--ink)">
              {bar.name}
            </text>
            <rect
              x={BAR.left}
              y={4}
              width={round((bar.cost / most) * BAR.most)}
              height={32}
              fill={bar.fill}
              stroke="var(--ink)"
              strokeWidth={1.4}
            />
            <text
              x={round(BAR.left + (bar.cost / most) * BAR.most + 10)}
              y={28}
              className="plate"
              fontSize={22}
              fill="var(--ink)"
            >
              {digits(bar.cost)}
            </text>
          </g>
        ))}
        <text x={0} y={134} fontSize={15} fill="var(--soft)">
          Saved by renewing, when one thing is 30 % less (hollow) or more (filled):
        </text>
        <path d={`M${x(0)} 146V${158 + swings.length * 30}`} stroke="var(--ink)" strokeWidth={2.5} />
        <path
          d={`M${x(here)} 146V${158 + swings.length * 30}`}
          stroke="var(--brass)"
          strokeWidth={2}
          strokeDasharray="5 4"
        />
        {swings.map(({ what, less, more }, index) => (
          <g key={what} transform={`translate(0 ${150 + index * 30})`}>
            <text x={0} y={18} fontSize={16} fill="var(--ink)">
              {what}
            </text>
            <path d={`M${x(less)} 13H${x(more)}`} stroke="var(--soft)" strokeWidth={9} />
            <circle cx={x(less)} cy={13} r={8} fill="var(--card)" stroke="var(--ink)" strokeWidth={2.4} />
            <circle cx={x(more)} cy={13} r={8} fill="var(--ink)" />
          </g>
        ))}
        <text x={x(0)} y={180 + swings.length * 30} textAnchor="middle" fontSize={15} fill="var(--soft)">
          even
        </text>
        {Math.abs(x(here) - x(0)) > 70 && (
          <text
            x={x(here)}
            y={180 + swings.length * 30}
            textAnchor="middle"
            className="plate"
            fontSize={16}
            fill="var(--brass)"
          >
            {`now ${digits(here)}`}
          </text>
        )}
      </svg>
    </figure>
  );
}
