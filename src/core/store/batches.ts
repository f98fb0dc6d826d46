import type { Batch } from "../formats";

const byDay = (a: Batch, b: Batch) => (a.until < b.until ? -1 : a.until > b.until ? 1 : 0);

/** Batches put together by their day, the earliest first; what is nothing is none. */
export function withBatches(batches: readonly Batch[], more: readonly Batch[]): Batch[] {
  const by = new Map<string, number>();
  for (const { until, quantity } of [...batches, ...more]) by.set(until, (by.get(until) ?? 0) + quantity);
  return [...by].flatMap(([until, quantity]) => (quantity > 0 ? [{ until, quantity }] : [])).sort(byDay);
}

/**
 * The pieces that are taken: what runs out first goes first, and what does not age after it. Of a batch that is named,
 * only its own pieces.
 *
 * @returns the dated ones among them; fewer than asked where the rest has no date
 */
export function batchesTaken(batches: readonly Batch[], pieces: number, until?: string): Batch[] {
  let left = pieces;
  return [...batches].sort(byDay).flatMap((batch): Batch[] => {
    if (until !== undefined && batch.until !== until) return [];
    const quantity = Math.min(left, batch.quantity);
    left -= quantity;
    return quantity > 0 ? [{ until: batch.until, quantity }] : [];
  });
}

export const negative = (batches: readonly Batch[]): Batch[] =>
  batches.map(({ until, quantity }) => ({ until, quantity: -quantity }));

/** Pieces of all of them. */
export const piecesOf = (batches: readonly Batch[]): number =>
  batches.reduce((sum, { quantity }) => sum + quantity, 0);
