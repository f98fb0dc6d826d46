"use client";

import clsx from "clsx";
import { useEffect, useMemo, useRef } from "react";
import { useSpeaker } from "../use-speaker";
import { type AxisForm, layAxis } from "./axis-layout";
import type { AxisPart } from "./axis-part";
import { AxisRowOf } from "./axis-row";
import { usePull } from "./use-pull";

/**
 * The valve as an exploded stack on its centre line, to the sheet's own proportions, with its side branches; what is
 * off is a ghost, the part in hand is lit and kept in view. A part is read by a tap or by drawing it off the axis.
 */
export function Axis({
  parts,
  lit,
  litSays,
  chosen,
  onChoose,
  form = "narrow",
}: {
  parts: readonly AxisPart[];
  lit?: string;
  litSays?: string;
  chosen?: string;
  onChoose?: (part: string) => void;
  form?: AxisForm;
}) {
  const words = useSpeaker().say.drawing.axis;
  const frame = useRef<HTMLDivElement>(null);
  const layout = useMemo(
    () =>
      layAxis(
        parts.map((each) => each.part),
        form,
      ),
    [parts, form],
  );
  const pull = usePull(onChoose);
  const litRow = layout.rows.find((row) => row.part.id === lit);
  const litMiddle = litRow === undefined ? undefined : (litRow.top + litRow.foot) / 2;

  // A box that is too narrow for its branches opens on the trunk.
  const trunk = layout.rows.find((row) => (row.part.shape.side ?? "axis") === "axis")?.x;
  useEffect(() => {
    const box = frame.current;
    if (box !== null && trunk !== undefined) box.scrollLeft = trunk - box.clientWidth / 2;
  }, [trunk]);

  useEffect(() => {
    const box = frame.current;
    if (box === null || litMiddle === undefined) return;
    box.scrollTo({
      top: litMiddle - box.clientHeight / 2,
      behavior: matchMedia("(prefers-reduced-motion: reduce)").matches ? "auto" : "smooth",
    });
  }, [litMiddle]);

  return (
    <div
      ref={frame}
      className={clsx(
        "there-is-more relative h-full overflow-y-auto",
        form === "wide" ? "overflow-x-auto" : "overflow-x-hidden",
      )}
      tabIndex={0}
      role="group"
      aria-label={words.title}
    >
      <svg
        width={layout.width}
        height={layout.height}
        viewBox={`0 0 ${layout.width} ${layout.height}`}
        className={clsx("mx-auto block", form === "narrow" && "max-w-full")}
      >
        <title>{words.stack}</title>
        {layout.lines.map((line) => (
          <path
            key={line}
            d={line}
            fill="none"
            stroke="var(--brass-line)"
            strokeWidth={1.4}
            strokeDasharray="14 4 3 4"
          />
        ))}
        {layout.headings.map(({ side, x, y }) => (
          <text key={side} x={x} y={y} fontFamily="var(--font-plate)" fontSize={14} fill="var(--soft)">
            {words.branch[side]}
          </text>
        ))}
        {layout.rows.map((row) => {
          const each = parts.find(({ part }) => part.id === row.part.id)!;
          return (
            <AxisRowOf
              key={row.part.id}
              row={row}
              scale={layout.scale}
              each={each}
              isLit={row.part.id === lit}
              litSays={litSays ?? words.inHand}
              chosen={row.part.id === chosen}
              {...(onChoose !== undefined && { onChoose })}
              pull={pull}
            />
          );
        })}
      </svg>
    </div>
  );
}
