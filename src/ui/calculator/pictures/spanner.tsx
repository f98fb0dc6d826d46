"use client";

import { siOf, wordsOf } from "@/core/calculators";
import { unit } from "@/core/quantity";
import { useFigures } from "@/ui/use-figures";
import type { PictureProps } from "./props";

const TONE: Readonly<Record<string, string>> = {
  fits: "var(--go)",
  loose: "var(--wait)",
  "rounds it off": "var(--stop)",
  "too small": "var(--soft)",
};
const FLATS = 84;
/** Slack is hardly seen at scale: the gap is drawn this many times wider. */
const WIDER = 3;

/** The openings around the nut, each with its jaws and the gap beside the flats. */
export function SpannerPicture({ form, answer, system }: PictureProps) {
  const { inUnit } = useFigures();
  const flats = form.si("flats");
  const rows = answer.tables.openings ?? [];
  if (flats === undefined) return null;
  const length = unit(system === "us" ? "in" : "mm");
  const wide = 172;
  return (
    <figure>
      <figcaption className="caption">Jaws on the nut, gap drawn {WIDER} times as wide</figcaption>
      <svg
        viewBox={`0 0 ${Math.max(rows.length, 4) * wide} 250`}
        className="w-full max-w-[760px]"
        role="img"
        aria-label={rows.map((row) => `${wordsOf(row, "name")}: ${wordsOf(row, "grip")}`).join(", ")}
      >
        {rows.map((row, index) => {
          const slack = siOf(row, "slack");
          const kind = wordsOf(row, "grip");
          const gap = Math.max(-8, Math.min(26, (slack / flats) * FLATS * WIDER));
          const [cx, cy] = [index * wide + wide / 2, 96];
          const r = FLATS / 2 / Math.cos(Math.PI / 6);
          const turn = kind === "rounds it off" ? 0.13 : kind === "loose" ? 0.06 : 0;
          const hex = Array.from({ length: 6 }, (_, corner) => {
            const angle = (corner * Math.PI) / 3 + turn;
            return `${(cx + r * Math.cos(angle)).toFixed(1)},${(cy + r * Math.sin(angle)).toFixed(1)}`;
          }).join(" ");
          const half = FLATS / 2 + gap / 2;
          return (
            <g key={wordsOf(row, "name")}>
              <path
                d={`M${cx - 62} ${cy - half - 24}H${cx + 46}V${cy - half}H${cx - 40}V${cy + half}H${cx + 46}V${cy + half + 24}H${cx - 62}q-14 ${-half - 24} 0 ${-2 * half - 48}z`}
                fill="var(--ink-iron)"
                stroke={TONE[kind] ?? "var(--ink)"}
                strokeWidth={3}
              />
              <polygon points={hex} fill="var(--ink-iron-deep)" stroke="var(--draw)" strokeWidth={2} />
              <circle cx={cx} cy={cy} r={20} fill="var(--card)" stroke="var(--draw)" strokeWidth={2} />
              <text x={cx} y={204} textAnchor="middle" className="plate" fontSize={21} fill="var(--ink)">
                {wordsOf(row, "name")}
              </text>
              <text x={cx} y={224} textAnchor="middle" fontSize={15} fill="var(--ink)">
                {kind}
              </text>
              <text x={cx} y={243} textAnchor="middle" className="plate" fontSize={15} fill="var(--soft)">
                {slack < 0 ? `${inUnit(-slack, length)} short` : `${inUnit(slack, length)} slack`}
              </text>
            </g>
          );
        })}
      </svg>
    </figure>
  );
}
