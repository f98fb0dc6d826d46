import type { Line, LineLink, LineNode } from "@/core/formats";

/** A line to begin with: something that feeds, something fed, and a valve between. */
export const BLANK_LINE: Line = {
  format: "loftbell.line",
  version: 1,
  id: "new-line",
  name: "New line",
  medium: "water",
  rule: "single",
  nodes: [
    { id: "S1", kind: "source", name: "Supply", elevation_m: 0, at: [0, 0] },
    { id: "C1", kind: "consumer", name: "Consumer", elevation_m: 0, at: [320, 0] },
  ],
  links: [
    {
      kind: "valve",
      id: "V-1",
      from: "S1",
      to: "C1",
      normally: "open",
      operable: true,
      lockable: true,
      access_min: 3,
    },
  ],
};

/** The first of A1, A2 … that nothing bears yet. */
export function freeId(line: Line, letter: string): string {
  const taken = new Set([...line.nodes.map((node) => node.id), ...line.links.map((link) => link.id)]);
  let number = 1;
  while (taken.has(`${letter}${number}`)) number += 1;
  return `${letter}${number}`;
}

/** Why a place or link may not go by this id: two of one id would join what hangs on either. */
export function refuseId(line: Line, id: string): string | undefined {
  if (id === "") return "Give it an id, such as V-12: others name it by that.";
  const taken = line.nodes.find((node) => node.id === id) ?? line.links.find((link) => link.id === id);
  return taken === undefined
    ? undefined
    : `${id} is taken${taken.name === undefined ? "" : ` by ${taken.name}`}. Choose another, such as ${freeId(line, id.replace(/\d+$/, ""))}.`;
}

export function addNode(line: Line): { line: Line; id: string } {
  const id = freeId(line, "J");
  const xs = line.nodes.map((node) => node.at?.[0] ?? 0);
  const ys = line.nodes.map((node) => node.at?.[1] ?? 0);
  const node: LineNode = {
    id,
    kind: "junction",
    elevation_m: 0,
    at: [Math.round((Math.min(...xs) + Math.max(...xs)) / 2), Math.max(...ys) + 90],
  };
  return { line: { ...line, nodes: [...line.nodes, node] }, id };
}

/** A new link from the place in hand to the newest other one. */
export function addLink(line: Line, from: string | undefined): { line: Line; id: string } {
  const id = freeId(line, "P");
  const start = from ?? line.nodes[0]!.id;
  const end = line.nodes.findLast((node) => node.id !== start)?.id ?? start;
  const link: LineLink = { kind: "pipe", id, from: start, to: end, dn_mm: 50, length_m: 1 };
  return { line: { ...line, links: [...line.links, link] }, id };
}

/** Takes a place away with every link on it, or a link alone. */
export function remove(line: Line, id: string): Line {
  return {
    ...line,
    nodes: line.nodes.filter((node) => node.id !== id),
    links: line.links.filter((link) => link.id !== id && link.from !== id && link.to !== id),
  };
}

export function changeNode(line: Line, id: string, to: LineNode): Line {
  const renamed = (end: string) => (end === id ? to.id : end);
  return {
    ...line,
    nodes: line.nodes.map((node) =>
      node.id === id ? to : node.with === undefined ? node : { ...node, with: node.with.map(renamed) },
    ),
    links: line.links.map((link) =>
      link.kind === "pump" && link.motor === id
        ? { ...link, from: renamed(link.from), to: renamed(link.to), motor: to.id }
        : { ...link, from: renamed(link.from), to: renamed(link.to) },
    ),
  };
}

export const changeLink = (line: Line, id: string, to: LineLink): Line => ({
  ...line,
  links: line.links.map((link) => (link.id === id ? to : link)),
  nodes: line.nodes.map((node) =>
    node.threeWay === undefined || to.id === id
      ? node
      : {
          ...node,
          threeWay: {
            ...node.threeWay,
            positions: node.threeWay.positions.map((position) => ({
              ...position,
              joins: position.joins.map((group) => group.map((each) => (each === id ? to.id : each))),
            })),
          },
        },
  ),
});

/** Moves a place; corners of its links that ran square to it follow, so that pipes stay square. */
export function moveNode(line: Line, id: string, to: readonly [number, number]): Line {
  const from = line.nodes.find((node) => node.id === id)?.at;
  return {
    ...line,
    nodes: line.nodes.map((node) => (node.id === id ? { ...node, at: [to[0], to[1]] } : node)),
    links: line.links.map((link) => {
      if (from === undefined || link.via === undefined || (link.from !== id && link.to !== id)) return link;
      const near = link.from === id ? 0 : link.via.length - 1;
      return {
        ...link,
        via: link.via.map((corner, index): [number, number] =>
          index !== near
            ? corner
            : [corner[0] === from[0] ? to[0] : corner[0], corner[1] === from[1] ? to[1] : corner[1]],
        ),
      };
    }),
  };
}

/** A link as another kind: what both kinds have is kept, what the new one needs is filled in. */
export function linkOfKind(link: LineLink, kind: LineLink["kind"]): LineLink {
  const { id, name, from, to, via, medium, stream } = link;
  const ends = {
    id,
    from,
    to,
    ...(name !== undefined && { name }),
    ...(via !== undefined && { via }),
    ...(medium !== undefined && { medium }),
    ...(stream !== undefined && { stream }),
  };
  switch (kind) {
    case "pipe":
      return { kind, ...ends, dn_mm: 50, length_m: 1 };
    case "valve":
    case "control-valve":
      return { kind, ...ends, normally: "open", operable: true, lockable: true, access_min: 3 };
    case "pump":
      return { kind, ...ends, access_min: 3 };
    default:
      return { kind, ...ends };
  }
}

/** A three-way valve to begin with: all its links joined in the middle, the first two on the front seat. */
export function threeWayOf(line: Line, node: LineNode): NonNullable<LineNode["threeWay"]> {
  const own = line.links.flatMap((link) => (link.from === node.id || link.to === node.id ? [link.id] : []));
  return {
    positions: [
      { id: "mid", name: "Mid", joins: [own.slice(0, 3)] },
      { id: "front", name: "Front seat", joins: [own.slice(0, 2)] },
    ],
    normally: "mid",
    operable: true,
    lockable: true,
    access_min: 3,
  };
}

/** The place or link that a problem's path points at. */
export function itemAt(line: Line, path: string): string | undefined {
  const [, list, index] = /^\/(nodes|links)\/(\d+)/.exec(path) ?? [];
  return list === "nodes"
    ? line.nodes[Number(index)]?.id
    : list === "links"
      ? line.links[Number(index)]?.id
      : undefined;
}
