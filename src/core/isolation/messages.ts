import { MEDIA_RULES } from "../line";
import { formatIn, formatQuantity, type UnitSystem, unit } from "../quantity";
import { unreachable } from "../result";
import type { Unfit } from "./barrier";
import type { PathStep } from "./open-path";
import type { Act, IsolationFailure, LockedPiece } from "./plan";
import { SCALDS_C, type StoredEnergy } from "./stored";

const UNFIT_WORDS: Record<Unfit, string> = {
  "no-valve": "has no valve",
  "check-valve": "is a check valve, which is no barrier",
  "control-valve": "is a control valve, which is no barrier",
  seized: "is seized",
  passes: "is known to pass",
  avoided: "is to be avoided",
};
export const unfitWords = (unfit: Unfit): string => UNFIT_WORDS[unfit];

const names = (steps: readonly PathStep[]) => steps.map((step) => step.name).join(" and ");

/** Why there is no safe isolation, and what would make one. */
export function isolationMessage(failure: IsolationFailure): string {
  switch (failure.kind) {
    case "bad-line":
      return `This line cannot be used: ${failure.problems[0]?.message ?? "it is not valid"}`;
    case "unknown-place":
      return `This line has no place or valve "${failure.name}". Check the tag on the drawing.`;
    case "nothing-to-open":
      return "Name at least one place that will be open.";
    case "no-isolation": {
      const path = failure.openPath.map((step) => step.name).join(" → ");
      const fix =
        failure.makeGood.length > 0
          ? `It becomes possible when ${failure.makeGood.map((each) => `${each.name} (it ${unfitWords(each.unfit)})`).join(" and ")} can be shut and holds.`
          : failure.pumpOut !== undefined
            ? `It becomes possible when ${failure.pumpOut.name} is pumped out first.`
            : failure.second
              ? "Have a second valve put in, or shut down and drain its source, lock that, and prove zero there first."
              : "Shut down and drain its source, lock that, and prove zero there first.";
      return failure.second
        ? `This line asks for two barriers with a bleed between, and only one can be had. ${fix}`
        : `Nothing can be shut along ${path}. ${fix}`;
    }
    case "no-bleed":
      return `Two barriers can be had, but nothing bleeds what is between ${names(failure.outer)} and ${names(failure.inner)}. Have a bleed cock put in there; until then nothing is opened on this plan.`;
    case "unprotected":
      return `This would leave ${names(failure.vessels)} without a relief valve. Pump ${failure.vessels.length === 1 ? "it" : "them"} out first, or put a second relief valve in service.`;
    default:
      return unreachable(failure);
  }
}

const ACT_WORDS: Record<Act["kind"], string> = {
  "stop-pump": "Stop and lock",
  "switch-off": "Switch off and lock",
  shut: "Shut and lock",
  turn: "Turn",
  "pump-out": "Pump out",
  "open-bleed": "Open and leave open",
  "shut-bleed": "Shut",
  "shut-drain": "Shut",
  "turn-back": "Turn back",
  open: "Open",
  "leave-shut": "Take the lock off and leave shut",
  "switch-on": "Switch on",
  "start-pump": "Start",
};

/** Places are called by their names; valves and pumps by their tags, too. */
const BY_NAME: ReadonlySet<Act["kind"]> = new Set([
  "turn",
  "turn-back",
  "pump-out",
  "open-bleed",
  "shut-bleed",
  "shut-drain",
]);

/** "Shut and lock V-12 Chandler street". */
export const actWords = ({ kind, id, name }: Act): string =>
  `${ACT_WORDS[kind]} ${name === id || BY_NAME.has(kind) ? name : `${id} ${name}`}`;

/** What a piece of locked liquid can do, and what to do about it. */
export function lockedWords(piece: LockedPiece, system: UnitSystem): string {
  const { name } = MEDIA_RULES[piece.medium];
  const volume = formatQuantity(piece.volume_L / 1000, "volume", system);
  const rise = formatQuantity(piece.barPerKelvin * 1e5, "pressure difference", system);
  const limit =
    piece.kelvinToRating === undefined
      ? ""
      : ` ${Math.max(1, Math.floor(piece.kelvinToRating))} K reach its rating.`;
  const act = piece.untilDrained
    ? "Drain it as soon as the last valve is shut."
    : "Leave it a way to give: do not shut both ends of it, or let liquid out first.";
  return `${volume} of liquid ${name} stands locked in: about ${rise} more for each K of warming.${limit} ${act}`;
}

/** What stored energy can do, and what to do about it. */
export function storedWords(energy: StoredEnergy, system: UnitSystem): string {
  if ("says" in energy) return energy.says;
  const degrees = (celsius: number) => formatQuantity(celsius + ZERO_C, "temperature", system);
  switch (energy.kind) {
    case "heat":
      return `It comes at ${degrees(energy.celsius)}. Metal and what is left inside stay hot: let it cool below ${degrees(SCALDS_C)} before you open.`;
    case "cold":
      return `It runs at ${degrees(energy.celsius)}. Bare metal takes the skin off, and frost hides a leak.`;
    case "head":
      return `It reaches ${formatIn(energy.metres, unit(system === "us" ? "ft" : "m"))} above what is opened: that much stands on the joint until it is drained.`;
  }
}

/** 0 °C in K, exact. */
const ZERO_C = 273.15;
