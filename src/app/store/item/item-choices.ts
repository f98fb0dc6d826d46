import { type Item, itemKey, type Store, sameItem } from "@/core/formats";
import type { Services } from "@/server/services";
import type { ItemChoices, OtherItem } from "./edit-item";
import type { SheetItems } from "./new-item";

/** What an item's form offers: places, and other items of the store. */
export function itemChoices({ id, currency, places, stock }: Store, item: Item | undefined): ItemChoices {
  const others = new Map<string, OtherItem>();
  for (const row of stock) {
    const key = itemKey(row.item);
    if (item === undefined || !sameItem(row.item, item))
      others.set(key, { id: key, name: `${row.name}, ${row.item.id}`, item: row.item });
  }
  return {
    store: id,
    currency,
    places: places.map(({ id, name, kind }) => ({ id, name, kind })),
    others: [...others.values()].sort((a, b) => a.name.localeCompare(b.name)),
  };
}

/** Sheets with what can be had for them. */
export const sheetItems = ({ library }: Services): SheetItems[] =>
  library
    .sheets()
    .map(({ id, title, kits, parts }) => ({
      id,
      title,
      kits: kits.map((kit) => ({ id: kit.id, name: `${kit.name}, ${kit.id}`, called: kit.name })),
      parts: parts.map((part) => ({ id: part.id, name: part.name, called: part.name })),
    }))
    .sort((a, b) => a.title.localeCompare(b.title));
