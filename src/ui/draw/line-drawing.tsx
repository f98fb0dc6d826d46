"use client";

import type { ReactNode } from "react";
import type { Line, LineLink, LineNode } from "@/core/formats";

/** How a stretch of pipe stands. */
export type PipeState = "live" | "dead" | "shut-in" | "unknown";

export interface LineView {
  readonly line: Line;
  readonly stateOf: (node: string) => PipeState;
  /** Links shut now, or to be shut. */
  readonly shut: ReadonlySet<string>;
  /** Closures by number, in order. */
  readonly numbered: ReadonlyMap<string, number>;
  readonly target?: string;
  readonly drain?: string;
  readonly prove?: string;
  readonly lost: ReadonlySet<string>;
  readonly passing: ReadonlySet<string>;
  readonly onValve?: (link: string) => void;
  readonly onNode?: (node: string) => void;
}

type XY = readonly [number, number];
const MARGIN = 56;

/** The line as drawn pipes, each state by colour and by pattern; valves can be tapped. */
export function LineDrawing(view: LineView) {
  const { line } = view;
  const at = new Map(
    line.nodes.map((node, index) => [
      node.id,
      (node.at ?? [80 + (index % 8) * 100, 80 + Math.floor(index / 8) * 90]) as XY,
    ]),
  );
  const xs = [...at.values()].map(([x]) => x);
  const ys = [...at.values()].map(([, y]) => y);
  const box = [
    Math.min(...xs) - MARGIN,
    Math.min(...ys) - MARGIN,
    Math.max(...xs) - Math.min(...xs) + 2 * MARGIN,
    Math.max(...ys) - Math.min(...ys) + 2 * MARGIN,
  ];
  const drawn = line.links.map((link) => ({ link, ...courseOf(link, at) }));
  return (
    <svg
      viewBox={box.join(" ")}
      className="block h-full w-full select-none"
      role="group"
      aria-label={`Drawing of ${line.name}`}
    >
      <defs>
        <pattern id="dots" width={24} height={24} patternUnits="userSpaceOnUse">
          <circle cx={1} cy={1} r={0.9} fill="var(--grid)" />
        </pattern>
      </defs>
      <rect x={box[0]} y={box[1]} width={box[2]} height={box[3]} fill="url(#dots)" />
      {drawn.map(({ link, first, second }) => (
        <g key={link.id}>
          <Pipe course={first} state={view.stateOf(link.from)} />
          <Pipe course={second} state={view.stateOf(link.to)} />
        </g>
      ))}
      {line.nodes.map((node) => (
        <NodeMark key={node.id} node={node} at={at.get(node.id)!} view={view} />
      ))}
      {drawn.map(({ link, middle, angle }) =>
        link.kind === "pipe" ? null : (
          <LinkMark key={link.id} link={link} at={middle} angle={angle} view={view} />
        ),
      )}
    </svg>
  );
}

