import type { Line, LineNode } from "../formats";

export type ThreeWayNode = LineNode & { threeWay: NonNullable<LineNode["threeWay"]> };

/** Which position each three-way valve stands in, by node id; one that is not named stands as on an ordinary day. */
export type Positions = ReadonlyMap<string, string>;

export const isThreeWay = (node: LineNode): node is ThreeWayNode => node.threeWay !== undefined;
export const threeWays = (line: Line): ThreeWayNode[] => line.nodes.filter(isThreeWay);

/** Between the name of a three-way valve and the port that it shuts off; no id can hold it. */
const PORT = "~";
/** The node of the document that a node of a standing line stands for. */
export const originOf = (node: string): string => node.split(PORT, 1)[0]!;
/** The id, in the standing line, of the shut-off port of a three-way valve that a link hangs on. */
const portOf = (node: string, link: string) => `${node}${PORT}${link}`;

/** A three-way valve whose seats pass parts nothing, wherever its stem stands. */
const parts = (node: ThreeWayNode, passing: ReadonlySet<string>) =>
  node.threeWay.passes !== true && !passing.has(node.id);

/**
 * The line with its three-way valves in the given positions, as a plain line: the ports that a position joins stay one
 * node, a port that it shuts off becomes a node of its own. Every engine then works without knowing of three-way valves.
 */
export function standing(line: Line, positions: Positions, passing: ReadonlySet<string> = new Set()): Line {
  if (!line.nodes.some(isThreeWay)) return line;
  const rewired = new Map<string, string>();
  const nodes = line.nodes.flatMap((node): LineNode[] => {
    if (!isThreeWay(node) || !parts(node, passing)) return [node];
    const position = positionOf(node, positions);
    const [main, ...others] = position.joins;
    const joined = new Set(main);
    const ports: LineNode[] = [];
    const split = (id: string, links: readonly string[]) => {
      ports.push({ ...node, id, name: node.name ?? node.id });
      for (const link of links) rewired.set(`${node.id} ${link}`, id);
    };
    for (const group of others) {
      split(portOf(node.id, group[0]!), group);
      for (const link of group) joined.add(link);
    }
    for (const link of line.links)
      if ((link.from === node.id || link.to === node.id) && !joined.has(link.id))
        split(portOf(node.id, link.id), [link.id]);
    return [node, ...ports];
  });
  if (rewired.size === 0) return line;
  const stems = new Set(threeWays(line).map(({ id }) => id));
  const end = (node: string, link: string) =>
    stems.has(node) ? (rewired.get(`${node} ${link}`) ?? node) : node;
  return {
    ...line,
    nodes,
    links: line.links.map((link) => {
      const [from, to] = [end(link.from, link.id), end(link.to, link.id)];
      return from === link.from && to === link.to ? link : { ...link, from, to };
    }),
  };
}

export function positionOf(node: ThreeWayNode, positions: Positions) {
  const wanted = positions.get(node.id) ?? node.threeWay.normally;
  const position = node.threeWay.positions.find((each) => each.id === wanted);
  if (position === undefined) throw new Error(`${node.id} has no position ${wanted}`);
  return position;
}
