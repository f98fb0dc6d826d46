import type { Sheet, StockItem, Store } from "../formats";

/** Where something lies. */
export type Place = Store["places"][number];

/** Some pieces of a kit or part, and where they lie. */
export interface Lying {
  readonly kind: "kit" | "part";
  readonly id: string;
  readonly place: Place;
  readonly pieces: number;
  readonly price: number;
}

/** Kits and parts of this sheet that lie anywhere, soonest in hand first. */
export function lyingFor(sheet: Sheet, store: Store | undefined): Lying[] {
  if (store === undefined) return [];
  const places = new Map(store.places.map((place) => [place.id, place]));
  return store.stock
    .flatMap(({ item, place, quantity, price }): Lying[] => {
      const at = places.get(place);
      const isThis = (item.sheet ?? sheet.id) === sheet.id;
      return at === undefined || item.kind === "supply" || !isThis || quantity === 0
        ? []
        : [{ kind: item.kind, id: item.id, place: at, pieces: quantity, price }];
    })
    .sort((a, b) => a.place.days - b.place.days || inOrder(a.id, b.id) || inOrder(a.place.id, b.place.id));
}

/**
 * All stores as one, with what a sheet may need from them: a job carries this and not the whole stock. Places of equal
 * id in two stores stay two.
 */
export function stockFor(sheet: Sheet, stores: readonly Store[]): Store | undefined {
  const [first] = stores;
  if (first === undefined) return undefined;
  const often = new Map<string, number>();
  for (const { places } of stores) for (const { id } of places) often.set(id, (often.get(id) ?? 0) + 1);
  const named = (store: Store, place: string) =>
    often.get(place) === 1 ? place : `${store.id}:${place}`.slice(0, MOST_ID);
  const isOf = ({ item }: StockItem) => item.kind === "supply" || (item.sheet ?? sheet.id) === sheet.id;
  return {
    ...first,
    places: stores.flatMap((store) =>
      store.places.map((place) => ({ ...place, id: named(store, place.id) })),
    ),
    stock: stores.flatMap((store) =>
      store.stock.filter(isOf).map((item) => ({ ...item, place: named(store, item.place) })),
    ),
  };
}

/** As long as an id may be. */
const MOST_ID = 60;

const inOrder = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);
