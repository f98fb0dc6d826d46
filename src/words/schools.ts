import type { AnyWay, ChosenWay, Topic } from "@/core/formats";
import type { WayCost } from "@/core/job";
import { formatDuration } from "@/core/quantity";
import type { ChoiceRefusal, NotBecause, UsualBecause } from "@/core/schools";
import { moneyWords } from "./depth";
import { quantity, type Speaker } from "./speaker";

/** A way by its topic: "dry" is one thing on a thread and another on a cloth. */
const ofWay = (said: Readonly<Record<Topic, Readonly<Record<string, string>>>>, topic: Topic, way: AnyWay) =>
  said[topic][way] ?? way;

export const wayName = ({ say }: Speaker, topic: Topic, way: AnyWay): string =>
  ofWay(say.schools.ways, topic, way);

/** The usual way: where its sheet works some parts otherwise, that is said. */
export const usualName = (
  speaker: Speaker,
  { topic, usual, mixed }: { readonly topic: Topic; readonly usual: AnyWay; readonly mixed?: boolean },
): string =>
  mixed === true ? speaker.say.schools.mixed(wayName(speaker, topic, usual)) : wayName(speaker, topic, usual);

/** What it may do, whoever chooses it. */
export const wayRisk = ({ say }: Speaker, topic: Topic, way: AnyWay): string =>
  ofWay(say.schools.risks, topic, way);

/** Why a way is the usual one here. */
export function usualWhy({ say }: Speaker, because: UsualBecause): string {
  const words = say.schools.because;
  switch (because.kind) {
    case "sheet":
      return because.says === undefined ? words.sheet : words.sheetSays(because.says);
    case "flat-and-brittle":
    case "shock-breaks":
      return words[because.kind](because.part);
    case "stated-for-it":
    case "inside-the-bolts":
    case "in-a-recess":
    case "burns-near":
    case "breaks-nothing":
      return words[because.kind];
  }
}

/** Why a way is not taken, at a part or at all. */
export function notWhy({ say }: Speaker, because: NotBecause): string {
  const words = say.schools.not;
  switch (because.kind) {
    case "clash":
      return because.why.replace(/\.$/, "");
    case "bends-the-rim":
      return words[because.kind](because.part);
    default:
      return words[because.kind];
  }
}

export function barredWhy(
  speaker: Speaker,
  { part, because }: { readonly part?: string; readonly because: NotBecause },
): string {
  const { schools } = speaker.say;
  const why = notWhy(speaker, because);
  return part === undefined ? schools.barred(why) : schools.barredAt(part, why);
}

/** Parts that go on as their sheet says, by the reason they have in common. */
export function keepsWords(
  speaker: Speaker,
  keeps: readonly { readonly part: string; readonly because: NotBecause }[],
): string[] {
  const byWhy = new Map<string, string[]>();
  for (const { part, because } of keeps) {
    const why = notWhy(speaker, because);
    byWhy.set(why, [...(byWhy.get(why) ?? []), part]);
  }
  return [...byWhy].map(([why, parts]) => speaker.say.schools.keeps(speaker.say.common.commas(parts), why));
}

/** What a way costs beside the usual one: minutes, money, how hard a joint is pulled, what nobody has. */
export function wayCosts(speaker: Speaker, cost: WayCost, usual: WayCost, currency: string): string[] {
  const words = speaker.say.schools.costs;
  const minutes = Math.round(cost.minutes - usual.minutes);
  const price = cost.price - usual.price;
  const before = new Map(usual.torques.map(({ part, torque_Nm }) => [part, torque_Nm]));
  const torques = cost.torques.flatMap(({ part, torque_Nm }) => {
    const from = before.get(part);
    return from === undefined || Math.abs(from - torque_Nm) < 0.01
      ? []
      : [words.torque(part, quantity(speaker, from, "torque"), quantity(speaker, torque_Nm, "torque"))];
  });
  const lacking = cost.missing.filter((each) => !usual.missing.includes(each));
  const said = [
    ...(minutes === 0 ? [] : [words.minutes(minutes, formatDuration(Math.abs(minutes) * 60))]),
    ...(Math.abs(price) < 0.005 ? [] : [words.price(price, moneyWords(speaker, Math.abs(price), currency))]),
    ...torques,
    ...(lacking.length === 0 ? [] : [words.missing(speaker.say.common.commas(lacking))]),
  ];
  return said.length === 0 ? [words.same] : said;
}

/** How a job was worked, for its record. */
export const schoolsWords = (speaker: Speaker, chosen: readonly ChosenWay[]): string[] =>
  chosen.map((choice) => {
    const { topic, way, usual, why } = choice;
    const { topics, done, departed } = speaker.say.schools;
    return way === usual || why === undefined
      ? done(topics[topic], usualName(speaker, choice))
      : departed(topics[topic], wayName(speaker, topic, way), usualName(speaker, choice), why);
  });

/** Why a choice of way was refused. */
export function wayRefused(speaker: Speaker, refusal: ChoiceRefusal): string {
  const words = speaker.say.schools.refused;
  switch (refusal.kind) {
    case "no-such-way":
      return words[refusal.kind](speaker.say.common.commas(refusal.ways));
    case "barred":
      return barredWhy(speaker, refusal);
    case "does-not-arise":
    case "twice":
    case "say-why":
      return words[refusal.kind];
  }
}
