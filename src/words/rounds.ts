import type { NoCrews } from "@/core/due-work";
import type { NamedWhyNot, WhyNoWeek } from "@/core/rounds";
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
