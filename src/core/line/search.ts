/** Links of each node in compressed rows: those of node i are `incident[start[i]..start[i + 1])`. */
export interface Rows {
  readonly from: Int32Array;
  readonly to: Int32Array;
  readonly start: Int32Array;
  readonly incident: Int32Array;
}

export const otherEnd = ({ from, to }: Rows, link: number, node: number): number =>
  from[link] === node ? to[link]! : from[link]!;

/** Calls with every link that touches a node, and the node at its other end. */
export function forEachLink(rows: Rows, node: number, visit: (link: number, next: number) => void): void {
  const { start, incident } = rows;
  for (let slot = start[node]!; slot < start[node + 1]!; slot++) {
    const link = incident[slot]!;
    visit(link, otherEnd(rows, link, node));
  }
}

export interface Reached {
  /** Nodes in the order they were come to. */
  readonly order: readonly number[];
  /** 1 at each of them. */
  readonly has: Uint8Array;
}

/**
 * Walks from the starts, nearest first, over every link that is let through. Each node is come to once: `passes` is asked
 * about links to nodes that nobody has come to yet.
 *
 * @param goesOn whether the walk goes on past a node; past every one when left out
 */
export function search(
  rows: Rows,
  starts: Iterable<number>,
  passes: (link: number, next: number, node: number) => boolean,
  goesOn: (node: number) => boolean = () => true,
): Reached {
  const has = new Uint8Array(rows.start.length - 1);
  const order: number[] = [];
  for (const node of starts) {
    if (!has[node]) order.push(node);
    has[node] = 1;
  }
  for (const node of order) {
    if (!goesOn(node)) continue;
    forEachLink(rows, node, (link, next) => {
      if (has[next] || !passes(link, next, node)) return;
      has[next] = 1;
      order.push(next);
    });
  }
  return { order, has };
}
