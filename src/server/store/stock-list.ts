import {
  type Item,
  itemKey,
  type KnownItem,
  type Movement,
  type Order,
  type StockItem,
  type Store,
  type StorePlace,
  sameItem,
} from "@/core/formats";
import {
  freePieces,
  type Held,
  heldOf,
  isOwnPlace,
  knownOf,
  type OrderList,
  orderList,
  received,
  stockAt,
} from "@/core/store";
import type { Services } from "../services";

import { heldNow } from "./held";

export type { ListedMovement } from "@/data";

const DAY_MS = 86_400_000;

/** A day that is named is whole. @returns ms */
export const endOfDay = (day: string): number => Date.parse(day) + DAY_MS - 1;

/** What lies of an item at one place. */
export interface LyingRow extends StockItem {
  readonly at: StorePlace;
  /** What no open job counts on and nobody put aside; of a past day, all that lay there. */
  readonly free: number;
  readonly held: readonly Held[];
}

/** An item of a store, wherever it lies. */
export interface StockedItem {
  readonly store: string;
  readonly item: Item;
  readonly name: string;
  readonly rows: readonly LyingRow[];
  readonly known: KnownItem | undefined;
  /** Pieces at own places, and of them those that are free. */
  readonly pieces: number;
  readonly free: number;
  /** Somewhere below what shall lie there at least, or promised more often than it is there. */
  readonly low: boolean;
  /** ms: the earliest day after which some may not be used. */
  readonly until: number | undefined;
  readonly worth: number;
}

/** What lies in a store item by item, now or as it was at a moment. */
export function stockedItems(services: Services, store: Store, at?: number): StockedItem[] {
  const held = at === undefined ? heldNow(services) : [];
  const stock = at === undefined ? store.stock : stockAt(store, services.movements.since(store.id, at), at);
  const places = new Map(store.places.map((place) => [place.id, place]));
  const by = new Map<string, LyingRow[]>();
  for (const row of stock) {
    const place = places.get(row.place);
    if (place === undefined) continue;
    const holding = heldOf(held, store.id, row);
    const key = itemKey(row.item);
    const lying = { ...row, at: place, held: holding, free: freePieces(row, holding, at ?? services.now()) };
    by.set(key, [...(by.get(key) ?? []), lying]);
  }
  return [...by.values()].map((rows) => stocked(store, rows));
}

function stocked(store: Store, rows: readonly LyingRow[]): StockedItem {
  const [{ item, name }] = rows as [LyingRow];
  const own = rows.filter(({ at }) => isOwnPlace(at));
  const sum = (of: (row: LyingRow) => number) => own.reduce((total, row) => total + of(row), 0);
  const days = own.flatMap(({ batches = [] }) => batches.map(({ until }) => endOfDay(until)));
  return {
    store: store.id,
    item,
    name,
    rows: [...rows].sort(
      (a, b) => a.at.days - b.at.days || Number(a.at.kind === "shop") - Number(b.at.kind === "shop"),
    ),
    known: knownOf(store, item),
    pieces: sum(({ quantity }) => quantity),
    free: sum(({ free }) => free),
    low: own.some(
      ({ free, least = 0, quantity, held, aside = [] }) =>
        free < least ||
        [...held, ...aside].reduce(
          (total, each) => total + ("pieces" in each ? each.pieces : each.quantity),
          0,
        ) > quantity,
    ),
    until: days.length === 0 ? undefined : Math.min(...days),
    worth: sum(({ quantity, price }) => quantity * price),
  };
}

/** One item with all that happened to it, newest first. */
export function stockedItem(services: Services, id: string, item: Item) {
  const store = services.library.stores().find((each) => each.id === id);
  const found = store && stockedItems(services, store).find((each) => sameItem(each.item, item));
  if (store === undefined || found === undefined) return undefined;
  return { store, found, entries: services.movements.ofItem(id, item, MOST_ENTRIES) };
}
const MOST_ENTRIES = 200;

/** What of an order has come, line by line. */
export interface OrderedLine {
  readonly line: Order["lines"][number];
  readonly came: number;
}
export interface OpenOrder {
  readonly order: Order;
  readonly lines: readonly OrderedLine[];
  readonly open: boolean;
}

/** What to order, what is coming, what was used and not on the books. */
export interface Ordering {
  readonly store: Store;
  readonly list: OrderList;
  readonly orders: readonly OpenOrder[];
}

export function ordering(services: Services): Ordering[] {
  const { library, movements, things, now } = services;
  const held = heldNow(services);
  const entries = movements.ofOrders();
  const orders = things.all("order");
  return library.stores().map((store) => ({
    store,
    list: orderList(store, held, orders, entries, now()),
    orders: orders
      .filter((order) => order.store === store.id)
      .map((order) => openOrder(order, entries))
      .sort((a, b) => Number(b.open) - Number(a.open) || (a.order.at < b.order.at ? 1 : -1)),
  }));
}

function openOrder(order: Order, entries: readonly Movement[]): OpenOrder {
  const lines = order.lines.map((line) => ({ line, came: received(order, line, entries) }));
  return {
    order,
    lines,
    open: order.closed !== true && lines.some(({ line, came }) => came < line.quantity),
  };
}
