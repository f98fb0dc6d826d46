"use client";

import "@xyflow/react/dist/base.css";
import {
  type Connection,
  type Edge,
  Handle,
  MarkerType,
  type Node,
  type NodeProps,
  Panel,
  Position,
  ReactFlow,
  useNodesState,
  useReactFlow,
} from "@xyflow/react";
import { Maximize2, Minus, Plus } from "lucide-react";
import { type ReactNode, useEffect, useMemo } from "react";
import type { Part, Sheet } from "@/core/formats";
import { PartIcon } from "@/ui/draw/part";
import { layOutGraph } from "@/ui/lay-out-graph";

type PartNode = Node<{ part: Part; chosen: boolean }, "part">;

/** A part as a plate: what holds it comes in from above, what it holds goes out below. */
function PartPlate({ data: { part, chosen } }: NodeProps<PartNode>) {
  return (
    <div
      className={`flex w-[190px] items-center gap-2 rounded-md border-2 bg-card px-2 py-1 ${chosen ? "border-brass-line" : "border-edge"}`}
    >
      <Handle type="target" position={Position.Top} className="!size-4 !border-2 !border-ink !bg-card" />
      <PartIcon part={part} size={38} />
      <span className="text-fine leading-tight">
        {part.name}
        {part.stays === true && <small className="block text-soft">stays</small>}
      </span>
      <Handle type="source" position={Position.Bottom} className="!size-4 !border-2 !border-ink !bg-go" />
    </div>
  );
}
const NODE_TYPES = { part: PartPlate };

/** The first way out in ink, a second in blue. */
const inkOf = (way: number) => (way === 0 ? "var(--ink)" : "var(--cold)");

/** "Holder, held, way" of an edge. */
const edgeId = (holder: string, part: string, way: number) => `${holder}>${part}>${way}`;

/**
 * What holds what, to be drawn: a line from a part to what it holds. Draw a new one from handle to handle, take one
 * away by choosing it and pressing Delete; a second way out is drawn dashed.
 */
export function HeldByGraph({
  sheet,
  chosen,
  onChoose,
  onHold,
  onFree,
}: {
  sheet: Sheet;
  chosen: string | undefined;
  onChoose: (part: string) => void;
  /** The first part now holds the second. */
  onHold: (holder: string, part: string) => void;
  onFree: (holder: string, part: string, way: number) => void;
}) {
  const edges = useMemo(() => edgesOf(sheet), [sheet]);
  const [nodes, setNodes, onNodesChange] = useNodesState<PartNode>([]);
  const shape = sheet.parts.map((part) => part.id).join("|");

  // Laid out anew only when parts come or go: what was dragged stays where it was put.
  // biome-ignore lint/correctness/useExhaustiveDependencies: see above
  useEffect(() => {
    let gone = false;
    void layOutGraph(
      sheet.parts.map((part) => ({ id: part.id, width: 200, height: 54 })),
      edges.map((edge) => ({ id: edge.id, from: edge.source, to: edge.target })),
    ).then((places) => {
      if (gone) return;
      setNodes(
        sheet.parts.map((part) => ({
          id: part.id,
          type: "part" as const,
          position: places.get(part.id) ?? { x: 0, y: 0 },
          data: { part, chosen: part.id === chosen },
        })),
      );
    });
    return () => {
      gone = true;
    };
  }, [shape]);

  useEffect(() => {
    setNodes((now) =>
      now.flatMap((node) => {
        const part = sheet.parts.find((each) => each.id === node.id);
        return part === undefined ? [] : [{ ...node, data: { part, chosen: part.id === chosen } }];
      }),
    );
  }, [sheet, chosen, setNodes]);

  const onConnect = ({ source, target }: Connection) => source !== target && onHold(source, target);
  if (nodes.length === 0) return <p className="p-4 text-soft">Laying it out …</p>;
  return (
    <ReactFlow
      nodes={nodes}
      edges={edges}
      nodeTypes={NODE_TYPES}
      onNodesChange={onNodesChange}
      onConnect={onConnect}
      onNodeClick={(_, node) => onChoose(node.id)}
      onEdgesDelete={(gone) =>
        gone.forEach((edge) => {
          const [holder, part, way] = edge.id.split(">") as [string, string, string];
          onFree(holder, part, Number(way));
        })
      }
      deleteKeyCode={["Delete", "Backspace"]}
      nodesDraggable
      fitView
      fitViewOptions={{ minZoom: 0.8, padding: 0.05 }}
      minZoom={0.2}
      aria-label="What holds what"
      proOptions={{ hideAttribution: true }}
    >
      <Zoom />
    </ReactFlow>
  );
}

/** Nearer, farther, and all of it: as on the drawing of a line. */
function Zoom() {
  const { zoomIn, zoomOut, fitView } = useReactFlow();
  return (
    <Panel position="bottom-left" className="flex gap-2">
      <ZoomButton label="Farther" onClick={() => void zoomOut()}>
        <Minus size={20} aria-hidden />
      </ZoomButton>
      <ZoomButton label="Nearer" onClick={() => void zoomIn()}>
        <Plus size={20} aria-hidden />
      </ZoomButton>
      <ZoomButton label="All of it" onClick={() => void fitView({ minZoom: 0.5, padding: 0.05 })}>
        <Maximize2 size={18} aria-hidden />
      </ZoomButton>
    </Panel>
  );
}

function ZoomButton({
  label,
  onClick,
  children,
}: {
  label: string;
  onClick: () => void;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      onClick={onClick}
      className="grid size-11 place-items-center rounded-md border-2 border-edge bg-card"
    >
      {children}
    </button>
  );
}

function edgesOf(sheet: Sheet): Edge[] {
  const known = new Set(sheet.parts.map((part) => part.id));
  return sheet.parts.flatMap((part) =>
    part.ways.flatMap((way, index) =>
      way.heldBy
        .filter((holder) => known.has(holder))
        .map((holder) => ({
          id: edgeId(holder, part.id, index),
          source: holder,
          target: part.id,
          markerEnd: { type: MarkerType.ArrowClosed, width: 18, height: 18, color: inkOf(index) },
          style: {
            stroke: inkOf(index),
            strokeWidth: 2,
            ...(index > 0 && { strokeDasharray: "6 4" }),
          },
          interactionWidth: 28,
        })),
    ),
  );
}
