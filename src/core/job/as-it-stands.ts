import type { HeldLinks, Line } from "../formats";

/** The first rules by which a job is planned beside others; before, what they held was a valve that stands shut. */
export const PLANS_BESIDE_OTHERS = 3;

/** What other open jobs keep shut, turned or open, by link or stem, with whose it is. */
export type HeldShut = ReadonlyMap<
  string,
  {
    readonly job: string;
    readonly valve: string;
    /** Where a three-way valve was turned to. */
    readonly position?: string;
    /** A bypass that is kept open. */
    readonly open?: true;
  }
>;

/** What of it is shut, or a stem that was turned. */
export const keptShut = <Held extends { readonly open?: true }>(
  held: ReadonlyMap<string, Held>,
): ReadonlyMap<string, Held> => new Map([...held].filter(([, each]) => each.open !== true));

export const heldAs = (held: HeldLinks = []): HeldShut =>
  new Map(held.map(({ link, ...holder }) => [link, holder]));

export const heldLinks = (held: HeldShut): HeldLinks =>
  [...held].map(([link, holder]) => ({ link, ...holder }));

/**
 * The line as it stands now: what another job shut is shut for this one too, what it keeps open is open, and what it
 * turned is not to be turned.
 *
 * @param where says where a valve is that another job holds, for people who read the line and not a job
 */
export function lineAsItStands(
  line: Line,
  held: HeldShut,
  where?: (valve: string, place: string | undefined) => string,
): Line {
  if (held.size === 0) return line;
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
        normally: by.open === true ? ("open" as const) : ("shut" as const),
        ...(where !== undefined && { where: where(by.valve, link.where) }),
      };
    }),
  };
}

/** What others hold of this line. */
export function heldOn<Holder>(line: Line, held: ReadonlyMap<string, Holder>): ReadonlyMap<string, Holder> {
  const own = new Set([...line.links.map(({ id }) => id), ...line.nodes.map(({ id }) => id)]);
  return new Map([...held].filter(([id]) => own.has(id)));
}

/** A line of which a part was taken as it stands, as it is built: nothing of it held. */
export function asBuilt(part: Line, whole: Line): Line {
  const links = new Map(whole.links.map((link) => [link.id, link]));
  const nodes = new Map(whole.nodes.map((node) => [node.id, node]));
  return {
    ...part,
    links: part.links.map((link) => links.get(link.id) ?? link),
    nodes: part.nodes.map((node) => {
      const { threeWay } = nodes.get(node.id) ?? {};
      return node.threeWay === undefined || threeWay === undefined ? node : { ...node, threeWay };
    }),
  };
}
