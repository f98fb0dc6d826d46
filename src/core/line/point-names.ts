import type { Line } from "../formats";

/** Every name by which a registered valve can stand on a line: its places, the tags that stand there, its links. */
export const pointNames = (line: Line): ReadonlySet<string> =>
  new Set([
    ...line.nodes.flatMap((node) => (node.asset === undefined ? [node.id] : [node.id, node.asset])),
    ...line.links.map((link) => link.id),
  ]);
