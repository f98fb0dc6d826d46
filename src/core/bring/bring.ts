import type { HowOneGoes, Sheet, Store, Trouble, TroubleFacts } from "../formats";
import {
  type IntegerSolver,
  nameOfPieces,
  offersOf,
  type Pieces,
  type StockOffer,
  smallSolver,
} from "../store";
import { visitsOf } from "../trouble";
import { type Need, needsOf, type ToolToBring } from "./needs";
import { chanceWith, type Packing, pack, type Weigh } from "./pack";

/** Something to put into the bag: what it is, from where, and what its being there is worth. */
export interface Brought {
  readonly kind: "kit" | "part";
  readonly id: string;
  readonly name: string;
  readonly pieces: number;
  readonly place: string;
  readonly from: "van" | "shop" | "supplier";
  readonly days: number;
  /** Of all these pieces, in the currency of the store. */
  readonly price: number;
  readonly kg: number;
  /** Chance of finishing without it. */
  readonly without: number;
  /** Ends that it serves, the likeliest first. */
  readonly for: readonly string[];
}

export interface BroughtTool extends ToolToBring {
  readonly without: number;
}

/** What is not covered: how likely it is, and why. */
export interface Uncovered {
  readonly ends: readonly string[];
  readonly chance: number;
  /** What is not in hand by then; none where it is not worth its weight or way. */
  readonly lacks: readonly Lack[];
}

/** Pieces that are too few by then, and who has them later; nobody when absent. */
export interface Lack {
  readonly name: string;
  readonly later?: { readonly place: string; readonly days: number };
}

/** What to take when one leaves in so many days. */
export interface Departure {
  readonly days: number;
  /** Chance to finish on the first visit, 0 to 1. */
  readonly chance: number;
  readonly items: readonly Brought[];
  readonly tools: readonly BroughtTool[];
  readonly kg: number;
  /** min. What it spares, less what it costs and the waiting. */
  readonly worth_min: number;
  readonly uncovered: readonly Uncovered[];
  readonly exact: boolean;
}

export interface Bring {
  /** One for each day on which something more is in hand, soonest first. */
  readonly departures: readonly Departure[];
  /** Which of them is worth most. */
  readonly best: number;
  /** Chance that it is for somebody else, whatever is brought. */
  readonly others: number;
  /** Chance that the looks lead astray first, or that it stands on no list: nobody can pack for that. */
  readonly unknown: number;
  /** Chance that a look inside is taken to condemn more than the job is for. */
  readonly condemned: number;
  readonly currency: string;
}

interface Asked {
  readonly knowledge: Trouble;
  readonly facts: TroubleFacts;
  readonly answers: ReadonlyMap<string, string>;
  readonly sheet: Sheet;
  readonly store?: Store;
  readonly generation?: string;
  readonly goes?: HowOneGoes;
}

/** Where the rates of the store and the question say nothing. */
const USUAL = { trip_min: 90, money_min: 0, kg_min: 0.5, fetch_min: 10, condemned: 0.15 } as const;
/** kg. What one person carries a way on foot. */
const ON_FOOT_KG = 15;
/** min. A working day without service, of which each minute weighs as an outage does; half where nobody says. */
const DAY_OUT_MIN = 480;

/**
 * What to bring, before one goes there, so that the chance of finishing on the first visit is greatest for what it costs
 * and weighs: for each day on which one might leave.
 *
 * @param solve any integer solver · @param moments as of `advise`
 */
