import { type Clash, itemKey, merged, type StockItem, type Store } from "../formats";
import { err, ok, type Result } from "../result";

type Apart = Omit<Store, "places" | "stock" | "items"> & {
  readonly places: Readonly<Record<string, Store["places"][number]>>;
  readonly stock: Readonly<Record<string, Store["stock"][number]>>;
  readonly items: Readonly<Record<string, NonNullable<Store["items"]>[number]>>;
};

const byKey = <T>(rows: readonly T[], key: (row: T) => string): Record<string, T> =>
  Object.fromEntries(rows.map((row) => [key(row), row]));

const apart = ({ places, stock, items = [], ...head }: Store): Apart => ({
  ...head,
  places: byKey(places, ({ id }) => id),
  stock: byKey(stock, ({ item, place }) => `${place} ${itemKey(item)}`),
  items: byKey(items, ({ item }) => itemKey(item)),
});

/** Three-way merge of a store by its rows: two who change different rows, or different fields of one, do not meet. */
export function mergeStores(
  was: Store | undefined,
  mine: Store,
  now: Store | undefined,
): Result<Store, Clash[]> {
  const joined = merged(was && apart(was), apart(mine), now && apart(now));
  if (!joined.ok) return err(joined.error);
  const { places = {}, stock = {}, items = {}, ...head } = joined.value;
  const known = Object.values(items);
  return ok({
    ...head,
    places: Object.values(places),
    stock: Object.values(stock),
    ...(known.length > 0 && { items: known }),
  });
}

/** A store in which an item stands at a place once: what older versions let stand twice is put together. */
export function withoutTwins(store: Store): Store {
  const rows = new Map<string, StockItem>();
  for (const row of store.stock) {
    const key = `${row.place} ${itemKey(row.item)}`;
    const twin = rows.get(key);
    rows.set(key, twin === undefined ? row : { ...twin, quantity: twin.quantity + row.quantity });
  }
  return rows.size === store.stock.length ? store : { ...store, stock: [...rows.values()] };
}
