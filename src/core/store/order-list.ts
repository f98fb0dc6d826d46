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
} from "../formats";
import { freePieces, type Held, heldOf, ranOut } from "./free-stock";
import { rowAt } from "./ledger";
import { isOwnPlace } from "./stock";

/** Pieces that a place has too few of. */
export interface Refill {
  readonly item: Item;
  readonly name: string;
  readonly to: StorePlace;
  readonly pieces: number;
  /** What shall lie there at least, what is free there, and what was ordered for it already. */
  readonly least: number;
  readonly free: number;
  readonly coming: number;
}

/** What another place can spare. */
export interface Shifting extends Refill {
  readonly from: StorePlace;
}

export interface OrderLine extends Refill {
  /** What is sold: the item, or what replaced it. */
  readonly buy: Item;
  readonly buyName: string;
  readonly order: string | undefined;
  readonly price: number;
  /** Bought in packs of so many. */
  readonly pack: number;
}

/** What to order of one supplier. */
export interface ToOrder {
  /** None where nobody is known to sell it. */
  readonly supplier: StorePlace | undefined;
  readonly lines: readonly OrderLine[];
  readonly sum: number;
}

export interface OrderList {
  readonly shift: readonly Shifting[];
  readonly order: readonly ToOrder[];
}

const HUNDREDTHS = 100;

/** What has come of a line of an order, pieces. */
export const received = (
  { id }: Order,
  { item, to }: Order["lines"][number],
  entries: readonly Movement[],
): number =>
  entries.reduce(
    (sum, entry) =>
      entry.order === id && entry.place === to && sameItem(entry.item, item) ? sum + entry.change : sum,
    0,
  );

/** What is still to come, by place and item. */
function onTheWay(orders: readonly Order[], entries: readonly Movement[]): ReadonlyMap<string, number> {
  const coming = new Map<string, number>();
  for (const order of orders)
    for (const line of order.closed === true ? [] : order.lines) {
      const left = line.quantity - received(order, line, entries);
      const key = `${line.to} ${itemKey(line.item)}`;
      if (left > 0) coming.set(key, (coming.get(key) ?? 0) + left);
    }
  return coming;
}

/** What is sold for an item now: the end of the line of those that replaced each other. */
function soldNow(store: Store, item: Item): Item {
  const seen = new Set<string>();
  let at = item;
  for (;;) {
    seen.add(itemKey(at));
    const next = knownOf(store, at)?.replacedBy;
    if (next === undefined || seen.has(itemKey(next))) return at;
    at = next;
  }
}

export const knownOf = ({ items = [] }: Store, item: Item): KnownItem | undefined =>
  items.find((each) => sameItem(each.item, item));

/** Who sells an item: the one that is named, or else the cheapest that has it. */
function supplierOf(store: Store, item: Item): { place: StorePlace; row: StockItem | undefined } | undefined {
  const named = knownOf(store, item)?.supplier;
  const sellers = store.places
    .filter(({ id, kind }) => kind === "supplier" && (named === undefined || id === named))
    .map((place) => ({ place, row: rowAt(store, item, place.id) }))
    .filter(({ row }) => named !== undefined || row !== undefined);
  return sellers.sort((a, b) => (a.row?.price ?? 0) - (b.row?.price ?? 0) || a.place.days - b.place.days)[0];
}

/**
 * What lies below its least level, or was promised more often than it is there: first what another place can spare,
 * then what is to be ordered, by supplier. What was ordered already counts as coming.
 */
export function orderList(
  store: Store,
  held: readonly Held[],
  orders: readonly Order[],
  entries: readonly Movement[],
  now: number,
): OrderList {
  const coming = onTheWay(
    orders.filter((order) => order.store === store.id),
    entries,
  );
  const places = new Map(store.places.filter(isOwnPlace).map((place) => [place.id, place]));
  const own = store.stock.filter(({ place }) => places.has(place));
  const freeOf = (row: StockItem) =>
    row.quantity - ranOut(row, now) - promised(row, heldOf(held, store.id, row));
  const spare = new Map(
    own.map((row) => [row, freePieces(row, heldOf(held, store.id, row), now) - (row.least ?? 0)]),
  );
  const shift: Shifting[] = [];
  const order: (OrderLine & { readonly supplier: StorePlace | undefined })[] = [];
  for (const row of own) {
    const { item, name, least = 0 } = row;
    const to = places.get(row.place)!;
    const free = freeOf(row);
    const on = comingFor(store, coming, row);
    let short = least - free - on;
    if (short <= 0) continue;
    const facts = { item, name, to, least, free, coming: on };
    for (const other of own) {
      if (other === row || !sameItem(other.item, item) || short <= 0) continue;
      // Vans are filled from the shop, and not the shop from them.
      if (places.get(other.place)!.kind === "van" && to.kind !== "van") continue;
      const pieces = Math.min(short, Math.max(0, spare.get(other) ?? 0));
      if (pieces <= 0) continue;
      spare.set(other, (spare.get(other) ?? 0) - pieces);
      short -= pieces;
      shift.push({ ...facts, pieces, from: places.get(other.place)! });
    }
    if (short > 0) order.push({ ...facts, ...bought(store, row, short) });
  }
  return { shift, order: bySupplier(store, order) };
}

const promised = ({ aside = [] }: StockItem, held: readonly Held[]): number =>
  [...aside.map(({ quantity }) => quantity), ...held.map(({ pieces }) => pieces)].reduce((a, b) => a + b, 0);

/** What was ordered of an item, under its own name or that of what replaced it. */
function comingFor(store: Store, coming: ReadonlyMap<string, number>, { item, place }: StockItem): number {
  const now = soldNow(store, item);
  const own = coming.get(`${place} ${itemKey(item)}`) ?? 0;
  return sameItem(now, item) ? own : own + (coming.get(`${place} ${itemKey(now)}`) ?? 0);
}

function bought(store: Store, row: StockItem, short: number) {
  const buy = soldNow(store, row.item);
  const known = knownOf(store, buy);
  const seller = supplierOf(store, buy);
  const pack = known?.pack ?? 1;
  return {
    buy,
    buyName: store.stock.find((each) => sameItem(each.item, buy))?.name ?? row.name,
    order: known?.order,
    pack,
    price: seller?.row?.price ?? row.price,
    pieces: Math.ceil(short / pack) * pack,
    supplier: seller?.place,
  };
}

function bySupplier(
  { places }: Store,
  lines: readonly (OrderLine & { readonly supplier: StorePlace | undefined })[],
): ToOrder[] {
  return [...places.filter((place) => !isOwnPlace(place)), undefined].flatMap((supplier): ToOrder[] => {
    const own = lines.flatMap(({ supplier: of, ...line }) => (of?.id === supplier?.id ? [line] : []));
    const cents = own.reduce((sum, { price, pieces }) => sum + Math.round(price * HUNDREDTHS) * pieces, 0);
    return own.length === 0 ? [] : [{ supplier, lines: own, sum: cents / HUNDREDTHS }];
  });
}
