import { type Item, itemKey, type Sheet, type StockItem, type Store } from "../formats";
import { notAside } from "./ledger";

/** Where something lies. */
export type Place = Store["places"][number];

/** Where one's own things lie: a supplier's are ordered. */
export const isOwnPlace = ({ kind }: Pick<Place, "kind">): boolean => kind !== "supplier";

/** Some pieces of a kit or part, and where they lie. */
export interface Lying {
  readonly kind: "kit" | "part";
  /** As the sheet names it. */
  readonly id: string;
  /** What lies there: it, or what serves in its place. */
  readonly item: Item;
  /** What it is called, where it is not what the sheet names. */
  readonly name?: string;
  readonly place: Place;
  /** Those that are free. */
  readonly pieces: number;
  /** What lies there for something else. */
  readonly aside: NonNullable<StockItem["aside"]>;
  readonly price: number;
}

/** Kits and parts of this sheet that lie anywhere, soonest in hand first. */
export function lyingFor(sheet: Sheet, store: Store | undefined): Lying[] {
  if (store === undefined) return [];
  const places = new Map(store.places.map((place) => [place.id, place]));
  const servesFor = serving(sheet, store);
  return store.stock
    .flatMap((row): Lying[] => {
      const { item, name, place, quantity, price, aside = [] } = row;
      const at = places.get(place);
      if (at === undefined || quantity === 0) return [];
      const as = servesFor.get(itemKey(item)) ?? (isOf(sheet, item) ? item : undefined);
      if (as === undefined || as.kind === "supply") return [];
      const own = as === item ? {} : { name };
      return [{ kind: as.kind, id: as.id, item, ...own, place: at, pieces: notAside(row), aside, price }];
    })
    .sort((a, b) => a.place.days - b.place.days || inOrder(a.id, b.id) || inOrder(a.place.id, b.place.id));
}

const isOf = (sheet: Sheet, item: Item) => item.kind !== "supply" && (item.sheet ?? sheet.id) === sheet.id;

/** What serves in the place of items of this sheet: what replaced them, however often, and what is as good. */
function serving(sheet: Sheet, { items = [] }: Store): ReadonlyMap<string, Item> {
  const known = new Map(items.map((each) => [itemKey(each.item), each]));
  const serves = new Map<string, Item>();
  for (const { item } of items) {
    if (!isOf(sheet, item)) continue;
    const seen = new Set([itemKey(item)]);
    const queue = [item];
    for (let next = queue.shift(); next !== undefined; next = queue.shift()) {
      const { replacedBy, instead = [] } = known.get(itemKey(next)) ?? {};
      for (const other of [...(replacedBy === undefined ? [] : [replacedBy]), ...instead]) {
        const key = itemKey(other);
        if (seen.has(key)) continue;
        seen.add(key);
        // What the sheet knows itself is offered by its own name; what lies there once is not offered twice.
        if (!serves.has(key) && (!isOf(sheet, other) || !namesItself(sheet, other))) serves.set(key, item);
        // What replaces a thing replaces it wholly; what serves as well may not be served for.
        if (other === replacedBy) queue.push(other);
      }
    }
  }
  return serves;
}

const namesItself = (sheet: Sheet, { kind, id }: Item) =>
  (kind === "kit" ? sheet.kits : sheet.parts).some((each) => each.id === id);

/**
 * All stores as one, with what a sheet may need from them: a job carries this and not the whole stock. Places of equal
 * id in two stores stay two.
 */
export function stockFor(sheet: Sheet, stores: readonly Store[]): Store | undefined {
  const [first] = stores;
  if (first === undefined) return undefined;
  const named = placeNames(stores);
  const items = stores.flatMap((store) => (store.items ?? []).filter(mayServe(sheet, store)));
  const { items: _, ...head } = first;
  return {
    ...head,
    places: stores.flatMap((store) =>
      store.places.map((place) => ({ ...place, id: named(store, place.id) })),
    ),
    stock: stores.flatMap((store) =>
      store.stock
        .filter(mayServe(sheet, store))
        .map((item) => ({ ...item, place: named(store, item.place) })),
    ),
    ...(items.length > 0 && { items }),
  };
}

/** What a sheet may take of a store: its own, supplies, what serves in the place of its own. */
function mayServe(sheet: Sheet, store: Store): (row: { readonly item: Item }) => boolean {
  const serves = serving(sheet, store);
  return ({ item }) => item.kind === "supply" || isOf(sheet, item) || serves.has(itemKey(item));
}

/** How a place of a store is called where all stores are one. */
function placeNames(stores: readonly Store[]): (store: Store, place: string) => string {
  const often = new Map<string, number>();
  for (const { places } of stores) for (const { id } of places) often.set(id, (often.get(id) ?? 0) + 1);
  return (store, place) => (often.get(place) === 1 ? place : `${store.id}:${place}`.slice(0, MOST_ID));
}

/** Which place of which store is meant where all stores were one when a job began; none when it is gone. */
export function placeMeant(
  stores: readonly Store[],
  id: string,
): { readonly store: Store; readonly place: Place } | undefined {
  const named = placeNames(stores);
  const all = stores.flatMap((store) => store.places.map((place) => ({ store, place })));
  return (
    all.find(({ store, place }) => named(store, place.id) === id) ?? all.find(({ place }) => place.id === id)
  );
}

/** As long as an id may be. */
const MOST_ID = 60;

const inOrder = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);
