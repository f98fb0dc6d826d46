import type { ReactNode } from "react";
import type { LineNode } from "@/core/formats";
import { originOf } from "@/core/line";
import type { LineView } from "../line-view";
import { useSpeaker } from "../use-speaker";
import type { XY } from "./line-layout";
import { Label, OrderNumber, Tap } from "./mark-parts";

/** A place of the line: source, vessel, consumer, drain, vent, gauge, relief, three-way valve, a valve worked on. */
export function NodeMark({ node, at: [x, y], view }: { node: LineNode; at: XY; view: LineView }) {
  const words = useSpeaker().say.drawing.line;
  const id = originOf(node.id);
  if (id !== node.id) return null;
  const name = node.name ?? node.id;
  const lost = view.lost.has(id);
  const target = view.target === id;
  const onTap = view.onNode && node.kind !== "junction" ? () => view.onNode?.(id) : undefined;
  const tap = (label: string, children: ReactNode) => (
    <Tap
      onTap={node.asset !== undefined && view.onNode ? () => view.onNode?.(id) : onTap}
      label={label}
      pressed={target}
      drag={view.draggable ? id : undefined}
    >
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
      <circle cx={x} cy={y} r={24} fill="transparent" />
      {children}
    </Tap>
  );
  switch (node.kind) {
    case "source":
    case "boundary":
    case "vessel":
      return tap(
        words.feeds(name),
        <NameBox name={name} at={[x, y]} look={node.kind === "vessel" ? "vessel" : "source"} />,
      );
    case "consumer":
      return node.hydrant
        ? tap(
            lost ? words.out(words.hydrant(node.asset ?? name)) : words.hydrant(node.asset ?? name),
            <Hydrant name={node.asset ?? name} at={[x, y]} lost={lost} target={target} />,
          )
        : tap(
            lost ? words.out(name) : name,
            <NameBox name={name} at={[x, y]} look={lost ? "lost" : "consumer"} />,
          );
    case "drain": {
      const used = view.drain === id || view.bleeds.has(id);
      return tap(
        words.drain(name),
        <g>
          <path
            d={`M${x} ${y - 10} v16 m-8 -3 l8 10 l8 -10`}
            fill="none"
            stroke={used ? "var(--wait)" : "var(--soft)"}
            strokeWidth={2.8}
          />
          <Label at={[x + 14, y + 12]} tone={used ? "var(--wait)" : "var(--soft)"}>
            {view.drain === id ? words.drainsHere(name) : view.bleeds.has(id) ? words.bleedsHere(name) : name}
          </Label>
        </g>,
      );
    }
    case "vent": {
      const used = view.bleeds.has(id);
      const proves = view.prove.has(id);
      return tap(
        words.vent(name),
        <g>
          <path
            d={`M${x} ${y + 10} v-16 m-8 3 l8 -10 l8 10`}
            fill="none"
            stroke={used ? "var(--wait)" : proves ? "var(--go)" : "var(--soft)"}
            strokeWidth={2.6}
          />
          <Label
            at={[x + 12, y + 4]}
            tone={used ? "var(--wait)" : proves ? "var(--go-text)" : "var(--soft)"}
            small
          >
            {used ? words.bleedsHere(name) : proves ? words.zeroHere(name) : name}
          </Label>
        </g>,
      );
    }
    case "gauge": {
      const proves = view.prove.has(id);
      return tap(
        words.gauge(name),
        <g>
          <circle
            cx={x}
            cy={y}
            r={11}
            fill="var(--shape)"
            stroke={proves ? "var(--go)" : "var(--shape-edge)"}
            strokeWidth={proves ? 3.5 : 2}
          />
          <path d={`M${x} ${y} l5 -6`} stroke="var(--shape-edge)" strokeWidth={2} />
          <Label at={[x + 16, y + 5]} tone={proves ? "var(--go-text)" : "var(--soft)"} small>
            {proves ? words.zeroHere(name) : name}
          </Label>
        </g>,
      );
    }
    case "relief":
      return tap(
        name,
        <g>
          <path
            d={`M${x - 8} ${y + 12} L${x + 8} ${y + 12} L${x} ${y}z M${x} ${y} l12 -6 v12z M${x} ${y} v-14 m-6 0 h12 m-12 4 h12`}
            fill="var(--shape)"
            stroke="var(--shape-edge)"
            strokeWidth={1.8}
            strokeLinejoin="round"
          />
          <Label at={[x, y - 20]} tone={target ? "var(--ink)" : "var(--soft)"} middle small>
            {node.asset ?? name}
          </Label>
        </g>,
      );
    case "three-way": {
      const position = view.positions.get(id);
      const number = view.numbered.get(id);
      return tap(
        words.threeWay(name, position ?? ""),
        <g>
          <path
            d={`M${x - 14} ${y - 10} L${x} ${y} L${x - 14} ${y + 10}z M${x + 14} ${y - 10} L${x} ${y} L${x + 14} ${y + 10}z M${x - 9} ${y + 15} L${x} ${y} L${x + 9} ${y + 15}z`}
            fill="var(--shape)"
            stroke="var(--shape-edge)"
            strokeWidth={2}
            strokeLinejoin="round"
          />
          <circle cx={x} cy={y} r={4} fill="var(--shape-shut)" />
          <Label at={[x + 20, y + 12]} tone="var(--ink)">
            {id}
          </Label>
          {position !== undefined && (
            <Label at={[x + 20, y + 27]} tone={number === undefined ? "var(--soft)" : "var(--wait)"} small>
              {position}
            </Label>
          )}
          {number !== undefined && <OrderNumber at={[x - 28, y + 4]}>{number}</OrderNumber>}
        </g>,
      );
    }
    case "junction":
      if (node.asset === undefined && !view.draggable) return null;
      return tap(
        node.asset === undefined ? words.joint(id) : `${node.asset} ${name}`,
        node.asset === undefined ? (
          <circle cx={x} cy={y} r={9} fill="var(--sunk)" stroke="var(--edge)" strokeWidth={2} />
        ) : (
          <g>
            <rect
              x={x - 15}
              y={y - 13}
              width={30}
              height={26}
              rx={4}
              fill={target ? "var(--ink-lit-deep)" : "var(--brass-bg)"}
              stroke={target ? "var(--ink-line)" : "var(--brass-line)"}
              strokeWidth={2}
            />
            <circle
              cx={x}
              cy={y}
              r={4.5}
              fill="none"
              stroke={target ? "var(--ink-line)" : "var(--brass)"}
              strokeWidth={2}
            />
            <Label at={[x + 19, y - 14]} tone="var(--ink)">
              {node.asset}
            </Label>
          </g>
        ),
      );
  }
}

