"use client";

import clsx from "clsx";
import { type PointerEvent, useEffect, useMemo, useRef, useState } from "react";
import type { Part } from "@/core/formats";
import { type AxisForm, type AxisRow, across, HALF, layAxis } from "./axis-layout";
import { PartDrawing } from "./part";
import { Stack } from "./stack";

export type AxisPlace = "in" | "comes-off" | "on-tray" | "back-in" | "renewed" | "stays";

export interface AxisPart {
  readonly part: Part;
  readonly place: AxisPlace;
  readonly renew: boolean;
  /** Its turn on the tray. */
  readonly order?: number;
}

/** The valve as it stands before anybody touches it. */
export const untouched = (parts: readonly Part[]): AxisPart[] =>
  parts.map((part) => ({ part, place: part.stays ? "stays" : "in", renew: false }));

const SAYS: Record<AxisPlace, string> = {
  in: "",
  "comes-off": "comes off",
  "on-tray": "on the tray",
  "back-in": "back in",
  renewed: "new one in",
  stays: "stays",
};

/** Drawn this far off the axis, a part is pulled out to be read. */
const PULLED_PX = 26;

/**
 * The valve as an exploded stack on its centre line, to the sheet's own proportions, with its side branches; what is
 * off is a ghost, the part in hand is lit and kept in view. A part is read by a tap or by drawing it off the axis.
 */
export function Axis({
  parts,
  lit,
  litSays = "in your hand",
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
  const frame = useRef<HTMLDivElement>(null);
  const layout = useMemo(
    () =>
      layAxis(
        parts.map((each) => each.part),
        form,
      ),
    [parts, form],
  );
  const drag = useDrag(onChoose);
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
      aria-label="The axis: parts of the valve in order"
    >
      <svg
        width={layout.width}
        height={layout.height}
        viewBox={`0 0 ${layout.width} ${layout.height}`}
        className={clsx("mx-auto block", form === "narrow" && "max-w-full")}
      >
        <title>Exploded stack of the valve</title>
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
        {layout.headings.map(({ text, x, y }) => (
          <text key={text} x={x} y={y} fontFamily="var(--font-plate)" fontSize={14} fill="var(--soft)">
            {text}
          </text>
        ))}
        {layout.rows.map((row) => {
          const each = parts.find(({ part }) => part.id === row.part.id)!;
          return (
            <Row
              key={row.part.id}
              row={row}
              scale={layout.scale}
              each={each}
              isLit={row.part.id === lit}
              litSays={litSays}
              chosen={row.part.id === chosen}
              {...(onChoose !== undefined && { onChoose })}
              drag={drag}
            />
          );
        })}
      </svg>
    </div>
  );
}

/** Drawing a part off the axis: it follows the finger, springs back when let go, and is chosen when it came far enough. */
function useDrag(onChoose: ((part: string) => void) | undefined) {
  const [held, setHeld] = useState<{ part: string; from: number; by: number }>();
  return {
    by: (part: string) => (held?.part === part ? held.by : 0),
    handlers: (part: string) =>
      onChoose === undefined
        ? {}
        : {
            onPointerDown: (event: PointerEvent<SVGGElement>) => {
              if (event.pointerType !== "mouse" || event.button === 0)
                setHeld({ part, from: event.clientX, by: 0 });
            },
            onPointerMove: (event: PointerEvent<SVGGElement>) => {
              const pressed = event.buttons > 0;
              setHeld((now) =>
                now?.part !== part || !pressed ? now : { ...now, by: event.clientX - now.from },
              );
            },
            onPointerUp: () => {
              if (held?.part === part && Math.abs(held.by) > PULLED_PX) onChoose(part);
              setHeld(undefined);
            },
            onPointerCancel: () => setHeld(undefined),
            onPointerLeave: () => setHeld((now) => (now?.part === part ? undefined : now)),
          },
  };
}

function Row({
  row,
  scale,
  each: { part, place, renew, order },
  isLit,
  litSays,
  chosen,
  onChoose,
  drag,
}: {
  row: AxisRow;
  scale: number;
  each: AxisPart;
  isLit: boolean;
  litSays: string;
  chosen: boolean;
  onChoose?: (part: string) => void;
  drag: ReturnType<typeof useDrag>;
}) {
  const ghost = place === "on-tray";
  const way = row.anchor === "start" ? 1 : -1;
  const middle = (row.top + row.foot) / 2;
  const reach = Math.min(HALF, (across(part) / 2) * scale);
  const off = order === undefined || !ghost ? "" : ` (${order})`;
  const state = renew && place !== "renewed" && place !== "back-in" ? "renew" : SAYS[place];
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
      {...drag.handlers(part.id)}
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
      <g opacity={ghost && !isLit ? 0.3 : 1} transform={`translate(${drag.by(part.id)} 0)`}>
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

/** It goes one way; it carries a scratch line; it stays dry. */
function Marks({ part, x, middle }: { part: Part; x: number; middle: number }) {
  const marked = part.ways.some((way) => way.marks !== undefined);
  const dry = part.fit?.surface?.kind === "dry" || part.dryByDesign !== undefined;
  return (
    <g>
      {part.fit?.orientation !== undefined && (
        <path
          d={`M${x - 12} ${middle - 9} l5 8 h-3 v9 h-4 v-9 h-3 z`}
          fill="var(--cold)"
          stroke="var(--card)"
          strokeWidth={0.8}
        />
      )}
      {marked && (
        <path
          d={`M${x + 3} ${middle - 7} v16`}
          stroke="var(--stop)"
          strokeWidth={2.4}
          strokeDasharray="4 2"
        />
      )}
      {dry && (
        <g transform={`translate(${x - 12} ${middle + 15})`}>
          <path d="M0 -5 q5 6 0 8 q-5 -2 0 -8" fill="var(--card)" stroke="var(--ink)" strokeWidth={1.2} />
          <path d="M-5 4 L5 -5" stroke="var(--stop)" strokeWidth={1.8} />
        </g>
      )}
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

/** What the small marks beside the parts mean. */
export function AxisKey() {
  return (
    <ul className="flex flex-wrap gap-x-4 gap-y-1 text-note text-soft">
      <li>
        <span className="text-cold">⬆</span> goes in one way
      </li>
      <li>
        <span className="text-stop">┆</span> mark across the joint
      </li>
      <li>
        <svg width={14} height={14} viewBox="-7 -7 14 14" aria-hidden="true" className="inline">
          <path d="M0 -5 q5 6 0 8 q-5 -2 0 -8" fill="var(--card)" stroke="var(--ink)" strokeWidth={1.2} />
          <path d="M-5 4 L5 -5" stroke="var(--stop)" strokeWidth={1.8} />
        </svg>{" "}
        stays dry
      </li>
      <li>
        <span className="text-stop">▶</span> the odd one
      </li>
    </ul>
  );
}
