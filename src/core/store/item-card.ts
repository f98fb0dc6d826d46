import {
  type Item,
  type ItemCard,
  type KnownItem,
  type StockItem,
  type Store,
  type StoreHead,
  sameItem,
} from "../formats";

/** An item as a form shows it; nothing where the store does not know it. */
export function cardOf(store: Store, item: Item): ItemCard | undefined {
  const rows = store.stock.filter((row) => sameItem(row.item, item));
  const [first] = rows;
  if (first === undefined) return undefined;
  const known = (store.items ?? []).find((each) => sameItem(each.item, item));
  return {
    ...known,
    item,
    name: first.name,
    lies: rows.map(({ place, price, least }) => ({ place, price, ...(least !== undefined && { least }) })),
  };
}

/** The store with an item as its form was filled in: pieces stay as the ledger has them. */
export function withCard(store: Store, { name, lies, ...known }: ItemCard): Store {
  const { item } = known;
  const at = new Map(lies.map((each) => [each.place, each]));
  const old = store.stock.flatMap((row): StockItem[] => {
    if (!sameItem(row.item, item)) return [row];
    const now = at.get(row.place);
    at.delete(row.place);
    const { least: _, ...rest } = row;
    // A place that was let go of stays as long as something lies there.
    if (now === undefined) return row.quantity > 0 ? [{ ...row, name }] : [];
    return [{ ...rest, name, price: now.price, ...(now.least !== undefined && { least: now.least }) }];
  });
  const fresh = [...at.values()].map((each): StockItem => ({ ...each, item, name, quantity: 0 }));
  return withKnown({ ...store, stock: [...old, ...fresh] }, known);
}

function withKnown(store: Store, known: KnownItem): Store {
  const { items = [], ...rest } = store;
  const says = Object.keys(known).length > 1;
  const index = items.findIndex(({ item }) => sameItem(item, known.item));
  const after =
    index === -1
      ? [...items, ...(says ? [known] : [])]
      : items.flatMap((each, at) => (at !== index ? [each] : says ? [known] : []));
  return after.length === 0 ? rest : { ...rest, items: after };
}

/** The store without an item; what lies there has to be booked out first. */
export function withoutItem(store: Store, item: Item): Store {
  const { items = [], ...rest } = store;
  const left = items.filter((each) => !sameItem(each.item, item));
  return {
    ...rest,
    stock: store.stock.filter((row) => !sameItem(row.item, item)),
    ...(left.length > 0 && { items: left }),
  };
}

export const headOf = ({ stock: _, items: __, ...head }: Store): StoreHead => head;
