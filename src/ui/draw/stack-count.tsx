"use client";

import clsx from "clsx";
import type { Part } from "@/core/formats";
import { useSpeaker } from "../use-speaker";
import { Stack, stackHeight } from "./stack";

/** The stack being counted: what is out (or in) so far, and which piece comes next. */
export function StackCount({
  stack,
  counted,
  upward,
  fresh = [],
}: {
  stack: Part;
  counted: number;
  /** In, from the bottom up; out, from the top down. */
  upward: boolean;
  /** Pieces that go in new, by their number from the bottom up. */
  fresh?: readonly number[];
}) {
  const words = useSpeaker().say.card.stack;
  const pieces = stack.pieces ?? [];
  const next = upward ? counted + 1 : pieces.length - counted;
  const scale = 84 / stack.shape.diameter_mm;
  const height = stackHeight(stack, scale) + 20;
  const piece = pieces[next - 1];
  return (
    <div className="flex items-center gap-3 sm:gap-5">
      <svg
        width={130}
        height={height}
        viewBox={`0 0 130 ${height}`}
        role="img"
        aria-label={words.counted[upward ? "in" : "out"](counted, pieces.length)}
        className="shrink-0"
      >
        <path d={`M68 0V${height}`} stroke="var(--brass-line)" strokeWidth={1.4} strokeDasharray="14 4 3 4" />
        <Stack
          stack={stack}
          x={68}
          y={8}
          scale={scale}
          tone={(number) =>
            number === next && counted < pieces.length
              ? "lit"
              : (upward ? number > counted : number > next)
                ? "gone"
                : "plain"
          }
        />
      </svg>
      <div>
        <span className="plate block text-figure leading-none">
          {counted} <small className="text-head text-soft">{words.of(pieces.length)}</small>
        </span>
        <span className="caption">{upward ? words.upward : words.downward}</span>
        {piece !== undefined && counted < pieces.length && (
          <p className="mt-3 text-lead">
            {words.next} <b>{piece.name.toLowerCase()}</b>
            {fresh.length > 0 && (
              <b className={clsx("block text-body", fresh.includes(next) ? "text-stop" : "text-soft")}>
                {fresh.includes(next) ? words.aNewOne : words.theOldOne}
              </b>
            )}
            {piece.odd !== undefined && (
              <span className="mt-1 block rounded border-stop border-l-[6px] bg-stop-bg px-3 py-1.5 text-body">
                <b>{words.odd}</b> {piece.odd}.
              </span>
            )}
          </p>
        )}
        {upward && piece?.cue !== undefined && counted < pieces.length && (
          <p className="mt-2 rounded border-cold border-l-[6px] bg-sunk px-3 py-1.5 text-body">{piece.cue}</p>
        )}
        {counted === pieces.length && <p className="mt-3 text-lead text-go-text">{words.all}</p>}
      </div>
    </div>
  );
}
