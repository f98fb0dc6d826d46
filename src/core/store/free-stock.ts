import type { Item, StockItem, Store } from "../formats";
import { sameItem } from "../formats";
import { notAside } from "./ledger";

/** Pieces that an open job counts on, at a place of a store. */
export interface Held {
  readonly store: string;
  readonly place: string;
  readonly item: Item;
  readonly pieces: number;
  readonly job: string;
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

/** Stores with no more in them than is free: what a new job may count on. */
export function freeStock(stores: readonly Store[], held: readonly Held[], now: number): Store[] {
  return stores.map((store) => {
    const kinds = new Map(store.places.map(({ id, kind }) => [id, kind]));
    return {
      ...store,
      stock: store.stock.map((row) => {
        // What a supplier has is ordered, and ordered again.
        if (kinds.get(row.place) === "supplier") return row;
        const quantity = freePieces(row, heldOf(held, store.id, row), now);
        return quantity === row.quantity ? row : { ...row, quantity };
      }),
    };
  });
}
