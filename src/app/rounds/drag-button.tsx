"use client";

import { useDraggable } from "@dnd-kit/core";
import clsx from "clsx";
import type { CSSProperties, ReactNode } from "react";

/** A piece of work that is chosen by a tap and dragged from shift to shift. */
export function DragButton({
  tag,
  on,
  label,
  onChoose,
  className,
  style,
  children,
}: {
  tag: string;
  on: boolean;
  label: string;
  onChoose: () => void;
  className: string;
  style?: CSSProperties;
  children: ReactNode;
}) {
  const { attributes, listeners, setNodeRef, isDragging } = useDraggable({ id: tag });
  return (
    <button
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      type="button"
      aria-pressed={on}
      aria-label={label}
      onClick={onChoose}
      className={clsx(
        "cursor-grab touch-manipulation rounded-[5px] border-[1.5px]",
        className,
        isDragging && "opacity-40",
      )}
      style={style}
    >
      {children}
    </button>
  );
}
