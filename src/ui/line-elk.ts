"use client";

import ELK, { type ElkExtendedEdge, type ElkNode } from "elkjs/lib/elk-api";
import type { Line } from "@/core/formats";
import type { XY } from "./draw/line-layout";

const LAYOUT = {
  "elk.algorithm": "layered",
  "elk.direction": "RIGHT",
  "elk.edgeRouting": "ORTHOGONAL",
  "elk.spacing.nodeNode": "60",
  "elk.layered.spacing.nodeNodeBetweenLayers": "110",
  "elk.layered.spacing.edgeNodeBetweenLayers": "40",
  "elk.separateConnectedComponents": "true",
  "elk.spacing.componentComponent": "90",
};
const SIZE = 44;

/** Places every node of a line, and the corners of its pipes, in a worker: flow runs from left to right. */
export async function layOutInWorker(line: Line): Promise<Line> {
  const elk = new ELK({
    workerFactory: () =>
      new Worker(new URL("../workers/layout.worker.ts", import.meta.url), { type: "module" }),
  });
  try {
    const laid = await elk.layout({
      id: "line",
      layoutOptions: LAYOUT,
      children: line.nodes.map((node) => ({ id: node.id, width: SIZE, height: SIZE })),
      edges: line.links.map((link) => ({ id: `=${link.id}`, sources: [link.from], targets: [link.to] })),
    });
    return withPlaces(line, laid);
  } finally {
    elk.terminateWorker();
  }
}

function withPlaces(line: Line, laid: ElkNode): Line {
  const places = new Map(laid.children?.map((node) => [node.id, node]));
  const edges = new Map(laid.edges?.map((edge) => [edge.id, edge as ElkExtendedEdge]));
  const whole = (x: number, y: number): [number, number] => [Math.round(x), Math.round(y)];
  const via = (id: string): XY[] =>
    edges
      .get(`=${id}`)
      ?.sections?.flatMap((section) => section.bendPoints?.map(({ x, y }) => whole(x, y)) ?? []) ?? [];
  return {
    ...line,
    nodes: line.nodes.map((node) => {
      const place = places.get(node.id);
      return place === undefined
        ? node
        : { ...node, at: whole((place.x ?? 0) + SIZE / 2, (place.y ?? 0) + SIZE / 2) };
    }),
    links: line.links.map((link) => {
      const { via: _, ...bare } = link;
      const corners = via(link.id);
      return (corners.length === 0 ? bare : { ...bare, via: corners }) as typeof link;
    }),
  };
}