export function bring(
  { knowledge, facts, answers, sheet, store, generation, goes = { by: "van" } }: Asked,
  solve: IntegerSolver = smallSolver,
  moments?: number,
): Bring {
  const { weigh: given = {} } = goes;
  const weigh: Weigh = {
    trip_min: facts.weigh?.trip_min ?? USUAL.trip_min,
    money_min: facts.weigh?.money_min ?? USUAL.money_min,
    kg_min: given.kg_min ?? USUAL.kg_min,
    fetch_min: given.fetch_min ?? USUAL.fetch_min,
  };
  const wait = given.wait_day_min ?? DAY_OUT_MIN * (facts.weigh?.outage ?? 0.5);
  const most_kg = goes.most_kg ?? (goes.by === "foot" ? ON_FOOT_KG : undefined);
  const condemned = given.condemned ?? USUAL.condemned;
  const visits = visitsOf(knowledge, facts, answers, moments);
  const all = needsOf(visits, knowledge, facts, sheet, condemned);
  const wanted = new Map(all.needs.flatMap(({ pieces }) => [...pieces]));
  const offers = offersOf(sheet, wanted, store, generation).filter(
    ({ atMost, lying }) =>
      atMost > 0 && !(lying.place.kind === "van" && goes.van !== undefined && lying.place.id !== goes.van),
  );
  const days = [...new Set([0, ...offers.map(({ lying }) => lying.place.days)])].sort((a, b) => a - b);
  const departures = days.map((within): Departure => {
    const there = offers.filter(({ lying }) => lying.place.days <= within);
    const packing = pack(all, there, sheet, weigh, { ...goes, most_kg }, solve);
    return departureOf(packing, all.needs, offers, sheet, within, within * wait);
  });
  const useful = departures.filter(
    // Waiting for what is not taken is no way of its own.
    ({ days: within, chance }, index) => within === 0 || chance > departures[index - 1]!.chance + 1e-9,
  );
  const chanceOf = (...kinds: readonly string[]) =>
    visits.reduce((sum, { goes: how, chance }) => (kinds.includes(how) ? sum + chance : sum), 0);
  return {
    departures: useful,
    best: useful.reduce((best, each, index) => (each.worth_min > useful[best]!.worth_min ? index : best), 0),
    others: chanceOf("others"),
    unknown: chanceOf("unknown", "missed"),
    condemned,
    currency: store?.currency ?? "",
  };
}

function departureOf(
  { taken, tools, chance, kg, worth_min, exact }: Packing,
  needs: readonly Need[],
  offers: readonly StockOffer[],
  sheet: Sheet,
  days: number,
  waited_min: number,
): Departure {
  const without = (item: number) =>
    chanceWith(
      needs,
      taken.filter((_, index) => index !== item),
      tools,
    );
  const had = (part: string, by: number) =>
    offers.reduce(
      (sum, { contents, atMost, lying }) =>
        lying.place.days <= by ? sum + (contents.get(part) ?? 0) * atMost : sum,
      0,
    );
  const lackOf = (part: string, count: number): Lack => {
    const later = offers
      .map(({ lying }) => lying.place)
      .filter((place) => place.days > days && had(part, place.days) >= count)
      .sort((a, b) => a.days - b.days)[0];
    return {
      name: nameOfPieces(sheet, part),
      ...(later && { later: { place: later.name, days: later.days } }),
    };
  };
  return {
    days,
    chance,
    kg,
    exact,
    worth_min: worth_min - waited_min,
    items: taken
      .map(({ offer, count, kg: weighs }, index) => ({
        kind: offer.lying.kind,
        id: offer.lying.id,
        name: offer.name,
        pieces: count,
        place: offer.lying.place.name,
        from: offer.lying.place.kind,
        days: offer.lying.place.days,
        price: (offer.price * count) / 100,
        kg: weighs,
        without: without(index),
        for: endsFor(needs, offer.contents),
      }))
      .sort(missedMost),
    tools: tools
      .map((tool) => ({
        ...tool,
        without: chanceWith(
          needs,
          taken,
          tools.filter((each) => each !== tool),
        ),
      }))
      .sort(missedMost),
    uncovered: needs
      .filter((need) => chanceWith([need], taken, tools) === 0)
      .map(({ ends, chance: of, pieces }) => ({
        ends,
        chance: of,
        lacks: [...pieces]
          .filter(([part, count]) => had(part, days) < count)
          .map(([part, count]) => lackOf(part, count)),
      }))
      .sort((a, b) => b.chance - a.chance),
  };
}

/** What would be missed most comes first. */
const missedMost = (a: { readonly without: number }, b: { readonly without: number }) =>
  a.without - b.without;

/** Ends that take something of this, the likeliest first. */
function endsFor(needs: readonly Need[], contents: Pieces): string[] {
  const chance = new Map<string, number>();
  for (const need of needs)
    if ([...contents.keys()].some((part) => need.pieces.has(part)))
      for (const end of need.ends) chance.set(end, (chance.get(end) ?? 0) + need.chance);
  return [...chance].sort((a, b) => b[1] - a[1]).map(([end]) => end);
}
