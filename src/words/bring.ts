import type { Brought, Departure, Lack } from "@/core/bring";
import type { Trouble } from "@/core/formats";
import { toolName } from "./handling";
import { figure, type Speaker } from "./speaker";
import { endTitle, inHundred } from "./trouble";

/** A line of the packing list. */
export interface PackLine {
  readonly key: string;
  readonly name: string;
  /** Where it comes from, what it weighs, what is lost without it. */
  readonly says: string;
  /** What it is for; none where it is for all of it. */
  readonly for?: string;
}

/** Kits and parts, as they are put into the bag. */
export function itemLine(speaker: Speaker, knowledge: Trouble, item: Brought): PackLine {
  const { bring } = speaker.say;
  return {
    key: `${item.kind}:${item.id}:${item.place}`,
    name: item.pieces > 1 ? `${item.pieces} × ${item.name}` : item.name,
    says: [
      item.days > 0 ? bring.ordered(item.place, item.days) : bring.of(item.place),
      figure(speaker, item.kg, "kg"),
      bring.without(inHundred(speaker, item.without)),
    ].join(", "),
    ...(item.for[0] !== undefined && { for: bring.for(endTitle(speaker, knowledge, item.for[0])) }),
  };
}

export const toolLine = (speaker: Speaker, tool: Departure["tools"][number]): PackLine => ({
  key: `tool:${tool.id}`,
  name: tool.of === undefined ? tool.name : toolName(speaker, tool.of),
  says: speaker.say.bring.without(inHundred(speaker, tool.without)),
});

/** What is not covered, and why. */
export const uncoveredWords = (
  speaker: Speaker,
  knowledge: Trouble,
  { ends, lacks }: Departure["uncovered"][number],
): { readonly ends: string; readonly why: string } => ({
  ends: ends.map((end) => endTitle(speaker, knowledge, end)).join(" "),
  why: lacks.length === 0 ? speaker.say.bring.notWorth : lackWords(speaker, lacks),
});

/** What has to come from somewhere, and what nobody has. */
function lackWords({ say: { bring, common } }: Speaker, lacks: readonly Lack[]): string {
  const nowhere = lacks.flatMap(({ name, later }) => (later === undefined ? [name] : []));
  return [
    ...(nowhere.length > 0 ? [bring.lacks(common.and(nowhere))] : []),
    ...lacks.flatMap(({ name, later }) =>
      later === undefined ? [] : [bring.later(name, later.place, later.days)],
    ),
  ].join(" ");
}

/** What all of it weighs, and how sure it is that nothing else is worth more. */
export function packingNote(
  speaker: Speaker,
  { kg, exact }: Pick<Departure, "kg" | "exact">,
  condemned: number,
): string {
  const { bring } = speaker.say;
  return [
    ...(kg > 0 ? [`${bring.weighs(figure(speaker, Math.round(kg * 10) / 10, "kg"))}.`] : []),
    exact ? bring.proven : bring.unproven,
    bring.assumed(inHundred(speaker, condemned)),
  ].join(" ");
}
