import type { Line, LineNode } from "../formats";
import { err, ok, type Result } from "../result";

export type SplitFailure =
  | { readonly kind: "no-such-link"; readonly link: string }
  /** What lies beyond it hangs on the rest by another way, too. */
  | { readonly kind: "goes-round"; readonly link: string; readonly by: string };

export interface Split {
  readonly near: Line;
  readonly far: Line;
}

/** All that hangs together with a place without going through this link. */
function side(line: Line, from: string, without: string): Set<string> {
  const reached = new Set([from]);
  const queue = [from];
  for (let place = queue.pop(); place !== undefined; place = queue.pop())
    for (const link of line.links) {
      if (link.id === without) continue;
      const other = link.from === place ? link.to : link.to === place ? link.from : undefined;
      if (other === undefined || reached.has(other)) continue;
      reached.add(other);
      queue.push(other);
    }
  return reached;
}

/**
 * A line cut in two at a link: what lies beyond its far end becomes a line of its own. The link stays with the near
 * part and ends at the edge of the drawing there; the far part is fed from such an edge. Equipment (a motor, a coil) goes
 * with what it belongs to.
 *
 * @param head id and name of the far part
 */
export function splitLine(
  line: Line,
  at: string,
  head: Pick<Line, "id" | "name">,
): Result<Split, SplitFailure> {
  const link = line.links.find(({ id }) => id === at);
  if (link === undefined) return err({ kind: "no-such-link", link: at });
  const beyond = side(line, link.to, at);
  if (beyond.has(link.from)) return err({ kind: "goes-round", link: at, by: link.from });
  // What is tied to it by being the same equipment, and all that hangs on that alone.
  const tied = new Set(
    line.nodes.flatMap(({ id, with: same = [] }) =>
      beyond.has(id) ? same.filter((each) => !beyond.has(each)) : [],
    ),
  );
  for (const place of tied)
    if (!side(line, place, at).has(link.from)) for (const each of side(line, place, at)) beyond.add(each);
  const edge = (node: LineNode, name: string): LineNode => {
    const { asset: _, threeWay: __, hydrant: ___, protects: ____, with: _____, ...plain } = node;
    return { ...plain, kind: "boundary", name };
  };
  const cut = line.nodes.find(({ id }) => id === link.to)!;
  const feeds = line.nodes.find(({ id }) => id === link.from)!;
  const nearNodes = line.nodes.filter(({ id }) => !beyond.has(id));
  const tidy = (node: LineNode, here: ReadonlySet<string>): LineNode => {
    const { with: same, ...rest } = node;
    const left = same?.filter((each) => here.has(each)) ?? [];
    return left.length > 0 ? { ...rest, with: left } : rest;
  };
  const nearIds = new Set(nearNodes.map(({ id }) => id));
  const { demonstration, rating_bar } = line;
  return ok({
    near: {
      ...line,
      nodes: [...nearNodes.map((node) => tidy(node, nearIds)), edge(cut, `To ${head.name}`)],
      links: line.links.filter((each) => each.id === at || (nearIds.has(each.from) && nearIds.has(each.to))),
    },
    far: {
      format: "loftbell.line",
      version: 1,
      ...head,
      medium: cut.medium ?? line.medium,
      rule: line.rule,
      ...(rating_bar !== undefined && { rating_bar }),
      ...(demonstration !== undefined && { demonstration }),
      nodes: [
        edge({ ...feeds, ...(feeds.medium === undefined && { medium: line.medium }) }, `From ${line.name}`),
        ...line.nodes.filter(({ id }) => beyond.has(id)).map((node) => tidy(node, beyond)),
      ],
      links: [
        link,
        ...line.links.filter((each) => each.id !== at && beyond.has(each.from) && beyond.has(each.to)),
      ],
    },
  });
}
