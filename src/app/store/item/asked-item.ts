import { asked, type SearchParams } from "@/app/list-query";
import { type Item, ItemSchema, readAs } from "@/core/formats";

/** Which item of which store an address names; nothing where it names none. */
export async function askedItem(
  searchParams: SearchParams,
): Promise<{ readonly store: string; readonly item: Item } | undefined> {
  const { store, ...rest } = asked(await searchParams);
  const item = readAs(ItemSchema, rest);
  return typeof store === "string" && item.ok ? { store, item: item.value } : undefined;
}
