import { type FigureOf, type Margin, mostly, type Weighing } from "@/core/depth";
import type { ChosenDepth } from "@/core/formats";
import { fixed, formatDuration, type Notation } from "@/core/quantity";
import type { Speaker } from "./speaker";

export const moneyWords = ({ mark }: Notation, amount: number, currency: string): string =>
  `${fixed(amount, 2, mark)} ${currency}`;

/** Why another depth was not chosen. */
export function otherDepth(
  speaker: Speaker,
  { dearer, mostly }: ChosenDepth["others"][number],
  currency: string,
): string {
  const { depth } = speaker.say;
  if (dearer === 0) return depth.same;
  return depth.other(dearer, moneyWords(speaker, Math.abs(dearer), currency), depth.costs[mostly]);
}

/** What was weighed when the job began: the depth that was chosen, and the others with why not. */
export function depthWords(speaker: Speaker, chosen: ChosenDepth): string[] {
  const { depth } = speaker.say;
  return [
    depth.chosen(chosen.name, moneyWords(speaker, chosen.cost, chosen.currency)),
    depth.found(depth.leak[chosen.leak], depth.access[chosen.access]),
    ...chosen.others.map((other) => depth.notChosen(other.name, otherDepth(speaker, other, chosen.currency))),
    ...(chosen.reason === undefined ? [] : [chosen.reason]),
  ];
}

/** The cheapest in one sentence; nothing where there is no other. */
export function cheapestWords(
  speaker: Speaker,
  { best, others }: Weighing,
  currency: string,
): string | undefined {
  const [first, ...rest] = others;
  if (first === undefined) return undefined;
  const next = rest.reduce((least, each) => (each.cost < least.cost ? each : least), first);
  const { depth } = speaker.say;
  const money = (amount: number) => moneyWords(speaker, amount, currency);
  return depth.cheapest(
    best.depth.name,
    money(best.cost),
    money(next.cost - best.cost),
    next.depth.name,
    depth.costs[mostly(next, best)],
  );
}

/** A figure and how far it may move, in words. */
export interface MarginWords {
  readonly figure: string;
  readonly now: string;
  readonly turns: readonly string[];
}

export function marginWords(
  speaker: Speaker,
  { of, now, low, high }: Margin,
  depthName: (id: string) => string,
  currency: string,
): MarginWords {
  const { margins } = speaker.say.depth;
  const value = (figure: number) => figureOf(speaker, of, figure, currency);
  return {
    figure: "depth" in of ? margins.figures[of.kind](depthName(of.depth)) : margins.figures[of.kind],
    now: margins.now(value(now)),
    turns: [
      ...(low === undefined ? [] : [margins.below(value(low.at), depthName(low.depth))]),
      ...(high === undefined ? [] : [margins.above(value(high.at), depthName(high.depth))]),
    ],
  };
}

function figureOf(speaker: Speaker, { kind }: FigureOf, value: number, currency: string): string {
  switch (kind) {
    case "comes-back":
      return speaker.say.depth.inHundred(fixed(value * 100, 0, speaker.mark));
    case "minutes":
      return formatDuration(Math.round(value) * 60);
    case "parts":
    case "hour":
    case "trip":
    case "outage-hour":
      return moneyWords(speaker, value, currency);
  }
}
