import type { Item } from "@/core/formats";

/** The page of an item of a store. */
export const itemHref = (store: string, { kind, id, sheet }: Item): string =>
  `/store/item?${new URLSearchParams({ store, kind, id, ...(sheet !== undefined && { sheet }) })}`;
