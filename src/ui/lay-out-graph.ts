import ELK from "elkjs/lib/elk-api";

const LAYOUT = {
  "elk.algorithm": "layered",
  "elk.direction": "DOWN",
  // Trees that hang on nothing in common stand side by side from one top.
  "elk.separateConnectedComponents": "false",
  "elk.spacing.nodeNode": "18",
  "elk.layered.spacing.nodeNodeBetweenLayers": "46",
};

/** Places of boxes whose arrows run downward, worked out beside the page. */
export async function layOutGraph(
  boxes: readonly { readonly id: string; readonly width: number; readonly height: number }[],
  arrows: readonly { readonly id: string; readonly from: string; readonly to: string }[],
): Promise<ReadonlyMap<string, { x: number; y: number }>> {
  const elk = new ELK({
    workerFactory: () =>
      new Worker(new URL("../workers/layout.worker.ts", import.meta.url), { type: "module" }),
  });
  try {
    const laid = await elk.layout({
      id: "graph",
      layoutOptions: LAYOUT,
      children: boxes.map((box) => ({ ...box })),
      edges: arrows.map(({ id, from, to }) => ({ id, sources: [from], targets: [to] })),
    });
    return new Map(laid.children?.map((box) => [box.id, { x: box.x ?? 0, y: box.y ?? 0 }]));
  } finally {
    elk.terminateWorker();
  }
}
