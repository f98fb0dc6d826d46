import type { ChosenDepth, Depth, Sheet, Store } from "../formats";

/** How it stands with the valve: what makes a shallow repair come back. */
export interface Condition {
  readonly leak: ChosenDepth["leak"];
  readonly access: ChosenDepth["access"];
  /** Since it was built in; unknown when absent. */
  readonly age_years?: number;
  /** The next planned visit, ms since the epoch and from now; a year from now when absent. */
  readonly until?: { readonly at: number; readonly years: number };
}

/** A depth as it was compiled and as its kit was chosen. */
export interface Candidate {
  readonly depth: Depth;
  readonly minutes: number;
  /** Of these minutes somebody goes without; 0 where nobody does. */
  readonly outage_min: number;
  readonly price: number;
  readonly days: number;
  /** Parts that go in new. */
  readonly parts: readonly string[];
}

export type CostOf = "time" | "parts" | "outage" | "coming-back";

/** What a depth is weighed by on this valve today. */
export interface Figures {
  /** Of work, with what hard access adds. */
  readonly minutes: number;
  readonly outage_min: number;
  /** In the currency of the prices. */
  readonly parts: number;
  /** Chance that it comes back before the next planned visit, 0 to 1. */
  readonly comesBack: number;
}

/** What a depth costs, all told: this job, and its share of the one that comes back. */
export interface Weighed extends Candidate {
  readonly figures: Figures;
  readonly costs: Readonly<Record<CostOf, number>>;
  readonly cost: number;
}

export interface Weighing {
  readonly best: Weighed;
  readonly others: readonly Weighed[];
  readonly rates: Rates;
}

/** What an hour of whoever does it, a trip and an hour without service cost. */
export type Rates = NonNullable<Store["rates"]>;

/** A place that is hard to get at takes longer, each time. */
const HARD_ACCESS = 1.5;

/** From this age on a valve counts as old where its sheet does not say. */
export const OLD_FROM_YEARS = 15;

/** Depths that the sheet has for a reason. */
export const depthsFor = ({ depths = [] }: Sheet, symptom: string | undefined): Depth[] =>
  depths.filter(
    ({ symptoms }) => symptoms === undefined || (symptom !== undefined && symptoms.includes(symptom)),
  );

function holds(
  when: Depth["comesBack"][number]["when"],
  { leak, access, age_years = 0 }: Condition,
  old: number,
) {
  switch (when) {
    case "always":
      return true;
    case "runs":
      return leak === "runs";
    case "hard-access":
      return access === "hard";
    case "old":
      return age_years >= old;
  }
}

/**
 * What so much work, outage and parts cost by these rates, and the chance of coming back times a trip, the same hours,
 * parts and outage again.
 */
export function costsOf(
  { minutes, outage_min, parts, comesBack }: Figures,
  rates: Rates,
): Readonly<Record<CostOf, number>> {
  const time = (minutes / 60) * rates.hour;
  const outage = (outage_min / 60) * rates.outage_hour;
  return { time, parts, outage, "coming-back": comesBack * (rates.trip + time + parts + outage) };
}

export const sumOf = (costs: Readonly<Record<CostOf, number>>): number =>
  costs.time + costs.parts + costs.outage + costs["coming-back"];

/** The sheet says how many come back within a year; they come at any time of it alike. */
const within = (percent: number, years: number): number => 1 - (1 - Math.min(100, percent) / 100) ** years;

/**
 * What each depth costs, all told. The least is best; of equals the shallower one.
 *
 * @param candidates shallowest first; at least one
 * @param rates in the currency of the prices, by the hour and by the trip
 */
export function weigh(
  candidates: readonly [Candidate, ...Candidate[]],
  condition: Condition,
  rates: Rates,
  oldFrom_years = OLD_FROM_YEARS,
): Weighing {
  const weighed = candidates.map((each): Weighed => {
    const percent = each.depth.comesBack.reduce(
      (sum, { when, percent }) => (holds(when, condition, oldFrom_years) ? sum + percent : sum),
      0,
    );
    const longer = condition.access === "hard" ? HARD_ACCESS : 1;
    const figures: Figures = {
      minutes: each.minutes * longer,
      outage_min: each.outage_min * longer,
      parts: each.price + (each.depth.besides ?? 0),
      comesBack: within(percent, condition.until?.years ?? 1),
    };
    const costs = costsOf(figures, rates);
    return { ...each, figures, costs, cost: sumOf(costs) };
  });
  const best = weighed.reduce((least, each) => (each.cost < least.cost ? each : least));
  return { best, others: weighed.filter((each) => each !== best), rates };
}

/** What makes one dearer (or, where it is cheaper, spares the most) than another. */
export function mostly(one: Weighed, than: Weighed): CostOf {
  const sign = Math.sign(one.cost - than.cost) || 1;
  const kinds: readonly CostOf[] = ["time", "parts", "outage", "coming-back"];
  return kinds.reduce((most, kind) =>
    sign * (one.costs[kind] - than.costs[kind]) > sign * (one.costs[most] - than.costs[most]) ? kind : most,
  );
}

/** What a job keeps of it: what was chosen, and the others with why not. */
export function chosenDepth(
  { best, others }: Weighing,
  id: string,
  { leak, access }: Condition,
  currency: string,
  reason?: string,
): ChosenDepth | undefined {
  const all = [best, ...others];
  const chosen = all.find(({ depth }) => depth.id === id);
  if (chosen === undefined) return undefined;
  const money = (sum: number) => Math.round(sum * 100) / 100;
  return {
    id,
    name: chosen.depth.name,
    leak,
    access,
    currency,
    cost: money(chosen.cost),
    others: all.flatMap((each) =>
      each === chosen
        ? []
        : [
            {
              id: each.depth.id,
              name: each.depth.name,
              dearer: money(each.cost - chosen.cost),
              mostly: mostly(each, chosen),
            },
          ],
    ),
    ...(reason !== undefined && reason !== "" && { reason }),
  };
}
