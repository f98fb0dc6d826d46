"use client";

import type { Disposition, Part } from "@/core/formats";
import { useSpeaker } from "../use-speaker";
import { Stack, stackHeight, stackRows } from "./stack";

const TONE: Record<Disposition, string> = {
  reuse: "var(--go)",
  clean: "var(--wait)",
  renew: "var(--stop)",
  stop: "var(--stop)",
};

const WIDTH = 128;
const AXIS = 50;

/** A stack of which each piece is judged: its mark beside it, the one in hand lit, each to be tapped. */
export function PieceMarks({
  stack,
  lit,
  graded,
  onChoose,
}: {
  stack: Part;
  lit: number;
  graded: (number: number) => { readonly means: Disposition; readonly label: string } | undefined;
  onChoose: (number: number) => void;
}) {
  const words = useSpeaker().say.card.look;
  const scale = 84 / stack.shape.diameter_mm;
  const height = stackHeight(stack, scale) + 20;
  const half = (stack.shape.diameter_mm / 2) * scale;
  return (
    <div className="relative shrink-0" style={{ width: WIDTH, height }}>
      <svg width={WIDTH} height={height} viewBox={`0 0 ${WIDTH} ${height}`} aria-hidden="true">
        <path
          d={`M${AXIS} 0V${height}`}
          stroke="var(--brass-line)"
          strokeWidth={1.4}
          strokeDasharray="14 4 3 4"
        />
        <Stack
          stack={stack}
          x={AXIS}
          y={8}
          scale={scale}
          tone={(number) => (number === lit ? "lit" : "plain")}
        />
        {stackRows(stack, scale).map(({ number, top, room }) => {
          const found = graded(number);
          const y = 8 + top + half * 0.2 + room / 2 - 2;
          return found === undefined ? null : (
            <g key={number}>
              <path
                d={`M${AXIS + half + 2} ${y}H${AXIS + half + 9}`}
                stroke={TONE[found.means]}
                strokeWidth={2}
              />
              {found.means === "reuse" ? (
                <circle cx={AXIS + half + 20} cy={y} r={6} fill={TONE[found.means]} />
              ) : (
                <path
                  d={`M${AXIS + half + 14} ${y - 6}l12 12m0 -12l-12 12`}
                  stroke={TONE[found.means]}
                  strokeWidth={3}
                />
              )}
            </g>
          );
        })}
      </svg>
      {stackRows(stack, scale).map(({ number, piece, top, room }) => (
        <button
          key={number}
          type="button"
          aria-label={words.takePiece(number, piece.name, graded(number)?.label)}
          aria-pressed={number === lit}
          onClick={() => onChoose(number)}
          className="absolute left-0 w-full"
          style={{ top: 8 + top + half * 0.2 - 4, height: Math.max(room, 24) }}
        />
      ))}
    </div>
  );
}
