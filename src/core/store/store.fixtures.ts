import type { StockItem, Store } from "../formats";

/** A store with a van, a shop and a supplier, and what lies in them. */
export const storeOf = (stock: readonly StockItem[], more: Partial<Store> = {}): Store => ({
  format: "loftbell.store",
  version: 1,
  id: "works",
  name: "Works",
  currency: "SHP",
  places: [
    { id: "van", name: "Van", kind: "van", days: 0 },
    { id: "loft", name: "Loft", kind: "shop", days: 0 },
    { id: "supplier", name: "Supplier", kind: "supplier", days: 3 },
  ],
  stock: [...stock],
  ...more,
});
