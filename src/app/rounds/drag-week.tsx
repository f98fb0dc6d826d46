"use client";

import {
  type Announcements,
  closestCenter,
  DndContext,
  type DragEndEvent,
  DragOverlay,
  type DragStartEvent,
  KeyboardCode,
  type KeyboardCoordinateGetter,
  KeyboardSensor,
  MouseSensor,
  pointerWithin,
  TouchSensor,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import { format } from "date-fns";
import { type ReactNode, useState } from "react";
import type { Outlook, Target, WeekMoves } from "./week-moves";

/** What is being dragged, what it would do in each shift, and over which it is. */
export interface Drag {
  readonly tag: string;
  readonly outlooks: readonly Outlook[];
  readonly over: Outlook | undefined;
}

export const cellId = ({ crew, day }: Pick<Target, "crew" | "day">): string => `${day} ${crew}`;

/** px that a mouse moves before it drags, and ms that a finger rests: a tap chooses, a swipe scrolls. */
const TAP_PX = 6;
const HELD_MS = 250;
const KEYS = {
  start: [KeyboardCode.Space],
  cancel: [KeyboardCode.Esc],
  end: [KeyboardCode.Space, KeyboardCode.Enter],
};
const INSTRUCTIONS =
  "Press the space bar to pick this up. Then the arrow keys move it from shift to shift, the space bar puts it down, Escape leaves it where it was.";

/** A week whose pieces are dragged from shift to shift; what that would do is told while it is dragged. */
export function DragWeek({
  moves,
  onDrop,
  children,
}: {
  moves: WeekMoves;
  onDrop: (tag: string, to: Target) => void;
  children: (drag: Drag | undefined) => ReactNode;
}) {
  const [drag, setDrag] = useState<Drag>();
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: TAP_PX } }),
    useSensor(TouchSensor, { activationConstraint: { delay: HELD_MS, tolerance: TAP_PX } }),
    useSensor(KeyboardSensor, { coordinateGetter: cellToCell, keyboardCodes: KEYS }),
  );
  const begin = ({ active }: DragStartEvent) => {
    const tag = String(active.id);
    setDrag({
      tag,
      over: undefined,
      outlooks: moves.targets.flatMap((each) => moves.outlook(tag, each) ?? []),
    });
  };
  const outlookAt = (id: string | number | undefined) =>
    drag?.outlooks.find(({ target }) => cellId(target) === id);
  const end = ({ over }: DragEndEvent) => {
    const there = outlookAt(over?.id);
    if (drag !== undefined && there?.at !== undefined && !there.here) onDrop(drag.tag, there.target);
    setDrag(undefined);
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={(args) => (args.pointerCoordinates ? pointerWithin(args) : closestCenter(args))}
      accessibility={{
        announcements: announcing((id) => outlookAt(id)),
        screenReaderInstructions: { draggable: INSTRUCTIONS },
      }}
      onDragStart={begin}
      onDragOver={({ over }) => drag && setDrag({ ...drag, over: outlookAt(over?.id) })}
      onDragEnd={end}
      onDragCancel={() => setDrag(undefined)}
    >
      {children(drag)}
      <DragOverlay dropAnimation={null}>
        {drag && (
          <span className="plate inline-block rounded-[5px] border-[2.5px] border-ink bg-brass-bg px-2 py-1 text-note shadow-2xl">
            {drag.tag}
          </span>
        )}
      </DragOverlay>
    </DndContext>
  );
}

/** What is told to who does not see it. */
const announcing = (outlookAt: (id: string | number) => Outlook | undefined): Announcements => ({
  onDragStart: ({ active }) => `${active.id} is picked up.`,
  onDragOver({ active, over }) {
    const outlook = over === null ? undefined : outlookAt(over.id);
    return outlook === undefined
      ? `${active.id} is over no shift.`
      : `${targetWords(outlook.target)}: ${outlook.at === undefined ? "not possible. " : ""}${outlook.says.join(" ")}`;
  },
  onDragEnd({ active, over }) {
    const outlook = over === null ? undefined : outlookAt(over.id);
    return outlook?.at === undefined
      ? `${active.id} stays where it was.`
      : `${active.id} is put down: ${targetWords(outlook.target)}.`;
  },
  onDragCancel: ({ active }) => `${active.id} stays where it was.`,
});

export const targetWords = ({ crew, day }: Target): string => `${format(day, "EEEE")}, ${crew}`;

const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  [KeyboardCode.Left]: [-1, 0],
  [KeyboardCode.Right]: [1, 0],
  [KeyboardCode.Up]: [0, -1],
  [KeyboardCode.Down]: [0, 1],
};

/** An arrow key goes to the middle of the next shift that way. */
const cellToCell: KeyboardCoordinateGetter = (event, { currentCoordinates, context }) => {
  const step = STEPS[event.code];
  if (step === undefined) return undefined;
  event.preventDefault();
  const { collisionRect, droppableRects } = context;
  if (collisionRect === null) return undefined;
  const middle = (rect: { left: number; top: number; width: number; height: number }) => ({
    x: rect.left + rect.width / 2,
    y: rect.top + rect.height / 2,
  });
  const here = middle(collisionRect);
  const [dx, dy] = step;
  let best: { readonly far: number; readonly x: number; readonly y: number } | undefined;
  for (const rect of droppableRects.values()) {
    const there = middle(rect);
    const [x, y] = [there.x - here.x, there.y - here.y];
    const along = x * dx + y * dy;
    const aside = Math.abs(x * dy) + Math.abs(y * dx);
    if (along < Math.min(rect.width, rect.height) / 3) continue;
    const far = along + 3 * aside;
    if (best === undefined || far < best.far) best = { far, ...there };
  }
  return best === undefined
    ? undefined
    : { x: currentCoordinates.x + best.x - here.x, y: currentCoordinates.y + best.y - here.y };
};
