import { costsOf, type Figures, type Rates, sumOf, type Weighed, type Weighing } from "./weigh";

/** A figure that the advice hangs on: of one depth, or a rate that all of them share. */
export type FigureOf =
  | { readonly kind: "minutes" | "parts" | "comes-back"; readonly depth: string }
  | { readonly kind: "hour" | "trip" | "outage-hour" };

/** How far one figure may move, all others as they are, before another depth is cheaper. */
export interface Margin {
  readonly of: FigureOf;
  readonly now: number;
  /** Below this that depth is cheaper; none where nothing changes down to nought. */
  readonly low?: Turn;
  /** Above this. */
  readonly high?: Turn;
}

export interface Turn {
  readonly at: number;
  readonly depth: string;
}

/** A rate or a figure that is so much dearer is no doubt of it any more. */
const FAR = 10;

/**
 * For each figure of the best and of the next best, and for each rate, how far it may move before the advice changes. Costs
 * are straight lines in each of them, so two points tell where they cross.
 */
export function margins({ best, others, rates }: Weighing): Margin[] {
  const next = others.reduce<Weighed | undefined>(
    (least, each) => (least === undefined || each.cost < least.cost ? each : least),
    undefined,
  );
  if (next === undefined) return [];
  const own = [best, next].flatMap((of) =>
    (["comes-back", "parts", "minutes"] as const).map((kind) =>
      margin({ kind, depth: of.depth.id }, best, others, rates),
    ),
  );
  const shared = (["hour", "trip", "outage-hour"] as const).map((kind) =>
    margin({ kind }, best, others, rates),
  );
  return [...own, ...shared].filter(({ low, high }) => low !== undefined || high !== undefined);
}

function margin(of: FigureOf, best: Weighed, others: readonly Weighed[], rates: Rates): Margin {
  const now = currentOf(of, best, others, rates);
  const most = of.kind === "comes-back" ? 1 : now * FAR;
  const step = of.kind === "comes-back" ? 0.01 : Math.max(1, now / 100);
  const turns = others.flatMap((other): Turn[] => {
    const gap = (value: number) => costAt(of, value, other, rates) - costAt(of, value, best, rates);
    const slope = (gap(now + step) - gap(now)) / step;
    if (Math.abs(slope) < 1e-12) return [];
    return [{ at: now - gap(now) / slope, depth: other.depth.id }];
  });
  const below = turns.filter(({ at }) => at >= 0 && at < now).sort((a, b) => b.at - a.at)[0];
  const above = turns.filter(({ at }) => at >= now && at <= most).sort((a, b) => a.at - b.at)[0];
  return { of, now, ...(below && { low: below }), ...(above && { high: above }) };
}

function currentOf(of: FigureOf, best: Weighed, others: readonly Weighed[], rates: Rates): number {
  switch (of.kind) {
    case "hour":
      return rates.hour;
    case "trip":
      return rates.trip;
    case "outage-hour":
      return rates.outage_hour;
    case "minutes":
    case "parts":
    case "comes-back": {
      const { figures } = [best, ...others].find(({ depth }) => depth.id === of.depth)!;
      return figures[of.kind === "comes-back" ? "comesBack" : of.kind];
    }
  }
}

function costAt(of: FigureOf, value: number, { depth, figures }: Weighed, rates: Rates): number {
  return sumOf(
    costsOf(
      "depth" in of && of.depth === depth.id ? moved(of.kind, value, figures) : figures,
      ratesAt(of, value, rates),
    ),
  );
}

function moved(kind: "minutes" | "parts" | "comes-back", value: number, figures: Figures): Figures {
  switch (kind) {
    case "parts":
      return { ...figures, parts: value };
    case "comes-back":
      return { ...figures, comesBack: value };
    case "minutes": {
      // Who waits for service waits as much longer.
      const more = figures.outage_min === 0 ? 0 : value - figures.minutes;
      return { ...figures, minutes: value, outage_min: figures.outage_min + more };
    }
  }
}

function ratesAt(of: FigureOf, value: number, rates: Rates): Rates {
  switch (of.kind) {
    case "hour":
      return { ...rates, hour: value };
    case "trip":
      return { ...rates, trip: value };
    case "outage-hour":
      return { ...rates, outage_hour: value };
    default:
      return rates;
  }
}