/** A link's course, parted in the middle: each half takes the state of its own end. */
function courseOf(link: LineLink, at: ReadonlyMap<string, XY>) {
  const points: XY[] = [at.get(link.from)!, ...(link.via ?? []), at.get(link.to)!];
  const lengths = points
    .slice(1)
    .map((point, index) => Math.hypot(point[0] - points[index]![0], point[1] - points[index]![1]));
  const half = lengths.reduce((sum, each) => sum + each, 0) / 2;
  let walked = 0;
  let leg = 0;
  while (leg < lengths.length - 1 && walked + lengths[leg]! < half) walked += lengths[leg++]!;
  const [a, b] = [points[leg]!, points[leg + 1]!];
  const share = lengths[leg] ? (half - walked) / lengths[leg]! : 0;
  const middle: XY = [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share];
  const path = (list: readonly XY[]) => `M${list.map((point) => point.join(" ")).join(" L")}`;
  return {
    first: path([...points.slice(0, leg + 1), middle]),
    second: path([middle, ...points.slice(leg + 1)]),
    middle,
    angle: (Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI,
  };
}

function Pipe({ course, state }: { course: string; state: PipeState }) {
  const shared = { d: course, fill: "none", strokeLinejoin: "round" as const };
  switch (state) {
    case "live":
      return (
        <g>
          <path {...shared} stroke="var(--draw)" strokeWidth={10.5} />
          <path {...shared} stroke="var(--live)" strokeWidth={7.5} />
          <path {...shared} stroke="var(--live-mark)" strokeWidth={2} strokeDasharray="9 15" />
        </g>
      );
    case "shut-in":
      return (
        <g>
          <path {...shared} stroke="#9A5800" strokeWidth={10.5} />
          <path {...shared} stroke="#FBE8C8" strokeWidth={7.5} />
          <path {...shared} stroke="#9A5800" strokeWidth={7} strokeDasharray="2 7" className="runs-out" />
        </g>
      );
    case "dead":
      return (
        <g>
          <path {...shared} stroke="var(--draw)" strokeWidth={10.5} />
          <path {...shared} stroke="#FFFDF7" strokeWidth={7.5} />
        </g>
      );
    case "unknown":
      return <path {...shared} stroke="var(--edge)" strokeWidth={8} strokeDasharray="6 4" />;
  }
}

export function PipeKey() {
  const states: [PipeState, string][] = [
    ["live", "live"],
    ["shut-in", "shut in, draining"],
    ["dead", "dead"],
  ];
  return (
    <ul className="plate flex flex-wrap gap-x-5 gap-y-1 text-[15px] text-soft">
      {states.map(([state, says]) => (
        <li key={state} className="flex items-center gap-2">
          <svg width={40} height={14} aria-hidden="true">
            <Pipe course="M0 7H40" state={state} />
          </svg>
          {says}
        </li>
      ))}
    </ul>
  );
}

const TEXT = { className: "plate", fontSize: 16 } as const;

function Tap({
  onTap,
  label,
  pressed,
  children,
}: {
  onTap: (() => void) | undefined;
  label: string;
  pressed?: boolean;
  children: ReactNode;
}) {
  if (onTap === undefined) return <g>{children}</g>;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={label}
      aria-pressed={pressed}
      className="cursor-pointer"
      onClick={onTap}
      onKeyDown={(event) => {
        if (event.key !== "Enter" && event.key !== " ") return;
        event.preventDefault();
        event.stopPropagation();
        onTap();
      }}
    >
      {children}
    </g>
  );
}

function LinkMark({
  link,
  at: [x, y],
  angle,
  view,
}: {
  link: LineLink;
  at: XY;
  angle: number;
  view: LineView;
}) {
  const steep = Math.abs(Math.sin((angle * Math.PI) / 180)) > 0.7;
  const shut =
    view.shut.has(link.id) ||
    ((link.kind === "valve" || link.kind === "control-valve") && link.normally === "shut");
  const bad = link.kind === "valve" && (!link.operable || link.passes === true || view.passing.has(link.id));
  const flaw = link.kind !== "valve" ? "" : !link.operable ? " seized" : bad ? " passes" : "";
  const number = view.numbered.get(link.id);
  const ink = bad ? "var(--stop)" : "var(--ink)";
  const label: XY = steep ? [x - 20, y + 6] : [x, y - 18];
  return (
    <Tap
      onTap={view.onValve && link.kind === "valve" ? () => view.onValve?.(link.id) : undefined}
      label={`${link.id} ${link.name ?? ""}${flaw}, ${shut ? "shut" : "open"}`}
      pressed={shut}
    >
      <circle cx={x} cy={y} r={24} fill="transparent" />
      <g transform={`translate(${x} ${y}) rotate(${angle})`}>
        {link.kind === "check" ? (
          <path d="M-12 -11 L12 0 L-12 11z M13 -11 V11" fill="#FFFDF7" stroke={ink} strokeWidth={2} />
        ) : link.kind === "pump" ? (
          <circle r={14} fill="#FFFDF7" stroke={ink} strokeWidth={2} />
        ) : (
          <path
            d="M-15 -11 L15 11 V-11 L-15 11z"
            fill={shut ? "#17242D" : bad ? "#F8DEDA" : "#FFFDF7"}
            stroke={bad ? "var(--stop)" : "#17242D"}
            strokeWidth={2}
            strokeLinejoin="round"
          />
        )}
        {link.kind === "control-valve" && (
          <path d="M0 0 V-16 M-9 -16 a9 9 0 0 1 18 0z" fill="#FFFDF7" stroke={ink} strokeWidth={2} />
        )}
      </g>
      <text x={label[0]} y={label[1]} textAnchor={steep ? "end" : "middle"} fill={ink} {...TEXT}>
        {link.id}
        {flaw && (
          <tspan x={label[0]} dy={steep ? 16 : -15} fontSize={14}>
            {flaw.trim()}
          </tspan>
        )}
      </text>
      {number !== undefined && (
        <g>
          <circle cx={steep ? x + 27 : x} cy={steep ? y : y + 27} r={13} fill="var(--ink)" />
          <text
            x={steep ? x + 27 : x}
            y={(steep ? y : y + 27) + 6}
            textAnchor="middle"
            fill="var(--card)"
            className="plate"
            fontSize={18}
          >
            {number}
          </text>
        </g>
      )}
    </Tap>
  );
}

