"use client";

import { Maximize2, Minus, Plus } from "lucide-react";
import { memo, type PointerEvent, useMemo, useRef } from "react";
import type { Line } from "@/core/formats";
import type { PipeState } from "@/core/line";
import type { LineView } from "../line-view";
import { useSpeaker } from "../use-speaker";
import { type Box, type Cell, type LineLayout, layOutLine, pathOf, type XY } from "./line-layout";
import { LinkMark } from "./link-mark";
import { NodeMark } from "./node-mark";
import { Pipe, type PipeKind, pipeKind } from "./pipe";
import { usePanZoom } from "./use-pan-zoom";

/** More links than this in view are drawn as plain lines: nobody can read their marks. */
const MOST_MARKED = 700;
const ZOOM_STEP = 1.35;

/** The line as drawn pipes, each state by colour and by pattern; it can be moved and zoomed, its valves tapped. */
export function LineDrawing({ view, onMoved }: { view: LineView; onMoved?: (node: string, to: XY) => void }) {
  const words = useSpeaker().say.drawing.line;
  const layout = useMemo(() => layOutLine(view.line), [view.line]);
  const focus = view.target === undefined ? undefined : layout.at.get(view.target);
  const { ref, transform, window, onKeyDown, by, whole } = usePanZoom(layout.box, focus);
  const dragged = useRef<{ node: string; from: XY; start: XY }>(null);
  const drag = (event: PointerEvent) => {
    const held = dragged.current;
    if (held === null) return;
    onMoved?.(held.node, [
      Math.round(held.start[0] + (event.clientX - held.from[0]) / transform.k),
      Math.round(held.start[1] + (event.clientY - held.from[1]) / transform.k),
    ]);
  };
  return (
    <div className="relative h-full w-full" data-pans="">
      <svg
        ref={ref}
        className="block h-full w-full touch-none select-none"
        role="group"
        tabIndex={0}
        aria-label={words.help(view.line.name)}
        onKeyDown={onKeyDown}
        onPointerDown={(event) => {
          const node = (event.target as Element).closest("[data-drag]")?.getAttribute("data-drag");
          if (node === null || node === undefined || onMoved === undefined) return;
          event.currentTarget.setPointerCapture(event.pointerId);
          dragged.current = { node, from: [event.clientX, event.clientY], start: layout.at.get(node)! };
        }}
        onPointerMove={drag}
        onPointerUp={(event) => {
          drag(event);
          dragged.current = null;
        }}
      >
        <g transform={`translate(${transform.x} ${transform.y}) scale(${transform.k})`}>
          <Contents view={view} layout={layout} window={window} />
        </g>
      </svg>
      <div className="no-print absolute right-2 bottom-2 flex flex-col gap-1.5">
        {(
          [
            [words.nearer, Plus, () => by(ZOOM_STEP)],
            [words.further, Minus, () => by(1 / ZOOM_STEP)],
            [words.whole, Maximize2, whole],
          ] as const
        ).map(([label, Icon, act]) => (
          <button
            key={label}
            type="button"
            aria-label={label}
            className="grid size-12 place-items-center rounded-md border border-rule bg-card"
            onClick={act}
          >
            <Icon size={20} aria-hidden />
          </button>
        ))}
      </div>
    </div>
  );
}

/** The same, small and still, fitted into its frame. */
export function LineStill({ view }: { view: LineView }) {
  const words = useSpeaker().say.drawing.line;
  const layout = useMemo(() => layOutLine(view.line), [view.line]);
  const { x, y, width, height } = layout.box;
  return (
    <svg
      viewBox={`${x} ${y} ${width} ${height}`}
      className="block h-full w-full select-none"
      role="img"
      aria-label={words.title(view.line.name)}
    >
      <Contents view={view} layout={layout} window={layout.box} />
    </svg>
  );
}

