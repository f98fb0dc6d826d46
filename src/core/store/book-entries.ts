import { itemKey, type Movement, type StockItem, type Store } from "../formats";

const keyOf = ({ item, place }: Pick<StockItem, "item" | "place">): string => `${place} ${itemKey(item)}`;

/**
 * What the ledger says of a store that was changed as a whole, by a file or by hand: what lies there otherwise than
 * before was counted, and what costs otherwise has a new price.
 *
 * @param as who did it and when, and an id for each entry
 */
export function bookEntries(
  before: Store | undefined,
  after: Store,
  as: Pick<Movement, "at" | "by"> & { readonly newId: () => string },
): Movement[] {
  const { at, by, newId } = as;
  const old = new Map((before?.stock ?? []).map((row) => [keyOf(row), row]));
  const gone = new Map(old);
  const entries = after.stock.flatMap((row): Movement[] => {
    const was = old.get(keyOf(row));
    gone.delete(keyOf(row));
    const { item, name, place, quantity, price } = row;
    const own = { at, by, store: after.id, item, name, place };
    const change = quantity - (was?.quantity ?? 0);
    if (change !== 0)
      return [
        {
          ...own,
          id: newId(),
          kind: "counted",
          quantity,
          change,
          ...(price !== was?.price && { price, ...(was !== undefined && { before: was.price }) }),
        },
      ];
    return was === undefined || was.price === price
      ? []
      : [{ ...own, id: newId(), kind: "priced", quantity: 0, change: 0, price, before: was.price }];
  });
  const left = [...gone.values()].flatMap(({ item, name, place, quantity }): Movement[] =>
    quantity === 0
      ? []
      : [
          {
            at,
            by,
            store: after.id,
            item,
            name,
            place,
            id: newId(),
            kind: "counted",
            quantity: 0,
            change: -quantity,
          },
        ],
  );
  return [...entries, ...left];
}
