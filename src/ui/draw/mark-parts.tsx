import clsx from "clsx";
import type { ReactNode } from "react";
import type { XY } from "./line-layout";

export const TEXT = { className: "plate", fontSize: 16 } as const;
/** A label that lies on a pipe stays readable. */
export const HALO = {
  paintOrder: "stroke",
  stroke: "var(--card)",
  strokeWidth: 4,
  strokeLinejoin: "round",
} as const;

/** Something that can be tapped, or in the editor dragged; plain when it is neither. */
export function Tap({
  onTap,
  label,
  pressed,
  drag,
  children,
}: {
  onTap: (() => void) | undefined;
  label: string;
  pressed?: boolean;
  drag?: string | undefined;
  children: ReactNode;
}) {
  if (onTap === undefined && drag === undefined) return <g>{children}</g>;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={label}
      aria-pressed={pressed}
      className={clsx("tap", drag === undefined ? "cursor-pointer" : "cursor-move")}
      data-drag={drag}
      onClick={onTap}
      onKeyDown={(event) => {
        if (event.key !== "Enter" && event.key !== " ") return;
        event.preventDefault();
        event.stopPropagation();
        onTap?.();
      }}
    >
      {children}
    </g>
  );
}

/** The place of something in the order of the plan. */
export function OrderNumber({ at: [x, y], children }: { at: XY; children: ReactNode }) {
  return (
    <g>
      <circle cx={x} cy={y} r={13} fill="var(--ink)" />
      <text x={x} y={y + 6} textAnchor="middle" fill="var(--card)" className="plate" fontSize={18}>
        {children}
      </text>
    </g>
  );
}

export function Label({
  at: [x, y],
  tone,
  middle = false,
  small = false,
  children,
}: {
  at: XY;
  tone: string;
  middle?: boolean;
  small?: boolean;
  children: ReactNode;
}) {
  return (
    <text
      x={x}
      y={y}
      fill={tone}
      textAnchor={middle ? "middle" : "start"}
      {...TEXT}
      fontSize={small ? 14.5 : 16}
      {...HALO}
    >
      {children}
    </text>
  );
}
