import type { HowOneGoes, Sheet } from "../formats";
import type { IntegerSolver, Pieces, StockOffer } from "../store";
import type { Need, Needs, ToolToBring } from "./needs";
import { type Packable, programOf } from "./program";
import { weightOfPieces } from "./weights";

/** Pieces of a kit or a part, taken from where they lie. */
export interface Taken {
  readonly offer: StockOffer;
  readonly count: number;
  readonly kg: number;
}

/** What is taken along, and how likely that is enough. */
export interface Packing {
  readonly taken: readonly Taken[];
  readonly tools: readonly ToolToBring[];
  /** Chance that everything needed is along, 0 to 1, of all that may be met. */
  readonly chance: number;
  /** kg. All that is carried. */
  readonly kg: number;
  /** min. What it spares of second trips, less what fetching, carrying and buying cost. */
  readonly worth_min: number;
  /** Proven that nothing else is worth more. */
  readonly exact: boolean;
}

/** How things are weighed, all in minutes of work. */
export interface Weigh {
  readonly trip_min: number;
  readonly kg_min: number;
  readonly fetch_min: number;
  /** min for a unit of money. */
  readonly money_min: number;
}

/** Of its price, what taking something along for nothing costs: it is handled, opened, mislaid. */
const HANDLED = 0.02;
/** Of its price, what an ordered thing costs that is not used after all: it lies there for long. */
const UNUSED = 0.25;

/** Whether all that a need takes is along. */
const isMet = (need: Need, pieces: Pieces, tools: ReadonlySet<string>): boolean =>
  [...need.tools].every((tool) => tools.has(tool)) &&
  [...need.pieces].every(([part, count]) => (pieces.get(part) ?? 0) >= count);

/** Chance that what is along is enough, counted need by need. */
export function chanceWith(
  needs: readonly Need[],
  taken: readonly Pick<Taken, "offer" | "count">[],
  tools: readonly Pick<ToolToBring, "id">[],
): number {
  const pieces = new Map<string, number>();
  for (const { offer, count } of taken)
    for (const [part, each] of offer.contents) pieces.set(part, (pieces.get(part) ?? 0) + each * count);
  const had = new Set(tools.map(({ id }) => id));
  return needs.reduce((sum, need) => (isMet(need, pieces, had) ? sum + need.chance : sum), 0);
}

/** What it costs to take one of an offer along, min, beside a way to its place. */
export function costOf(offer: StockOffer, needs: readonly Need[], { money_min, kg_min }: Weigh, kg: number) {
  const used = needs.reduce(
    (sum, need) =>
      [...offer.contents.keys()].some((part) => need.pieces.has(part)) ? sum + need.chance : sum,
    0,
  );
  const ordered = offer.lying.place.kind === "supplier";
  const lost = HANDLED + (ordered ? UNUSED * (1 - Math.min(1, used)) : 0);
  return (offer.price / 100) * money_min * lost + kg * kg_min;
}

/** How one goes, and what can be carried at most. */
export type Carries = HowOneGoes & { readonly most_kg: number | undefined };

/** Carried by hand, all of it counts; in a van only what is put into it. */
const carried = ({ by }: HowOneGoes, kind: StockOffer["lying"]["place"]["kind"]) =>
  by === "foot" || kind !== "van";

/** What to take so that second trips spared, less fetching, carrying and buying, are worth most. */
export function pack(
  all: Needs,
  offers: readonly StockOffer[],
  sheet: Sheet,
  weigh: Weigh,
  goes: Carries,
  solve: IntegerSolver,
): Packing {
  const of = packableOf(all, offers, sheet, weigh, goes);
  const { needs, items, tools, shops } = of;
  const answer = needs.length === 0 ? { values: [], proven: true } : solve(programOf(of));
  const value = (index: number) => answer?.values[index] ?? 0;
  const taken = items.flatMap(({ offer, kg }, index): Taken[] => {
    const count = value(needs.length + index);
    return count === 0 ? [] : [{ offer, count, kg: kg * count }];
  });
  const along = tools.filter((_, index) => value(needs.length + items.length + index) > 0);
  const fetched = shops.filter((shop) => taken.some(({ offer }) => offer.lying.place.id === shop));
  const met = needs.filter(({ need }) => chanceWith([need], taken, along) > 0);
  const worth_min =
    met.reduce((sum, { worth_min: each }) => sum + each, 0) -
    items.reduce((sum, { cost_min }, index) => sum + cost_min * value(needs.length + index), 0) -
    along.reduce((sum, { cost_min }) => sum + cost_min, 0) -
    fetched.length * weigh.fetch_min;
  return {
    taken,
    tools: along,
    chance: chanceWith(all.needs, taken, along),
    kg: [...taken, ...along].reduce((sum, { kg }) => sum + kg, 0),
    worth_min,
    exact: answer?.proven === true,
  };
}

function packableOf(
  { needs, tools }: Needs,
  offers: readonly StockOffer[],
  sheet: Sheet,
  weigh: Weigh,
  goes: Carries,
): Packable {
  const items = offers.flatMap((offer) => {
    const most = Math.min(offer.atMost, enoughOf(offer, needs));
    if (most === 0) return [];
    const kg = weightOfPieces(sheet, offer.contents);
    const onTheBack = carried(goes, offer.lying.place.kind) ? kg : 0;
    return [{ offer, most, kg, cost_min: costOf(offer, needs, weigh, onTheBack) }];
  });
  return {
    needs: needs.map((need) => ({ need, worth_min: need.chance * (weigh.trip_min + need.again_min) })),
    items,
    tools: tools.map((tool) => ({ ...tool, cost_min: goes.by === "foot" ? tool.kg * weigh.kg_min : 0 })),
    shops: [
      ...new Set(
        items.flatMap(({ offer: { lying } }) => (lying.place.kind === "shop" ? [lying.place.id] : [])),
      ),
    ],
    fetch_min: weigh.fetch_min,
    most_kg: goes.most_kg,
  };
}

/** More of an offer than the hungriest need takes is of no use. */
function enoughOf(offer: StockOffer, needs: readonly Need[]): number {
  let enough = 0;
  for (const { pieces } of needs)
    for (const [part, count] of pieces) {
      const each = offer.contents.get(part) ?? 0;
      if (each > 0) enough = Math.max(enough, Math.ceil(count / each));
    }
  return enough;
}
