import { type Clash, itemKey, merged, type Store } from "../formats";
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