const BOX = {
  source: { fill: "var(--ink-water-deep)", edge: "var(--draw)", ink: "var(--ink-white)" },
  vessel: { fill: "var(--ink-water-deep)", edge: "var(--draw)", ink: "var(--ink-white)" },
  consumer: { fill: "var(--card)", edge: "var(--ink)", ink: "var(--ink)" },
  lost: { fill: "var(--ink-lost-pale)", edge: "var(--ink-lost)", ink: "var(--ink-lost)" },
} as const;

function NameBox({ name, at: [x, y], look }: { name: string; at: XY; look: keyof typeof BOX }) {
  const { fill, edge, ink } = BOX[look];
  const rows = look === "vessel" || name.length > 14 ? inTwo(name) : [name];
  const width = Math.max(58, Math.max(...rows.map((row) => row.length)) * 7.6 + 18);
  const height = rows.length === 2 ? 46 : 34;
  return (
    <g>
      <rect
        x={x - width / 2}
        y={y - height / 2}
        width={width}
        height={height}
        rx={look === "vessel" ? 16 : 4}
        fill={fill}
        stroke={edge}
        strokeWidth={1.8}
      />
      {rows.map((row, index) => (
        <text
          key={row}
          x={x}
          y={y + 5.5 + (index - (rows.length - 1) / 2) * 18}
          textAnchor="middle"
          className="plate"
          fontSize={15.5}
          fill={ink}
        >
          {row}
        </text>
      ))}
    </g>
  );
}

/** A name in at most two rows, broken at the blank nearest its middle. */
function inTwo(name: string): string[] {
  const blanks = [...name].flatMap((letter, index) => (letter === " " ? [index] : []));
  const middle = name.length / 2;
  const at = blanks.sort((a, b) => Math.abs(a - middle) - Math.abs(b - middle))[0];
  return at === undefined ? [name] : [name.slice(0, at), name.slice(at + 1)];
}

function Hydrant({
  name,
  at: [x, y],
  lost,
  target,
}: {
  name: string;
  at: XY;
  lost: boolean;
  target: boolean;
}) {
  return (
    <g>
      <circle cx={x} cy={y} r={26} fill="transparent" />
      <path
        d={`M${x - 8} ${y + 16} V${y - 4} a8 8 0 0 1 16 0 V${y + 16} z M${x - 13} ${y + 16} h26 M${x - 13} ${y + 1} h26`}
        fill={target ? "var(--ink-lit-deep)" : lost ? "var(--ink-lost-pale)" : "var(--shape)"}
        stroke={lost && !target ? "var(--stop)" : "var(--shape-edge)"}
        strokeWidth={2}
        strokeLinejoin="round"
      />
      <Label at={[x + 20, y - 8]} tone={lost ? "var(--stop)" : "var(--ink)"}>
        {name}
      </Label>
    </g>
  );
}
