"use client";

import clsx from "clsx";
import { useEffect, useRef } from "react";
import type { Part } from "@/core/formats";
import { PartDrawing, partRoom } from "./part";

export type AxisPlace = "in" | "comes-off" | "on-tray" | "back-in" | "renewed" | "stays";

export interface AxisPart {
  readonly part: Part;
  readonly place: AxisPlace;
  readonly renew: boolean;
}

const CENTRE = 84;
const LABEL_X = 158;
const WIDTH = 280;
const HALF = 62;
const GAP = 16;
const LEAST_PITCH = 42;

const SAYS: Record<AxisPlace, string> = {
  in: "",
  "comes-off": "comes off",
  "on-tray": "on the tray",
  "back-in": "back in",
  renewed: "new one in",
  stays: "stays",
};

/**
 * The valve as an exploded stack on its centre line, to the sheet's own proportions; what is off is a ghost, the part in
 * hand is lit and kept in view. Every part can be chosen.
 */
export function Axis({
  parts,
  lit,
  litSays = "in your hand",
  chosen,
  onChoose,
}: {
  parts: readonly AxisPart[];
  lit?: string;
  litSays?: string;
  chosen?: string;
  onChoose?: (part: string) => void;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const widest = Math.max(
    ...parts.map(({ part }) => Math.max(part.shape.diameter_mm, part.fastener?.circle_mm ?? 0)),
  );
  const scale = (2 * HALF) / widest;
  const stack = layOut(parts, scale);
  const height = (stack.at(-1)?.foot ?? 0) + GAP;
  const litAt = stack.find((each) => each.part.id === lit);
  const litMiddle = litAt === undefined ? undefined : (litAt.top + litAt.foot) / 2;

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
      className="relative h-full overflow-y-auto overflow-x-hidden"
      tabIndex={0}
      role="group"
      aria-label="The axis: parts of the valve in order"
    >
      <svg width={WIDTH} height={height} className="block max-w-full">
        <title>Exploded stack of the valve</title>
        <path
          d={`M${CENTRE} 4 V${height - 4}`}
          stroke="var(--brass-line)"
          strokeWidth={1.4}
          strokeDasharray="14 4 3 4"
        />
        {stack.map(({ part, place, renew, top, foot, y }) => {
          const isLit = part.id === lit;
          const ghost = place === "on-tray";
          const middle = (top + foot) / 2;
          const note = isLit
            ? litSays
            : renew && place !== "renewed" && place !== "back-in"
              ? "renew"
              : SAYS[place];
          return (
            <g
              key={part.id}
              role="button"
              tabIndex={onChoose === undefined ? -1 : 0}
              aria-label={`${part.name}${part.quantity > 1 ? `, ${part.quantity}` : ""}${note ? `, ${note}` : ""}`}
              aria-pressed={part.id === chosen}
              onClick={() => onChoose?.(part.id)}
              onKeyDown={(event) => {
                if (event.key !== "Enter" && event.key !== " ") return;
                event.preventDefault();
                event.stopPropagation();
                onChoose?.(part.id);
              }}
              className={clsx(onChoose !== undefined && "cursor-pointer")}
            >
              <rect
                x={2}
                y={top - 6}
                width={WIDTH - 4}
                height={foot - top + 12}
                rx={7}
                fill={isLit ? "var(--lit-bg)" : "transparent"}
                stroke={part.id === chosen ? "var(--brass-line)" : "none"}
                strokeWidth={2}
              />
              <g opacity={ghost && !isLit ? 0.3 : 1}>
                <PartDrawing part={part} x={CENTRE} y={y} scale={scale} lit={isLit} />
              </g>
              <path
                d={`M${CENTRE + HALF + 2} ${middle} H${LABEL_X - 4}`}
                stroke="var(--edge)"
                strokeWidth={1}
              />
              <Label
                name={part.quantity > 1 ? `${part.name} × ${part.quantity}` : part.name}
                note={note}
                y={middle}
                strong={isLit || place === "in" || place === "stays" || place === "comes-off"}
                warn={renew && place !== "renewed"}
              />
            </g>
          );
        })}
      </svg>
    </div>
  );
}

/** A label of up to two lines and a note; the stack's pitch leaves room for it, so labels never meet. */
function Label({
  name,
  note,
  y,
  strong,
  warn,
}: {
  name: string;
  note: string;
  y: number;
  strong: boolean;
  warn: boolean;
}) {
  const lines = wrap(name, 17);
  const rows = lines.length + (note ? 1 : 0);
  const first = y + 5 - ((rows - 1) * 15) / 2;
  return (
    <text fontFamily="var(--font-sans)" fontSize={14}>
      {lines.map((line, index) => (
        <tspan
          key={line}
          x={LABEL_X}
          y={first + index * 15}
          fontWeight={strong ? 640 : 500}
          fill={warn ? "var(--wait)" : strong ? "var(--ink)" : "var(--soft)"}
        >
          {line}
        </tspan>
      ))}
      {note && (
        <tspan
          x={LABEL_X}
          y={first + lines.length * 15}
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

function wrap(text: string, most: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(" ")) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + word.length < most) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines.length > 2
    ? [
        lines[0]!,
        `${lines
          .slice(1)
          .join(" ")
          .slice(0, most - 1)}…`,
      ]
    : lines;
}

function layOut(parts: readonly AxisPart[], scale: number) {
  let next = GAP;
  return parts.map((each) => {
    const room = partRoom(each.part, scale);
    const across = Math.max(each.part.shape.diameter_mm, each.part.fastener?.circle_mm ?? 0) * scale;
    const lines = wrap(
      each.part.quantity > 1 ? `${each.part.name} × ${each.part.quantity}` : each.part.name,
      17,
    ).length;
    const pitch = Math.max(room, LEAST_PITCH, lines * 15 + 20);
    const top = next;
    next = top + pitch + GAP;
    return { ...each, top, foot: top + pitch, y: top + (pitch - room) / 2 + (across / 2) * 0.2 };
  });
}
