import { type AskedMove, type Item, type Movement, type StockItem, type Store, sameItem } from "../formats";
import { err, ok, type Result, unreachable } from "../result";
import { batchesTaken, negative, piecesOf, withBatches } from "./batches";

/** What is asked of the ledger, by whom and when; the change it makes is worked out. */
export type Asked = AskedMove & Pick<Movement, "id" | "at" | "by" | "job" | "short">;

export type MovementFailure =
  | { readonly kind: "no-such-place"; readonly place: string }
  | { readonly kind: "no-such-item"; readonly item: Item; readonly place: string }
  | { readonly kind: "too-few"; readonly name: string; readonly place: string; readonly have: number }
  | { readonly kind: "nothing" }
  | { readonly kind: "same-place"; readonly place: string }
  | {
      readonly kind: "counted-meanwhile";
      readonly name: string;
      readonly place: string;
      readonly have: number;
    }
  | { readonly kind: "not-of-that-day"; readonly name: string; readonly until: string; readonly have: number }
  | { readonly kind: "not-aside"; readonly name: string; readonly place: string; readonly have: number }
  | { readonly kind: "undone-already" };

/** A store with a movement made, and the entry as the ledger keeps it. */
export interface Moved {
  readonly store: Store;
  readonly entry: Movement;
}

/** What is more or less of a row. */
interface Shift {
  readonly pieces: number;
  readonly batches: StockItem["batches"];
  readonly aside?: StockItem["aside"];
  readonly price?: number | undefined;
}

export const rowAt = ({ stock }: Store, item: Item, place: string): StockItem | undefined =>
  stock.find((row) => row.place === place && sameItem(row.item, item));

/** The store with a row changed; a row that is new comes last. */
function shifted(
  store: Store,
  { item, name, place }: Pick<StockItem, "item" | "name" | "place">,
  by: Shift,
): Store {
  const known = rowAt(store, item, place);
  const {
    batches: old = [],
    aside: kept = [],
    ...row
  } = known ?? { item, name, place, quantity: 0, price: 0 };
  const quantity = row.quantity + by.pieces;
  const dated = withBatches(old, by.batches ?? []);
  // What a count did not find was not of a later day than what is left.
  const batches = withBatches(dated, negative(batchesTaken(dated, piecesOf(dated) - quantity)));
  const aside = by.aside ?? kept;
  const after: StockItem = {
    ...row,
    quantity,
    price: by.price ?? row.price,
    ...(batches.length > 0 && { batches }),
    ...(aside.length > 0 && { aside }),
  };
  return {
    ...store,
    stock:
      known === undefined
        ? [...store.stock, after]
        : store.stock.map((each) => (each === known ? after : each)),
  };
}

/** Pieces put aside, one for a purpose more or fewer. */
function asideWith(row: StockItem, purpose: string, pieces: number): NonNullable<StockItem["aside"]> {
  const { aside = [] } = row;
  const now = (aside.find((each) => each.for === purpose)?.quantity ?? 0) + pieces;
  const others = aside.filter((each) => each.for !== purpose);
  return now > 0 ? [...others, { for: purpose, quantity: now }] : others;
}

const asideFor = (row: StockItem | undefined, purpose: string): number =>
  row?.aside?.find((each) => each.for === purpose)?.quantity ?? 0;

/** Pieces of a row that nobody has put aside; what is promised more often than it is there is not free. */
export const notAside = ({ quantity, aside = [] }: StockItem): number =>
  Math.max(0, quantity - aside.reduce((sum, each) => sum + each.quantity, 0));

/** Pieces that a movement adds at its place, before it is known whether they are there. */
function changeOf({ kind, quantity }: AskedMove, have: number): number {
  switch (kind) {
    case "in":
    case "back":
      return quantity;
    case "counted":
      return quantity - have;
    case "out":
    case "used":
    case "scrapped":
    case "moved":
      return -quantity;
    case "aside":
    case "freed":
      return 0;
    default:
      return unreachable(kind);
  }
}

/**
 * One movement made: the store after it, and the entry as the ledger keeps it. Nothing ever lies below zero; what goes
 * has to be there, and what comes may be new. What runs out first goes first.
 */
