"use client";

import clsx from "clsx";
import { useSpeaker } from "../use-speaker";
import { type AxisRow, across, HALF } from "./axis-layout";
import { Marks } from "./axis-marks";
import type { AxisPart } from "./axis-part";
import { PartDrawing } from "./part";
import { Stack } from "./stack";
import type { Pull } from "./use-pull";

/** One part on the axis: its drawing, its marks, its name, and how it stands. */
export function AxisRowOf({
  row,
  scale,
  each: { part, place, renew, order },
  isLit,
  litSays,
  chosen,
  onChoose,
  pull,
}: {
  row: AxisRow;
  scale: number;
  each: AxisPart;
  isLit: boolean;
  litSays: string;
  chosen: boolean;
  onChoose?: (part: string) => void;
  pull: Pull;
}) {
  const words = useSpeaker().say.drawing.axis;
  const ghost = place === "on-tray";
  const way = row.anchor === "start" ? 1 : -1;
  const middle = (row.top + row.foot) / 2;
  const reach = Math.min(HALF, (across(part) / 2) * scale);
  const off = order === undefined || !ghost ? "" : ` (${order})`;
  const state = renew && place !== "renewed" && place !== "back-in" ? words.renew : words.places[place];
  const note = isLit ? litSays : `${state}${off}`;
  const strong = isLit || place === "in" || place === "stays" || place === "comes-off";
  const warn = renew && place !== "renewed";
  return (
    <g
      role="button"
      tabIndex={onChoose === undefined ? -1 : 0}
      aria-label={`${part.name}${part.quantity > 1 ? `, ${part.quantity}` : ""}${note ? `, ${note}` : ""}`}
      aria-pressed={chosen}
      onClick={() => onChoose?.(part.id)}
      onKeyDown={(event) => {
        if (event.key !== "Enter" && event.key !== " ") return;
        event.preventDefault();
        event.stopPropagation();
        onChoose?.(part.id);
      }}
      className={clsx(onChoose !== undefined && "cursor-pointer touch-pan-y")}
      {...pull.handlers(part.id)}
    >
      <rect
        x={row.left}
        y={row.top - 6}
        width={row.right - row.left}
        height={row.foot - row.top + 12}
        rx={7}
        fill={isLit ? "var(--lit-bg)" : "transparent"}
        stroke={chosen ? "var(--brass-line)" : "none"}
        strokeWidth={2}
      />
      <g opacity={ghost && !isLit ? 0.3 : 1} transform={`translate(${pull.by(part.id)} 0)`}>
        {part.pieces === undefined ? (
          <PartDrawing part={part} x={row.x} y={row.y} scale={scale} lit={isLit} />
        ) : (
          <Stack stack={part} x={row.x} y={row.y} scale={scale} tone={() => (isLit ? "lit" : "plain")} />
        )}
        <Marks part={part} x={row.x - reach} middle={middle} />
      </g>
      <path
        d={`M${row.x + (reach + 4) * way} ${middle} H${row.labelX - 4 * way}`}
        stroke="var(--edge)"
        strokeWidth={1}
      />
      <Label row={row} note={note} y={middle} strong={strong} warn={warn} />
    </g>
  );
}

/** The name in as many lines as it needs and a note; the row leaves room for both, so labels never meet. */
function Label({
  row: { name, labelX: x, anchor },
  note,
  y,
  strong,
  warn,
}: {
  row: AxisRow;
  note: string;
  y: number;
  strong: boolean;
  warn: boolean;
}) {
  const rows = name.length + (note ? 1 : 0);
  const first = y + 5 - ((rows - 1) * 15) / 2;
  return (
    <text fontFamily="var(--font-sans)" fontSize={14} textAnchor={anchor}>
      {name.map((line, index) => (
        <tspan
          key={line}
          x={x}
          y={first + index * 15}
          fontWeight={strong ? 640 : 500}
          fill={warn ? "var(--wait)" : strong ? "var(--ink)" : "var(--soft)"}
        >
          {line}
        </tspan>
      ))}
      {note && (
        <tspan
          x={x}
          y={first + name.length * 15}
          fontFamily="var(--font-plate)"
          fontSize={14}
          fontWeight={500}
          fill={warn ? "var(--wait)" : "var(--soft)"}
        >
          {note}
        </tspan>
      )}
    </text>
  );
}
