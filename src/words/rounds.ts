import type { NoCrews } from "@/core/due-work";
import { fixed } from "@/core/quantity";
import type { Effect, NamedWhyNot, WhyNoWeek } from "@/core/rounds";
import type { Speaker } from "./speaker";

/** Why a shift does not have a task, and what would make room. */
export function whyNotWords({ say }: Speaker, why: NamedWhyNot): string {
  const { rounds, common } = say;
  switch (why.kind) {
    case "no-competence":
      return rounds.noCompetence(common.commas(why.lacks));
    case "too-few":
      return rounds.tooFew(why.people, why.needs);
    case "kept-elsewhere":
      return rounds.keptElsewhere;
    case "no-window":
      return rounds.noWindow;
    case "too-long":
      return rounds.tooLong(Math.ceil(why.overMin));
    case "not-worth-it":
      return rounds.notWorthIt(Math.round(why.adds), Math.round(why.leftOut));
    case "out-together":
      return rounds.outTogether(common.commas(why.tasks));
    case "needed-there":
      return rounds.neededThere(common.commas(why.tasks));
    case "no-room":
      return rounds.noRoom(Math.ceil(why.shortMin));
    case "no-fit":
      return rounds.noFit;
  }
}

/** Why no week of a year has it. */
export function whyNoWeekWords({ say }: Speaker, why: WhyNoWeek): string {
  switch (why.kind) {
    case "nobody-able":
      return say.rounds.nobodyAble(say.common.commas(why.needs), why.people);
    case "no-shift-in-windows":
      return say.rounds.noShiftInWindows;
    case "no-room":
      return say.rounds.noRoomInYear;
  }
}

/** Why nobody can be planned for. */
export function noCrewsWords({ say }: Speaker, why: NoCrews): string {
  switch (why.kind) {
    case "no-crews":
      return say.rounds.noCrews;
    case "nobody-on-shift":
      return say.rounds.nobodyOnShift(say.common.commas(why.crews));
  }
}

const MIN_OF_DAY = 1440;
/** Others that are named before they are only counted. */
const MOST_NAMED = 3;

/**
 * What a move does, the worst first. A plan is in minutes after its beginning:
 *
 * @param clock says a minute as an hour of its day
 */
export function effectWords(
  { say, mark }: Speaker,
  effect: Effect,
  nameOf: (task: number) => string,
  clock: (minute: number) => string,
): string[] {
  const { rounds, common } = say;
  const { crewMin, km, outage, back, overMin, lateMin, others } = effect;
  const later = others.filter(({ was, is }) => is > was);
  const earlier = others.length - later.length;
  const moved = later.map(({ task, was, is }) => rounds.otherTime(nameOf(task), clock(was), clock(is)));
  const named = moved.slice(0, MOST_NAMED);
  const further = moved.length - named.length;
  const changed = (by: number, least: number, more: () => string, less: () => string) =>
    Math.abs(by) < least ? [] : [by > 0 ? more() : less()];
  const time = (min: number) => rounds.min(Math.round(Math.abs(min)));
  const far = fixed(Math.abs(km), 1, mark);
  return [
    ...(lateMin > 0 ? [rounds.lateDays(Math.ceil(lateMin / MIN_OF_DAY))] : []),
    ...(overMin >= 1 ? [rounds.overShift(clock(back), time(overMin))] : []),
    ...(Math.abs(crewMin) < 1
      ? [rounds.crewSame]
      : [crewMin > 0 ? rounds.crewMore(time(crewMin)) : rounds.crewLess(time(crewMin))]),
    ...changed(
      km,
      0.05,
      () => rounds.kmMore(far),
      () => rounds.kmLess(far),
    ),
    ...changed(
      outage,
      1,
      () => rounds.outageMore(time(outage)),
      () => rounds.outageLess(time(outage)),
    ),
    ...(named.length > 0
      ? [rounds.othersLater(common.commas(further > 0 ? [...named, rounds.andMore(further)] : named))]
      : []),
    ...(earlier > 0 ? [rounds.othersEarlier(earlier)] : []),
    ...(overMin < 1 && back > 0 ? [rounds.backAt(clock(back))] : []),
  ];
}