export function moved(store: Store, asked: Asked): Result<Moved, MovementFailure> {
  const { item, place, to, kind, quantity, until, why = "" } = asked;
  const places = new Set(store.places.map(({ id }) => id));
  for (const each of [place, ...(to === undefined ? [] : [to])])
    if (!places.has(each)) return err({ kind: "no-such-place", place: each });
  if (kind === "moved" && (to === undefined || to === place)) return err({ kind: "same-place", place });
  if (kind !== "counted" && quantity === 0 && asked.short === undefined) return err({ kind: "nothing" });
  const here = rowAt(store, item, place);
  const anywhere = here ?? store.stock.find((row) => sameItem(row.item, item));
  const name = anywhere?.name ?? asked.name;
  if (name === undefined) return err({ kind: "no-such-item", item, place });
  const have = here?.quantity ?? 0;
  if (kind === "counted" && asked.was !== undefined && asked.was !== have)
    return err({ kind: "counted-meanwhile", name, place, have });
  const change = changeOf(asked, have);
  if (have + change < 0) return err({ kind: "too-few", name, place, have });
  if (kind === "aside" && (here === undefined || notAside(here) < quantity))
    return err({ kind: "too-few", name, place, have: here === undefined ? 0 : notAside(here) });
  if (kind === "freed" && asideFor(here, why) < quantity)
    return err({ kind: "not-aside", name, place, have: asideFor(here, why) });
  const comes = change > 0;
  const batches =
    change === 0 ? [] : comes ? dated(until, change) : batchesTaken(here?.batches ?? [], -change, until);
  if (until !== undefined && change < 0 && piecesOf(batches) < -change)
    return err({ kind: "not-of-that-day", name, until, have: piecesOf(batches) });
  const row = { item, name, place };
  const after = shifted(store, row, {
    pieces: change,
    batches: comes ? batches : negative(batches),
    price: asked.price ?? (here === undefined ? anywhere?.price : undefined),
    ...(here !== undefined &&
      (kind === "aside" || kind === "freed") && {
        aside: asideWith(here, why, kind === "aside" ? quantity : -quantity),
      }),
  });
  const there = to === undefined || kind !== "moved" ? undefined : to;
  const made =
    there === undefined
      ? after
      : shifted(
          after,
          { ...row, place: there },
          {
            pieces: quantity,
            batches,
            price: rowAt(after, item, there) === undefined ? anywhere?.price : undefined,
          },
        );
  // A place it was not moved to is no place of it.
  const { was: _, to: __, ...kept } = asked;
  return ok({
    store: made,
    entry: {
      ...kept,
      ...(there !== undefined && { to: there }),
      name,
      store: store.id,
      change,
      ...(batches.length > 0 && { batches }),
    },
  });
}

const dated = (until: string | undefined, quantity: number) =>
  until === undefined ? [] : [{ until, quantity }];

/**
 * An entry taken back by a contrary one: the ledger only grows. Refused where what came is not there any more.
 *
 * @param as who takes it back and when, and the id of the contrary entry
 */
export function undone(
  store: Store,
  entry: Movement,
  as: Pick<Movement, "id" | "at" | "by">,
): Result<Moved, MovementFailure> {
  const { item, name, place, to, change, batches = [], kind, quantity, why = "" } = entry;
  if (kind === "undone") return err({ kind: "undone-already" });
  const here = rowAt(store, item, place);
  const have = here?.quantity ?? 0;
  if (have - change < 0) return err({ kind: "too-few", name, place, have });
  const there = to === undefined ? undefined : rowAt(store, item, to);
  if (to !== undefined && (there?.quantity ?? 0) + change < 0)
    return err({ kind: "too-few", name, place: to, have: there?.quantity ?? 0 });
  if (kind === "aside" && asideFor(here, why) < quantity)
    return err({ kind: "not-aside", name, place, have: asideFor(here, why) });
  const cameHere = change > 0;
  const row = { item, name, place };
  const after = shifted(store, row, {
    pieces: -change,
    batches: cameHere ? negative(batches) : batches,
    ...(entry.before !== undefined && { price: entry.before }),
    ...(here !== undefined &&
      (kind === "aside" || kind === "freed") && {
        aside: asideWith(here, why, kind === "aside" ? -quantity : quantity),
      }),
  });
  const made =
    to === undefined
      ? after
      : shifted(
          after,
          { ...row, place: to },
          { pieces: change, batches: cameHere ? batches : negative(batches) },
        );
  const { price: _, short: __, before: ___, ...same } = entry;
  return ok({
    store: made,
    entry: { ...same, ...as, kind: "undone", change: -change, undoes: entry.id },
  });
}

/** How many pieces an entry brought to a place, or took from it. */
export const changeAt = ({ place, to, change }: Movement, at: string): number =>
  (place === at ? change : 0) - (to === at ? change : 0);

/** The whole stock as it lay at a moment (ms): what lies there now, without what has happened since. */
export function stockAt(store: Store, entries: readonly Movement[], at: number): StockItem[] {
  const since = entries.filter((entry) => entry.store === store.id && Date.parse(entry.at) > at);
  return store.stock.flatMap((row): StockItem[] => {
    const own = since.filter(
      (entry) => sameItem(entry.item, row.item) && (entry.place === row.place || entry.to === row.place),
    );
    if (own.length === 0) return [row];
    const { batches: _, aside: __, ...rest } = row;
    return [
      { ...rest, quantity: own.reduce((pieces, entry) => pieces - changeAt(entry, row.place), row.quantity) },
    ];
  });
}
