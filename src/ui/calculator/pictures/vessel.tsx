"use client";

import { type Head, headDepth, vesselHeight } from "@/core/physics";
import { unit } from "@/core/quantity";
import { useFigures } from "@/ui/use-figures";
import { round } from "../../draw/round";
import type { PictureProps } from "./props";

const [W, H] = [700, 280];
const MARGIN = 26;
const NAMES = 130;

/** The vessel from the side, to scale, filled up to its level. */
export function VesselPicture({ form, system }: PictureProps) {
  const { inUnit } = useFigures();
  const [diameter, straight, level, down] = ["diameter", "straight", "level", "down"].map(form.si);
  if (diameter === undefined || straight === undefined) return null;
  const vessel = { radius: diameter / 2, straight, head: form.choice("head") as Head };
  const lying = form.choice("way") === "lying";
  const depth = headDepth(vessel);
  const over = straight + 2 * depth;
  const [wide, high] = lying ? [over, diameter] : [diameter, over];
  const scale = Math.min((W - 2 * MARGIN - NAMES) / wide, (H - 2 * MARGIN) / high);
  const [w, h, d] = [wide, high, depth].map((each) => each * scale) as [number, number, number];
  const [x, y] = [(W - NAMES - w) / 2, (H - h) / 2];
  const [r, s] = [vessel.radius * scale, straight * scale];
  const outline = lying
    ? `M${x + d} ${y}h${s}a${d} ${r} 0 0 1 0 ${2 * r}h${-s}a${d} ${r} 0 0 1 0 ${-2 * r}z`
    : `M${x} ${y + d}a${r} ${d} 0 0 1 ${2 * r} 0v${s}a${r} ${d} 0 0 1 ${-2 * r} 0z`;
  const atLevel = (si: number) => round(y + h - (si / vesselHeight(vessel, lying)) * h);
  const length = unit(system === "us" ? "ft" : "m");
  const lines = [
    ...(level === undefined ? [] : [{ at: level, says: "level" }]),
    ...(level === undefined || down === undefined || down === 0 ? [] : [{ at: down, says: "down to" }]),
  ];
  return (
    <figure>
      <figcaption className="caption">From the side, to scale</figcaption>
      <svg
        viewBox={`0 0 ${W} ${H}`}
        className="w-full"
        role="img"
        aria-label={`A vessel that ${lying ? "lies" : "stands"}${level === undefined ? "" : `, filled to ${inUnit(level, length)}`}`}
      >
        <clipPath id="vessel-inside">
          <path d={outline} />
        </clipPath>
        <path d={outline} fill="var(--card)" />
        {level !== undefined && (
          <rect
            x={x - 2}
            y={atLevel(level)}
            width={w + 4}
            height={round(y + h - atLevel(level))}
            fill="var(--go)"
            opacity={0.3}
            clipPath="url(#vessel-inside)"
          />
        )}
        <path d={outline} fill="none" stroke="var(--draw)" strokeWidth={3.5} />
        {lines.map(({ at, says }) => (
          <g key={says}>
            <path
              d={`M${x - 8} ${atLevel(at)}H${W - NAMES + 6}`}
              stroke="var(--ink)"
              strokeWidth={1.6}
              strokeDasharray="7 5"
            />
            <text x={W - NAMES + 12} y={atLevel(at) + 6} fontSize={18} fill="var(--ink)">
              {says} <tspan className="plate">{inUnit(at, length)}</tspan>
            </text>
          </g>
        ))}
      </svg>
    </figure>
  );
}
