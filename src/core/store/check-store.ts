import { type Item, itemKey, type Store } from "../formats";
import type { Problem } from "../result";
import { piecesOf } from "./batches";

/** What a schema cannot see: what is used twice, what lies or comes from nowhere, more batches than pieces. */
export function checkStore({ places, stock, items = [] }: Store): Problem[] {
  const kinds = new Map(places.map(({ id, kind }) => [id, kind]));
  const sites = twice(
    places.map(({ id }) => id),
    (id, index) => ({
      path: `/places/${index}/id`,
      message: `"${id}" is used twice. Give each place its own id.`,
    }),
  );
  const rows = twice(
    stock.map(({ item, place }) => `${place} ${itemKey(item)}`),
    (_, index) => ({
      path: `/stock/${index}/item`,
      message: `"${stock[index]?.name}" stands at "${stock[index]?.place}" twice. Keep one of the two, with all the pieces.`,
    }),
  );
  const known = twice(
    items.map(({ item }) => itemKey(item)),
    (_, index) => ({
      path: `/items/${index}/item`,
      message: `"${items[index]?.item.id}" is described twice. Keep one of the two.`,
    }),
  );
  const lying = stock.flatMap(({ name, place, quantity, batches = [] }, index): Problem[] => [
    ...(kinds.has(place)
      ? []
      : [
          {
            path: `/stock/${index}/place`,
            message: `"${name}" lies at "${place}", which is no place of this store. Add the place, or say where it lies.`,
          },
        ]),
    ...(piecesOf(batches) > quantity
      ? [
          {
            path: `/stock/${index}/batches`,
            message: `"${name}" has more pieces with a date than lie there. Count it, then write the dates.`,
          },
        ]
      : []),
  ]);
  const suppliers = items.flatMap(({ supplier }, index): Problem[] =>
    supplier === undefined || kinds.get(supplier) === "supplier"
      ? []
      : [
          {
            path: `/items/${index}/supplier`,
            message: `"${supplier}" is no supplier of this store. Add it among the places, as a supplier.`,
          },
        ],
  );
  return [...sites, ...rows, ...known, ...lying, ...suppliers, ...circles(items)];
}

function twice(keys: readonly string[], says: (key: string, index: number) => Problem): Problem[] {
  const seen = new Set<string>();
  return keys.flatMap((key, index) => {
    const again = seen.has(key);
    seen.add(key);
    return again ? [says(key, index)] : [];
  });
}

/** What is replaced by itself, by however many others, cannot be had. */
function circles(items: NonNullable<Store["items"]>): Problem[] {
  const next = new Map(items.map(({ item, replacedBy }) => [itemKey(item), replacedBy]));
  return items.flatMap(({ item }, index): Problem[] => {
    const seen = new Set<string>();
    let at: Item | undefined = item;
    while (at !== undefined && !seen.has(itemKey(at))) {
      seen.add(itemKey(at));
      at = next.get(itemKey(at));
    }
    return at !== undefined && itemKey(at) === itemKey(item)
      ? [
          {
            path: `/items/${index}/replacedBy`,
            message: `"${item.id}" would be replaced by itself in the end. Name what is sold now.`,
          },
        ]
      : [];
  });
}

/** Prices of two currencies cannot be added up or compared. */
export function otherCurrency(stores: readonly Store[], { id, currency }: Store): Problem[] {
  const other = stores.find((each) => each.id !== id && each.currency !== currency);
  return other === undefined
    ? []
    : [
        {
          path: "/currency",
          message: `"${other.name}" counts in ${other.currency}. Give the prices of this store in ${other.currency}, too: kits are chosen by price from all stores.`,
        },
      ];
}
