import type { ChosenDepth } from "@/core/formats";
import { fixed, type Notation } from "@/core/quantity";
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
