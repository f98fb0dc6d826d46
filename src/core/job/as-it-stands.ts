import type { Line } from "../formats";

/** Links that other open jobs hold shut, with whose they are. */
export type HeldShut = ReadonlyMap<
  string,
  {
    readonly job: string;
    readonly valve: string;
    /** Where a three-way valve was turned to. */
    readonly position?: string;
  }
>;

/** The line as it stands now: a valve that another job shut is shut for this one too, and is not ours to open. */
export function lineAsItStands(line: Line, held: HeldShut): Line {
  return {
    ...line,
    nodes: line.nodes.map((node) => {
      const position = held.get(node.id)?.position;
      // Another job counts on this position: here it stands so, and is not to be turned.
      return node.threeWay === undefined || position === undefined
        ? node
        : { ...node, threeWay: { ...node.threeWay, normally: position, operable: false } };
    }),
    links: line.links.map((link) => {
      const by = held.get(link.id);
      if (by === undefined || link.kind !== "valve") return link;
      return {
        ...link,
        normally: "shut" as const,
        where: `${link.where ? `${link.where}; ` : ""}shut for ${by.valve}, another job: put your own lock on, too`,
      };
    }),
  };
}
