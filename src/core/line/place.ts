import type { Line } from "../formats";

/** Whether a line has a place or link of that name, where a registered valve can stand. */
export const holdsPlace = (line: Line, id: string): boolean =>
  line.nodes.some((node) => node.id === id || node.asset === id) || line.links.some((link) => link.id === id);
