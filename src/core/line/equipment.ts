import type { Line } from "../formats";

/** The node of a valve and all that belong to the same equipment: its water and its power, say. */
export function equipmentAt(line: Line, at: string): string[] {
  const found = new Set<string>();
  const add = (id: string) => {
    const node = line.nodes.find((each) => each.id === id || each.asset === id);
    if (node === undefined || found.has(node.id)) return;
    found.add(node.id);
    for (const other of node.with ?? []) add(other);
  };
  add(at);
  return [...found];
}
