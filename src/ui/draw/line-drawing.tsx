"use client";

import { Maximize2, Minus, Plus } from "lucide-react";
import { memo, type PointerEvent, useMemo, useRef } from "react";
import type { LineView } from "../line-view";
import { type Box, type LineLayout, layOutLine, pathOf, type XY } from "./line-layout";
import { LinkMark, NodeMark } from "./line-marks";
import { Pipe, type PipeKind, type PipeState, pipeKind } from "./pipe";
import { usePanZoom } from "./use-pan-zoom";

/** More links than this in view are drawn as plain lines: nobody can read their marks. */
const MOST_MARKED = 700;
const ZOOM_STEP = 1.35;

/** The line as drawn pipes, each state by colour and by pattern; it can be moved and zoomed, its valves tapped. */
export function LineDrawing({ view, onMoved }: { view: LineView; onMoved?: (node: string, to: XY) => void }) {
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
    <div className="relative h-full w-full">
      <svg
        ref={ref}
        className="block h-full w-full touch-none select-none"
        role="group"
        tabIndex={0}
        aria-label={`Drawing of ${view.line.name}. Arrow keys move it, plus and minus zoom, 0 shows it whole.`}
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
          <Contents view={view} layout={layout} {...tiled(window)} />
        </g>
      </svg>
      <div className="no-print absolute right-2 bottom-2 flex flex-col gap-1.5">
        {(
          [
            ["Nearer", Plus, () => by(ZOOM_STEP)],
            ["Further", Minus, () => by(1 / ZOOM_STEP)],
            ["Whole line", Maximize2, whole],
          ] as const
        ).map(([label, Icon, act]) => (
          <button
            key={label}
            type="button"
            aria-label={label}
            className="grid size-11 place-items-center rounded-md border border-rule bg-card"
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
  const layout = useMemo(() => layOutLine(view.line), [view.line]);
  const { x, y, width, height } = layout.box;
  return (
    <svg
      viewBox={`${x} ${y} ${width} ${height}`}
      className="block h-full w-full select-none"
      role="img"
      aria-label={`Drawing of ${view.line.name}`}
    >
      <Contents view={view} layout={layout} x={x} y={y} width={width} height={height} />
    </svg>
  );
}

const TILE = 300;
/** The window in whole tiles, so that what is drawn stays the same while the drawing moves a little. */
function tiled({ x, y, width, height }: Box): Box {
  const left = Math.floor(x / TILE) * TILE;
  const top = Math.floor(y / TILE) * TILE;
  return {
    x: left,
    y: top,
    width: Math.ceil((x + width) / TILE) * TILE - left,
    height: Math.ceil((y + height) / TILE) * TILE - top,
  };
}

/** Only what shows: pipes, then places, then valves; far away only the pipes and what the plan is about. */
const Contents = memo(function Contents({
  view,
  layout,
  x,
  y,
  width,
  height,
}: { view: LineView; layout: LineLayout } & Box) {
  const { line } = view;
  const { links, nodes } = layout.within({ x, y, width, height });
  const far = links.length > MOST_MARKED;
  const marked = far ? links.filter((index) => view.numbered.has(line.links[index]!.id)) : links;
  const named = far ? nodes.filter((index) => line.nodes[index]!.id === view.target) : nodes;
  return (
    <>
      {far ? (
        <FarPipes view={view} layout={layout} links={links} />
      ) : (
        links.map((index) => {
          const { link, first, second } = layout.courses[index]!;
          const kind = (end: string) => pipeKind(line.medium, link, layout.node.get(end));
          return (
            <g key={link.id}>
              <Pipe course={pathOf(first)} state={view.stateOf(link.from)} kind={kind(link.from)} />
              <Pipe course={pathOf(second)} state={view.stateOf(link.to)} kind={kind(link.to)} />
            </g>
          );
        })
      )}
      {named.map((index) => (
        <NodeMark
          key={line.nodes[index]!.id}
          node={line.nodes[index]!}
          at={layout.at.get(line.nodes[index]!.id)!}
          view={view}
        />
      ))}
      {marked.map((index) => (
        <LinkMark key={line.links[index]!.id} course={layout.courses[index]!} view={view} />
      ))}
    </>
  );
});

const FAR: Record<PipeState, { stroke: string; width: number; dash?: string }> = {
  live: { stroke: "var(--live)", width: 6 },
  "shut-in": { stroke: "#B96A00", width: 16, dash: "14 8" },
  dead: { stroke: "var(--edge)", width: 12, dash: "3 7" },
  unknown: { stroke: "var(--stop)", width: 12, dash: "8 8" },
};

/** Thousands of pipes as one path for each state. */
function FarPipes({ view, layout, links }: { view: LineView; layout: LineLayout; links: readonly number[] }) {
  const paths = new Map<PipeState, string[]>();
  const add = (state: PipeState, points: readonly XY[]) => {
    const list = paths.get(state);
    if (list === undefined) paths.set(state, [pathOf(points)]);
    else list.push(pathOf(points));
  };
  for (const index of links) {
    const { link, first, second } = layout.courses[index]!;
    const [from, to] = [view.stateOf(link.from), view.stateOf(link.to)];
    if (from === to) add(from, [first[0]!, ...first.slice(1, -1), ...second.slice(1)]);
    else {
      add(from, first);
      add(to, second);
    }
  }
  return (["live", "dead", "shut-in", "unknown"] as const).map((state) => {
    const { stroke, width, dash } = FAR[state];
    const parts = paths.get(state);
    return parts === undefined ? null : (
      <path
        key={state}
        d={parts.join("")}
        fill="none"
        stroke={stroke}
        strokeWidth={width}
        strokeDasharray={dash}
      />
    );
  });
}

/** What kinds of pipe a drawing shows, for its key. */
export function kindsOf({ line }: LineView): ReadonlySet<PipeKind> {
  const nodes = new Map(line.nodes.map((node) => [node.id, node]));
  return new Set(
    line.links.flatMap((link) =>
      [link.from, link.to].map((end) => pipeKind(line.medium, link, nodes.get(end))),
    ),
  );
}
