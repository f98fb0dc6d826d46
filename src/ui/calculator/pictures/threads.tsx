"use client";

import { siOf, wordsOf } from "@/core/calculators";
import { THREAD_TABLE } from "@/core/fastening";
import { type UnitSystem, unit } from "@/core/quantity";
import { useFigures } from "@/ui/use-figures";
import type { PictureProps } from "./props";

const W = 700;

/** Flanks of a thread along its length, cut through: triangles of one pitch, 5/8 of their full height. */
function flanks(pitch: number, scale: number, length: number, base: number): string {
  const [p, h] = [pitch * scale, 0.6134 * pitch * scale];
  const count = Math.ceil(length / p);
  return `M0 ${base}${Array.from({ length: count }, (_, i) => `L${(i + 0.5) * p} ${base - h}L${(i + 1) * p} ${base}`).join("")}`;
}

interface Laid {
  readonly name: string;
  readonly pitch: number;
}

/** The likeliest thread with its nearest rival laid over it. */
export function ThreadPicture({ answer, system }: PictureProps) {
  const best = answer.tables.candidates?.[0];
  if (best === undefined) return null;
  const rival = THREAD_TABLE.find((each) => each.name === wordsOf(answer.outputs, "neighbour"));
  return (
    <LaidOver
      under={{ name: wordsOf(best, "thread"), pitch: siOf(best, "pitch") }}
      over={rival}
      system={system}
    />
  );
}

/** A screw laid over its nut. */
export function TwoThreadsPicture({ form, system }: PictureProps) {
  const [screw, nut] = ["screw", "nut"].map((name) =>
    THREAD_TABLE.find((each) => each.name === form.choice(name)),
  );
  return screw === undefined ? null : <LaidOver under={screw} over={nut} system={system} />;
}

/** Two threads to one scale: they part after a few turns, which is where they bind. */
function LaidOver({ under, over, system }: { under: Laid; over: Laid | undefined; system: UnitSystem }) {
  const { inUnit, fixed } = useFigures();
  const { pitch } = under;
  const scale = W / (10 * Math.max(pitch, over?.pitch ?? pitch));
  const length = unit(system === "us" ? "in" : "mm");
  const parts =
    over === undefined || over.pitch === pitch
      ? Number.POSITIVE_INFINITY
      : pitch / 2 / Math.abs(over.pitch - pitch);
  return (
    <figure>
      <figcaption className="caption">Laid over one another, to one scale</figcaption>
      <svg
        viewBox={`0 40 ${W} 130`}
        className="w-full"
        role="img"
        aria-label={over === undefined ? under.name : `${over.name} over ${under.name}`}
      >
        <rect x={0} y={120} width={W} height={16} fill="var(--ink-iron-deep)" />
        <path
          d={`${flanks(pitch, scale, W, 120)}V120z`}
          fill="var(--ink-iron)"
          stroke="var(--draw)"
          strokeWidth={2.2}
        />
        {over !== undefined && (
          <path
            d={flanks(over.pitch, scale, W, 120)}
            fill="none"
            stroke="var(--stop)"
            strokeWidth={2.6}
            strokeDasharray="9 5"
          />
        )}
        {Number.isFinite(parts) && parts < 10 && (
          <path d={`M${parts * pitch * scale} 30V136`} stroke="var(--stop)" strokeWidth={1.5} />
        )}
        <text x={4} y={160} fontSize={17} fill="var(--ink)">
          <tspan fontWeight={600}>{under.name}</tspan>, pitch{" "}
          <tspan className="plate">{inUnit(pitch, length)}</tspan>
          {over !== undefined && (
            <tspan fill="var(--stop)">
              {"   dashed: "}
              {over.name}, pitch {inUnit(over.pitch, length)}
              {Number.isFinite(parts) && parts < 10 ? `, crest on root after ${fixed(parts, 1)} turns` : ""}
            </tspan>
          )}
        </text>
      </svg>
    </figure>
  );
}
