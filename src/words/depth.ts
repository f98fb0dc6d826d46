import type { ChosenDepth } from "@/core/formats";
import type { Speaker } from "./speaker";

export const moneyWords = (amount: number, currency: string): string => `${amount.toFixed(2)} ${currency}`;

/** Why another depth was not chosen. */
export function otherDepth(
  { say }: Speaker,
  { dearer, mostly }: ChosenDepth["others"][number],
  currency: string,
): string {
  if (dearer === 0) return say.depth.same;
  return say.depth.other(dearer, moneyWords(Math.abs(dearer), currency), say.depth.costs[mostly]);
}

/** What was weighed when the job began: the depth that was chosen, and the others with why not. */
export function depthWords(speaker: Speaker, chosen: ChosenDepth): string[] {
  const { depth } = speaker.say;
  return [
    depth.chosen(chosen.name, moneyWords(chosen.cost, chosen.currency)),
    depth.found(depth.leak[chosen.leak], depth.access[chosen.access]),
    ...chosen.others.map((other) => depth.notChosen(other.name, otherDepth(speaker, other, chosen.currency))),
    ...(chosen.reason === undefined ? [] : [chosen.reason]),
  ];
}