/** Only what shows: pipes, then places and valves; from afar only the pipes and what the plan is about. */
function Contents({ view, layout, window }: { view: LineView; layout: LineLayout; window: Box }) {
  const cells = layout.near(window);
  if (cells.reduce((sum, cell) => sum + cell.links.length, 0) <= MOST_MARKED)
    return (
      <>
        {cells.map((cell) => (
          <CellPipes key={cell.key} view={view} layout={layout} cell={cell} />
        ))}
        {cells.map((cell) => (
          <CellMarks key={cell.key} view={view} layout={layout} cell={cell} />
        ))}
      </>
    );
  const { line } = view;
  const target = view.target === undefined ? undefined : layout.node.get(view.target);
  return (
    <>
      {layout.far(window).map((cell) => (
        <FarPipes key={cell.key} view={view} layout={layout} cell={cell} />
      ))}
      {target !== undefined && <NodeMark node={target} at={layout.at.get(target.id)!} view={view} />}
      {line.links.map((link, index) =>
        view.numbered.has(link.id) ? (
          <LinkMark key={link.id} course={layout.courses[index]!} view={view} />
        ) : null,
      )}
    </>
  );
}

interface CellProps {
  readonly view: LineView;
  readonly layout: LineLayout;
  readonly cell: Cell;
}

const CellPipes = memo(function CellPipes({ view, layout, cell }: CellProps) {
  return cell.links.map((index) => {
    const { link, first, second } = layout.courses[index]!;
    const kind = (end: string) => pipeKind(view.line.medium, link, layout.node.get(end));
    return (
      <g key={link.id}>
        <Pipe course={pathOf(first)} state={view.stateOf(link.from)} kind={kind(link.from)} />
        <Pipe course={pathOf(second)} state={view.stateOf(link.to)} kind={kind(link.to)} />
      </g>
    );
  });
});

const CellMarks = memo(function CellMarks({ view, layout, cell }: CellProps) {
  const { nodes } = view.line;
  return (
    <>
      {cell.nodes.map((index) => (
        <NodeMark
          key={nodes[index]!.id}
          node={nodes[index]!}
          at={layout.at.get(nodes[index]!.id)!}
          view={view}
        />
      ))}
      {cell.links.map((index) => (
        <LinkMark key={layout.courses[index]!.link.id} course={layout.courses[index]!} view={view} />
      ))}
    </>
  );
});

/** Widths in pixels, whatever the zoom. */
const FAR: Record<PipeState, { stroke: string; width: number; dash?: string }> = {
  live: { stroke: "var(--live)", width: 1.3 },
  "shut-in": { stroke: "var(--ink-shut-in)", width: 4, dash: "4 2" },
  dead: { stroke: "var(--edge)", width: 3, dash: "1 2" },
  unknown: { stroke: "var(--stop)", width: 3, dash: "2 2" },
};

/** Hundreds of pipes as one path for each state. */
const FarPipes = memo(function FarPipes({ view, layout, cell }: CellProps) {
  const paths: Partial<Record<PipeState, string>> = {};
  const add = (state: PipeState, points: readonly XY[]) => {
    paths[state] = `${paths[state] ?? ""}${pathOf(points)}`;
  };
  for (const index of cell.links) {
    const { link, first, second } = layout.courses[index]!;
    add(view.stateOf(link.from), first);
    add(view.stateOf(link.to), second);
  }
  return (Object.keys(FAR) as PipeState[]).map((state) => {
    const { stroke, width, dash } = FAR[state];
    return paths[state] === undefined ? null : (
      <path
        key={state}
        d={paths[state]}
        fill="none"
        vectorEffect="non-scaling-stroke"
        stroke={stroke}
        strokeWidth={width}
        strokeDasharray={dash}
      />
    );
  });
});

/** What kinds of pipe a drawing shows, for its key. */
export function kindsOf(line: Line): ReadonlySet<PipeKind> {
  const nodes = new Map(line.nodes.map((node) => [node.id, node]));
  return new Set(
    line.links.flatMap((link) =>
      [link.from, link.to].map((end) => pipeKind(line.medium, link, nodes.get(end))),
    ),
  );
}
