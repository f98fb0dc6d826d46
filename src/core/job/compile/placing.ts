/** Something to be placed, by its name, behind what has to come before it. */
export interface Placed {
  readonly key: string;
  readonly after: ReadonlySet<string>;
}

/**
 * The order in which everything stands behind what it waits for, and otherwise as given: of what may come next the
 * first. What waits in a ring stands as given; the proof then finds what does not hold.
 */
export function inOrder<T extends Placed>(items: readonly T[]): T[] {
  const left = [...items];
  const waiting = new Set(items.map((each) => each.key));
  const order: T[] = [];
  while (left.length > 0) {
    const free = left.findIndex(({ key, after }) =>
      [...after].every((before) => before === key || !waiting.has(before)),
    );
    const [next] = left.splice(Math.max(free, 0), 1);
    waiting.delete(next!.key);
    order.push(next!);
  }
  return order;
}