function NodeMark({ node, at: [x, y], view }: { node: LineNode; at: XY; view: LineView }) {
  const lost = view.lost.has(node.id);
  const target = view.target === node.id;
  const name = node.name ?? node.id;
  switch (node.kind) {
    case "source":
    case "boundary":
    case "vessel": {
      const width = Math.max(74, name.length * 7.4);
      return (
        <g>
          <rect
            x={x - Math.min(width / 2, 44)}
            y={y - 20}
            width={width}
            height={40}
            rx={4}
            fill="#22609C"
            stroke="var(--draw)"
            strokeWidth={1.6}
          />
          <text
            x={x - Math.min(width / 2, 44) + width / 2}
            y={y + 6}
            textAnchor="middle"
            className="plate"
            fontSize={15.5}
            fill="#fff"
          >
            {name}
          </text>
        </g>
      );
    }
    case "consumer":
      return node.hydrant ? (
        <Tap
          onTap={view.onNode && (() => view.onNode?.(node.id))}
          label={`Hydrant ${name}${lost ? ", out of service" : ""}`}
          pressed={target}
        >
          <circle cx={x} cy={y} r={26} fill="transparent" />
          {target && (
            <circle
              cx={x}
              cy={y}
              r={30}
              fill="var(--lit-bg)"
              stroke="var(--brass-line)"
              strokeWidth={2}
              strokeDasharray="5 4"
            />
          )}
          <path
            d={`M${x - 8} ${y + 16} V${y - 4} a8 8 0 0 1 16 0 V${y + 16} z M${x - 13} ${y + 16} h26 M${x - 13} ${y + 1} h26`}
            fill={target ? "#EFB74A" : lost ? "#F8DEDA" : "#FFFDF7"}
            stroke={lost && !target ? "var(--stop)" : "#17242D"}
            strokeWidth={2}
            strokeLinejoin="round"
          />
          <text x={x + 20} y={y - 8} {...TEXT} fill={lost ? "var(--stop)" : "var(--ink)"}>
            {name}
          </text>
        </Tap>
      ) : (
        <g>
          <rect
            x={x - name.length * 3.8 - 8}
            y={y - 17}
            width={name.length * 7.6 + 16}
            height={34}
            rx={4}
            fill={lost ? "#F8DEDA" : "var(--card)"}
            stroke={lost ? "var(--stop)" : "var(--ink)"}
            strokeWidth={1.8}
          />
          <text
            x={x}
            y={y + 6}
            textAnchor="middle"
            className="plate"
            fontSize={15.5}
            fill={lost ? "#B3261E" : "var(--ink)"}
          >
            {name}
          </text>
        </g>
      );
    case "drain":
      return (
        <g>
          <path
            d={`M${x} ${y - 8} v18 m-8 -3 l8 10 l8 -10`}
            fill="none"
            stroke={view.drain === node.id ? "var(--wait)" : "var(--soft)"}
            strokeWidth={2.8}
          />
          <text x={x + 14} y={y + 12} {...TEXT} fill={view.drain === node.id ? "var(--wait)" : "var(--soft)"}>
            {name.split(" ")[0]}
            {view.drain === node.id ? " lowest" : ""}
          </text>
        </g>
      );
    case "vent":
      return (
        <path
          d={`M${x} ${y + 8} v-18 m-8 3 l8 -10 l8 10`}
          fill="none"
          stroke="var(--soft)"
          strokeWidth={2.6}
        />
      );
    case "gauge":
      return <circle cx={x} cy={y} r={11} fill="var(--card)" stroke="var(--ink)" strokeWidth={2} />;
    case "junction":
      return null;
  }
}
