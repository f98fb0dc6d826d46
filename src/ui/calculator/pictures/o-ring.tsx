"use client";

import { siOf } from "@/core/calculators";
import { unit } from "@/core/quantity";
import { useFigures } from "@/ui/use-figures";
import { round } from "../../draw/round";
import type { PictureProps } from "./props";

const [W, H] = [700, 300];

/** The ring in its groove, cut through, to scale: free on the left, squeezed on the right. */
export function ORingPicture({ form, answer, system }: PictureProps) {
  const { inUnit } = useFigures();
  const [depth, width] = [form.si("depth"), form.si("width")];
  if (depth === undefined || width === undefined) return null;
  const length = unit(system === "us" ? "in" : "mm");
  const stretch = Math.max(0, siOf(answer.outputs, "stretch"));
  const free = siOf(answer.outputs, "section");
  const section = free * Math.sqrt(1 / (1 + stretch));
  const scale = round(Math.min(190 / Math.max(width, section), 150 / Math.max(depth, section)));
  // A squeezed ring keeps its area: as wide as that, flat where it touches.
  const height = Math.min(depth, section);
  const squeezed =
    section > depth ? (Math.PI * section ** 2) / 4 / height - height * (Math.PI / 4 - 1) : section;
  const bulge = Math.min(squeezed, width * 1.25);
  const [cx, floor] = [500, 232];
  const g = { w: width * scale, d: depth * scale };
  const bad = answer.verdict === "fail" || answer.verdict === "stop";
  return (
    <figure>
      <figcaption className="caption">Cut through, to scale</figcaption>
      <svg
        viewBox={`0 0 ${W} ${H}`}
        className="w-full"
        role="img"
        aria-label={`Ring of ${inUnit(free, length)} in a groove ${inUnit(width, length)} wide and ${inUnit(depth, length)} deep, squeezed by ${inUnit(siOf(answer.outputs, "squeeze"), unit("%"))}`}
      >
        <defs>
          <pattern
            id="gland-metal"
            width={10}
            height={10}
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width={10} height={10} fill="var(--ink-iron)" />
            <path d="M0 0V10" stroke="var(--ink-hatch)" strokeWidth={1.6} />
          </pattern>
        </defs>
        <g>
          <circle
            cx={150}
            cy={floor - (free * scale) / 2}
            r={(free * scale) / 2}
            fill="var(--ink-rubber)"
            stroke="var(--ink-rubber-edge)"
            strokeWidth={2}
          />
          <path
            d={`M${150 - (free * scale) / 2 - 14} ${floor}v${-free * scale}m-6 0h12m-12 ${free * scale}h12`}
            stroke="var(--ink)"
            strokeWidth={1.6}
            fill="none"
          />
          <text x={150} y={floor + 30} textAnchor="middle" fontSize={17} fill="var(--ink)">
            free: <tspan className="plate">{inUnit(free, length)}</tspan>
          </text>
        </g>
        <path
          d={`M330 ${floor - g.d}H${cx - g.w / 2}V${floor}H${cx + g.w / 2}V${floor - g.d}H690V${floor + 44}H330z`}
          fill="url(#gland-metal)"
          stroke="var(--draw)"
          strokeWidth={2}
        />
        <rect
          x={330}
          y={floor - g.d - 46}
          width={360}
          height={46}
          fill="url(#gland-metal)"
          stroke="var(--draw)"
          strokeWidth={2}
        />
        <rect
          x={cx - (bulge * scale) / 2}
          y={floor - height * scale}
          width={bulge * scale}
          height={height * scale}
          rx={(height * scale) / 2}
          ry={(height * scale) / 2}
          fill={bad ? "var(--stop)" : "var(--ink-rubber)"}
          stroke="var(--ink-rubber-edge)"
          strokeWidth={2}
        />
        <path
          d={`M${cx - g.w / 2} ${floor + 56}H${cx + g.w / 2}m0 -6v12M${cx - g.w / 2} ${floor + 50}v12`}
          stroke="var(--ink)"
          strokeWidth={1.6}
        />
        <text x={cx + g.w / 2 + 12} y={floor + 61} className="plate" fontSize={17} fill="var(--ink)">
          {inUnit(width, length)}
        </text>
        <text x={cx} y={floor - g.d - 60} textAnchor="middle" fontSize={17} fill="var(--ink)">
          squeezed <tspan className="plate">{inUnit(siOf(answer.outputs, "squeeze"), unit("%"))}</tspan>,
          groove <tspan className="plate">{inUnit(siOf(answer.outputs, "fill"), unit("%"))}</tspan> full
        </text>
      </svg>
    </figure>
  );
}
