import type { Item, Movement, StockItem, Store } from "../formats";
import { err, ok, type Result } from "../result";

/** What is asked of the ledger; the change it makes is worked out. */
export type Asked = Omit<Movement, "change" | "store" | "name"> & { readonly name?: string };

export type MovementFailure =
  | { readonly kind: "no-such-place"; readonly place: string }
  | { readonly kind: "no-such-item"; readonly item: Item; readonly place: string }
  | { readonly kind: "too-few"; readonly name: string; readonly place: string; readonly have: number }
  | { readonly kind: "nothing" }
  | { readonly kind: "same-place"; readonly place: string };

export const sameItem = (a: Item, b: Item): boolean =>
  a.kind === b.kind && a.id === b.id && a.sheet === b.sheet;

const rowAt = ({ stock }: Store, item: Item, place: string): StockItem | undefined =>
  stock.find((row) => row.place === place && sameItem(row.item, item));

/** The store with so many pieces more or fewer of a row; a row that is new comes last. */
function withChange(store: Store, row: StockItem, change: number): Store {
  const known = rowAt(store, row.item, row.place);
  if (known === undefined) return { ...store, stock: [...store.stock, { ...row, quantity: change }] };
  return {
    ...store,
    stock: store.stock.map((each) =>
      each === known ? { ...each, ...row, quantity: each.quantity + change } : each,
    ),
  };
}

/** Pieces that a movement adds at its place, before it is known whether they are there. */
function changeOf({ kind, quantity }: Asked, have: number): number {
  switch (kind) {
    case "in":
    case "back":
      return quantity;
    case "counted":
      return quantity - have;
    case "out":
    case "used":
    case "scrapped":
    case "moved":
      return -quantity;
  }
}

/**
 * One movement made: the store after it, and the entry as the ledger keeps it. Nothing ever lies below zero; what goes
 * has to be there, and what comes may be new.
 */
export function moved(
  store: Store,
  asked: Asked,
): Result<{ readonly store: Store; readonly entry: Movement }, MovementFailure> {
  const { item, place, to, kind, quantity } = asked;
  const places = new Set(store.places.map(({ id }) => id));
  for (const each of [place, ...(to === undefined ? [] : [to])])
    if (!places.has(each)) return err({ kind: "no-such-place", place: each });
  if (kind === "moved" && (to === undefined || to === place)) return err({ kind: "same-place", place });
  if (kind !== "counted" && quantity === 0) return err({ kind: "nothing" });
  const here = rowAt(store, item, place);
  const anywhere = here ?? store.stock.find((row) => sameItem(row.item, item));
  const name = asked.name ?? anywhere?.name;
  if (name === undefined) return err({ kind: "no-such-item", item, place });
  const have = here?.quantity ?? 0;
  const change = changeOf(asked, have);
  if (have + change < 0) return err({ kind: "too-few", name, place, have });
  const row: StockItem = {
    ...(here ?? { ...(anywhere ?? { price: 0 }), item, place, quantity: 0 }),
    item,
    place,
    name,
    quantity: have,
    price: asked.price ?? here?.price ?? anywhere?.price ?? 0,
  };
  const after = withChange(store, row, change);
  const made =
    kind === "moved" && to !== undefined
      ? withChange(after, { ...(rowAt(store, item, to) ?? { ...row, place: to }) }, quantity)
      : after;
  return ok({ store: made, entry: { ...asked, name, store: store.id, change } });
}

/** How many pieces lay at a place at a moment (ms): what lies there now, without what has happened since. */
export function piecesAt(
  store: Store,
  entries: readonly Movement[],
  item: Item,
  place: string,
  at: number,
): number {
  const now = rowAt(store, item, place)?.quantity ?? 0;
  return entries
    .filter((entry) => entry.store === store.id && sameItem(entry.item, item) && Date.parse(entry.at) > at)
    .reduce(
      (pieces, entry) =>
        pieces -
        (entry.place === place ? entry.change : 0) -
        (entry.kind === "moved" && entry.to === place ? entry.quantity : 0),
      now,
    );
}
