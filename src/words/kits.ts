import type { Renewal } from "@/core/findings";
import type { StepOf } from "@/core/job";
import { sensibleDigits } from "@/core/quantity";
import type { Due } from "@/core/rounds";
import type { Leftover, Missing, NotThisKit } from "@/core/store";
import type { Speaker } from "./speaker";
import { monthOf, trendWhy } from "./trends";

/** Why a part goes in new. */
export const renewalWhy = ({ say }: Speaker, renewal: Renewal): string =>
  renewal.because === "policy"
    ? say.kits.policy[renewal.policy]
    : renewal.pieces === undefined
      ? renewal.why
      : say.kits.piecesOnly(
          say.common.commas(renewal.pieces.map(String)),
          renewal.pieces.length,
          renewal.why,
        );

/** Why it is right that this is left over. */
export const leftoverWhy = ({ say }: Speaker, left: Leftover): string =>
  left.kind === "packed" ? left.why : say.kits.notDisturbed;

/** Why a kit is not for this valve. */
export const notThisWhy = ({ say }: Speaker, kit: NotThisKit): string =>
  kit.kind === "look-alike" ? kit.why : say.kits.otherGeneration(say.common.commas(kit.fits), kit.is);

/** One line of a list to bring: what, and why. */
export interface ListLine {
  readonly name: string;
  readonly note: string;
  /** No place has it. */
  readonly missing?: true;
}

/** What there is to know besides, where what is brought is ticked line by line: what is nowhere, what to leave. */
export const besideTheLines = (speaker: Speaker, step: Parameters<typeof kitLines>[1]): ListLine[] =>
  kitLines(speaker, {
    ...step,
    picks: [],
    supplies: [],
    ...(step.inCase !== undefined && { inCase: { ...step.inCase, picks: [] } }),
  });

/** What lies there and is for something else: whom to ask before anybody buys. */
export const promisedWords = ({ say }: Speaker, promised: NonNullable<Missing["promised"]>): string =>
  say.kits.promised(
    say.common.and([
      ...new Set(promised.map((each) => say.kits.promisedTo(each.name, each.place, each.for))),
    ]),
  );

/** What to bring and what to leave. */
export function kitLines(
  speaker: Speaker,
  step: Pick<
    StepOf<"kit">,
    "picks" | "renewals" | "missing" | "doNotTake" | "leftovers" | "supplies" | "inCase"
  >,
): ListLine[] {
  const words = speaker.say.kits;
  return [
    ...step.picks.map(({ name, pieces, place, note, insteadOf }) => ({
      name: words.pieces(name, pieces),
      note: [
        note === undefined ? place : words.placeAndNote(place, note),
        ...(insteadOf === undefined ? [] : [words.insteadOf(insteadOf)]),
      ].join(" "),
    })),
    ...step.renewals.map((each) => ({ name: each.name, note: words.renew(renewalWhy(speaker, each)) })),
    ...step.missing.map(({ name, pieces, promised }) => ({
      name: words.pieces(name, pieces),
      note: promised === undefined ? words.missing : promisedWords(speaker, promised),
      missing: true as const,
    })),
    ...(step.inCase?.picks ?? []).map((pick) => ({
      name: words.pieces(pick.name, pick.pieces),
      note: words.inCase(pick.place),
    })),
    ...(step.inCase?.missing ?? []).map(({ name, pieces, promised }) => ({
      name: words.pieces(name, pieces),
      note: promised === undefined ? words.inCaseMissing : promisedWords(speaker, promised),
    })),
    ...step.doNotTake.map((kit) => ({ name: words.notThis(kit.name), note: notThisWhy(speaker, kit) })),
    ...step.leftovers.map((left) => ({
      name: words.exactly(left.name, left.quantity),
      note: words.leftOver(leftoverWhy(speaker, left)),
    })),
    ...step.supplies.map((name) => ({ name, note: words.forTheRebuild })),
  ];
}

/** What rings. */
export const dueWhat = ({ say }: Speaker, { what, trend }: Due): string =>
  trend === undefined ? what : say.trends.rings(what.replaceAll("-", " "));

/** Why a valve is due when it is. */
export function dueWhy(speaker: Speaker, due: Due): string {
  const { season } = due;
  const why = whyThen(speaker, due);
  return season === undefined ? why : `${why} ${speaker.say.kits.due.season(season.why)}`;
}

function whyThen(speaker: Speaker, { counted, atOnce, again, trend, set, count }: Due): string {
  const words = speaker.say.kits.due;
  if (set === true) return words.set;
  if (count !== undefined)
    return [
      words.count(
        sensibleDigits(count.done, speaker.mark),
        sensibleDigits(count.every, speaker.mark),
        count.what.replaceAll("-", " "),
      ),
      ...(count.meets === undefined
        ? []
        : [words.countMet(monthOf(speaker, count.meets.likely ?? count.meets.early))]),
    ].join(" ");
  if (trend !== undefined) return trendWhy(speaker, trend.what, trend.meets);
  if (again !== undefined) return words.again(again.days, again.why);
  if (atOnce !== undefined) return "since" in atOnce ? words.atOnce : words.reported(atOnce.reported);
  if (counted === undefined) return words.unknown;
  const from = words.from[counted.from](counted.months, counted.source);
  if (counted.shortenedFrom !== undefined) return words.shortened(from, counted.shortenedFrom);
  return counted.sheetMonths === undefined ? from : words.own(from, counted.sheetMonths);
}
