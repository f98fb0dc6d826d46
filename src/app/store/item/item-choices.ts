import { type Item, itemKey, type Store, sameItem } from "@/core/formats";
import type { Services } from "@/server/services";
import type { OtherItem, SheetItems } from "./edit-item";

/** What an item's form offers: places, other items, sheets with their kits and parts. */
export function itemChoices({ library }: Services, store: Store, item: Item | undefined) {
  const others = new Map(
    store.stock.flatMap((row): [string, OtherItem][] =>
      item !== undefined && sameItem(row.item, item)
        ? []
        : [
            [
              itemKey(row.item),
              { id: itemKey(row.item), name: `${row.name}, ${row.item.id}`, item: row.item },
            ],
          ],
    ),
  );
  const sheets = library.sheets().map(
    ({ id, title, kits, parts }): SheetItems => ({
      id,
      title,
      kits: kits.map((kit) => ({ id: kit.id, name: `${kit.name}, ${kit.id}`, called: kit.name })),
      parts: parts.map((part) => ({ id: part.id, name: part.name, called: part.name })),
    }),
  );
  return {
    store: store.id,
    currency: store.currency,
    places: store.places.map(({ id, name, kind }) => ({ id, name, kind })),
    others: [...others.values()].sort((a, b) => a.name.localeCompare(b.name)),
    sheets: sheets.sort((a, b) => a.title.localeCompare(b.title)),
  };
}
