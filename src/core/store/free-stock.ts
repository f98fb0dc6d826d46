import type { Item, StockItem, Store } from "../formats";
import { sameItem } from "../formats";
import { notAside } from "./ledger";
import { isOwnPlace } from "./stock";

/** Pieces that an open job counts on, at a place of a store. */
export interface Held {
  readonly store: string;
  readonly place: string;
  readonly item: Item;
  readonly pieces: number;
  readonly job: string;
  readonly valve: string;
}

/** What open jobs count on of one row. */
export const heldOf = (held: readonly Held[], store: string, { item, place }: StockItem): Held[] =>
  held.filter((each) => each.store === store && each.place === place && sameItem(each.item, item));

const DAY_MS = 86_400_000;

/** Pieces whose day is over: they lie there, and may not be fitted. @param now ms */
export const ranOut = ({ batches = [] }: StockItem, now: number): number =>
  batches.reduce((sum, { until, quantity }) => (Date.parse(until) + DAY_MS <= now ? sum + quantity : sum), 0);

/**
 * Pieces of a row that nobody has put aside, no open job counts on and that may still be used; what is promised twice is
 * not free.
 */
export const freePieces = (row: StockItem, holding: readonly Held[], now: number): number =>
  Math.max(0, notAside(row) - ranOut(row, now) - holding.reduce((sum, { pieces }) => sum + pieces, 0));

/**
 * Stores as a new job may count on them: what open jobs count on is put aside for their valves, and what is over its day
 * is not there. A plan that lacks something can then say that it lies there and whom it is for.
 */
export function freeStock(stores: readonly Store[], held: readonly Held[], now: number): Store[] {
  return stores.map((store) => {
    const own = new Set(store.places.filter(isOwnPlace).map(({ id }) => id));
    return {
      ...store,
      stock: store.stock.map((row) => {
        // What a supplier has is ordered, and ordered again.
        if (!own.has(row.place)) return row;
        const holding = heldOf(held, store.id, row);
        const over = ranOut(row, now);
        if (holding.length === 0 && over === 0) return row;
        return {
          ...row,
          quantity: row.quantity - over,
          ...(holding.length > 0 && {
            aside: [
              ...(row.aside ?? []),
              ...holding.map(({ valve, pieces }) => ({ for: valve, quantity: pieces })),
            ],
          }),
        };
      }),
    };
  });
}
