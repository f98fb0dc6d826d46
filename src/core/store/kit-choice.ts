import type { Item, Sheet, Store } from "../formats";
import { type Cover, cheapestCover, lacking, type Pieces, secondCover } from "./cover";
import type { IntegerSolver } from "./integer-program";
import { HUNDREDTHS, type NotThisKit, offersOf, type StockOffer, unfit } from "./offers";
import { smallSolver } from "./small-solver";
import { byPiece, nameOfPieces } from "./stack-pieces";

/** Something to bring: kits or single parts, from one place. */
export interface Pick {
  readonly kind: "kit" | "part";
  readonly id: string;
  readonly name: string;
  readonly pieces: number;
  readonly place: string;
  /** Id of that place. */
  readonly from: string;
  /** What it is on the books. */
  readonly item: Item;
  /** What the sheet names, where this came in its place or serves as well. */
  readonly insteadOf?: string;
  /** What to know of it, in the words of the sheet. */
  readonly note?: string;
  /** Of all these pieces. */
  readonly price: number;
  readonly days: number;
}

/** Pieces that are right to be left over: packed with the kit and not for this valve, or not disturbed in this job. */
export type Leftover = { readonly name: string; readonly quantity: number } & (
  | { readonly kind: "packed"; readonly why: string }
  | { readonly kind: "not-disturbed" }
);

/** Something that lies there and is put aside for something else. */
export interface Promised {
  readonly name: string;
  readonly place: string;
  readonly for: string;
}

/** Pieces that no place has free. */
export interface Missing {
  readonly part: string;
  readonly name: string;
  readonly pieces: number;
  /** What would have them, were it not for something else. */
  readonly promised?: readonly Promised[];
}

/** One way to have what can be had. */
export interface Purchase {
  readonly picks: readonly Pick[];
  readonly price: number;
  /** Days until everything is in hand. */
  readonly days: number;
  /** Whether nothing cheaper is in hand as soon: proven, not only not found. */
  readonly exact: boolean;
}

export interface KitChoice extends Purchase {
  readonly currency: string;
  /** What to do when something of it is not wanted or not there. */
  readonly second: Purchase | undefined;
  /** Pieces that no place has, by part, or by piece of a stack. */
  readonly missing: readonly Missing[];
  /** What will be left over when the right parts are fitted. */
  readonly leftovers: readonly Leftover[];
  /** Kits of this sheet that do not fit this generation: the look-alikes not to take. */
  readonly doNotTake: readonly NotThisKit[];
}

/**
 * What to bring so that the parts can be renewed: all that can be had, as soon as it can be had, at the least price.
 * Parts may come from kits or singly, in any number that lies there, from several places.
 *
 * @param wanted pieces by part id, or by piece of a stack · @param generation of the valve; a kit that names others is not offered
 */
export function chooseKits(
  sheet: Sheet,
  wanted: Iterable<readonly [string, number]>,
  store: Store | undefined,
  generation?: string,
  solve: IntegerSolver = smallSolver,
): KitChoice {
  const needs = byPiece(sheet, wanted);
  const there = offersOf(sheet, needs, store, generation);
  const offers = there.filter(({ atMost }) => atMost > 0);
  const lacks = lacking(needs, offers);
  const had = new Map([...needs].map(([part, pieces]) => [part, pieces - (lacks.get(part) ?? 0)]));
  const [best, second] = soonest(had, offers, solve);
  return {
    ...purchaseOf(best),
    currency: store?.currency ?? "",
    second: second && purchaseOf(second),
    missing: [...lacks].map(([part, pieces]) => {
      const promised = promisedOf(there, part);
      return { part, name: nameOfPieces(sheet, part), pieces, ...(promised.length > 0 && { promised }) };
    }),
    leftovers: leftoversOf(sheet, needs, best),
    doNotTake:
      needs.size === 0
        ? []
        : sheet.kits.flatMap((kit) => {
            const why = unfit(kit, generation);
            return why === undefined ? [] : [{ id: kit.id, name: kit.name, ...why }];
          }),
  };
}

/** Where a part lies that is put aside, singly or in a kit. */
const promisedOf = (offers: readonly StockOffer[], part: string): Promised[] =>
  offers.flatMap(({ contents, name, lying }) =>
    contents.has(part) ? lying.aside.map((aside) => ({ name, place: lying.place.name, for: aside.for })) : [],
  );

/** The cheapest cover of what is soonest in hand, and the next best one, for which one may have to wait longer. */
function soonest(
  needs: Pieces,
  offers: readonly StockOffer[],
  solve: IntegerSolver,
): [Cover<StockOffer> | undefined, Cover<StockOffer> | undefined] {
  const days = [...new Set(offers.map(({ lying }) => lying.place.days))].sort((a, b) => a - b);
  let best: Cover<StockOffer> | undefined;
  for (const within of days) {
    const inTime = offers.filter(({ lying }) => lying.place.days <= within);
    best ??= cheapestCover(needs, inTime, solve);
    const second = best && secondCover(needs, inTime, best, solve);
    if (second !== undefined) return [best, second];
  }
  return [best, undefined];
}

function purchaseOf(cover: Cover<StockOffer> | undefined): Purchase {
  const taken = cover?.taken ?? [];
  return {
    picks: taken.map(({ offer, count }) => ({
      kind: offer.lying.kind,
      id: offer.lying.id,
      name: offer.name,
      pieces: count,
      place: offer.lying.place.name,
      from: offer.lying.place.id,
      item: offer.lying.item,
      ...(offer.lying.name !== undefined && { insteadOf: offer.sheetName }),
      ...(offer.kit?.note !== undefined && { note: offer.kit.note }),
      price: (offer.price * count) / HUNDREDTHS,
      days: offer.lying.place.days,
    })),
    price: (cover?.price ?? 0) / HUNDREDTHS,
    days: taken.reduce((most, { offer }) => Math.max(most, offer.lying.place.days), 0),
    exact: cover?.exact ?? true,
  };
}

function leftoversOf(sheet: Sheet, needs: Pieces, cover: Cover<StockOffer> | undefined): Leftover[] {
  const brought = new Map<string, number>();
  for (const { offer, count } of cover?.taken ?? [])
    for (const [part, pieces] of offer.contents) brought.set(part, (brought.get(part) ?? 0) + pieces * count);
  const spare = [...brought].flatMap(([part, pieces]): Leftover[] => {
    const left = pieces - (needs.get(part) ?? 0);
    return left > 0 ? [{ name: nameOfPieces(sheet, part), quantity: left, kind: "not-disturbed" }] : [];
  });
  const packed = (cover?.taken ?? []).flatMap(({ offer, count }) =>
    (offer.kit?.leftovers ?? []).map(
      (each): Leftover => ({ ...each, kind: "packed", quantity: each.quantity * count }),
    ),
  );
  return [...packed, ...spare];
}
