import type {
  Act,
  ActReason,
  Closure,
  IsolationFailure,
  LockedPiece,
  PathStep,
  ProvePoint,
  StoredEnergy,
} from "@/core/isolation";
import { SCALDS_C } from "@/core/isolation";
import type { judgeStill } from "@/core/job";
import { formatIn, unit } from "@/core/quantity";
import { unreachable } from "@/core/result";
import { liquidAbove } from "./media";
import { figure, quantity, type Speaker } from "./speaker";

/** Why there is no safe isolation, and what would make one. */
export function isolationMessage({ say }: Speaker, failure: IsolationFailure): string {
  const words = say.isolation.failure;
  const names = (steps: readonly PathStep[]) => say.common.and(steps.map((step) => step.name));
  switch (failure.kind) {
    case "bad-line":
      return words.badLine(failure.problems[0]?.message ?? words.notValid);
    case "unknown-place":
      return words.unknownPlace(failure.name);
    case "nothing-to-open":
      return words.nothingToOpen;
    case "no-isolation": {
      const good = failure.makeGood.map((each) => words.makeGood(each.name, say.isolation.unfit[each.unfit]));
      const fix =
        good.length > 0
          ? words.whenMadeGood(say.common.and(good))
          : failure.pumpOut !== undefined
            ? words.whenPumpedOut(failure.pumpOut.name)
            : failure.second
              ? words.secondValve
              : words.atTheSource;
      return failure.second
        ? words.onlyOneBarrier(fix)
        : words.openPath(words.path(failure.openPath.map((step) => step.name)), fix);
    }
    case "no-bleed":
      return words.noBleed(names(failure.outer), names(failure.inner));
    case "unprotected":
      return words.unprotected(names(failure.vessels), failure.vessels.length > 1);
    default:
      return unreachable(failure);
  }
}

/** Places are called by their names; valves and pumps by their tags, too. */
const BY_NAME: ReadonlySet<Act["kind"]> = new Set([
  "turn",
  "turn-back",
  "hold-stem",
  "leave-stem",
  "pump-out",
  "open-bleed",
  "shut-bleed",
  "shut-drain",
  "shut-vent",
]);

/** "V-12 Chandler street", or the id alone where the name says no more. */
export const namedLink = ({ say }: Speaker, id: string, name: string): string =>
  name === id ? id : say.steps.shut.named(id, name);

/** "Shut and lock V-12 Chandler street". */
export const actWords = (speaker: Speaker, { kind, id, name }: Act): string =>
  speaker.say.isolation.acts[kind](BY_NAME.has(kind) ? name : namedLink(speaker, id, name));

/** Where a valve is that another job holds. */
export const heldWhere =
  ({ say }: Speaker) =>
  (valve: string, place: string | undefined): string =>
    [place, say.steps.shut.heldFor(valve)].filter(Boolean).join("; ");

/** What a closure is for. */
export function closureWhy(
  { say }: Speaker,
  { medium, barrier, lockable, why }: Pick<Closure, "medium" | "barrier" | "lockable" | "why">,
): string {
  const words = say.isolation.closure;
  const reason =
    why.feeder === undefined
      ? words.comesBack
      : medium === "electricity"
        ? words.takesElectricity(why.feeder)
        : words.cutsOff(why.feeder);
  const skipped = why.insteadOf.map(({ link, unfit }) => words.skipped(link, say.isolation.unfit[unfit]));
  return words.whole([
    barrier === "outer" ? words.second(reason) : reason,
    skipped.length > 0 ? words.insteadOf(say.common.and(skipped)) : "",
    why.hardToReach === undefined ? "" : words.hardToReach(why.hardToReach),
    lockable ? "" : words.noLockPoint,
  ]);
}

/** Why an act stands where it stands in the order; nothing where there is nothing to say. */
export function actWhy(speaker: Speaker, why: ActReason): string {
  const { shutWhen, openWhen, turnsOff, why: words } = speaker.say.isolation;
  switch (why.kind) {
    case "keeps-in-service":
      return words.keepsInService(speaker.say.common.and(why.names));
    case "pumps-first":
      return words.pumpsFirst;
    case "would-run-against":
      return words.wouldRunAgainst;
    case "pumps-last":
      return words.pumpsLast;
    case "still-drawn-down":
      return words.stillDrawnDown;
    case "shuts-off-what-is-opened":
      return turnsOff;
    case "bleeds-between":
      return words.bleedsBetween(speaker.say.common.and(why.between));
    case "leads-outside":
      return words.leadsOutside;
    case "before-the-medium":
      return words.beforeTheMedium;
    case "when-the-air-is-out":
      return words.whenTheAirIsOut;
    case "as-it-stood":
      return words.asItStood;
    case "stands-shut":
      return words.standsShut;
    case "stands-so":
      return words.standsSo;
    case "held-by-another":
      return words.heldByAnother(why.valve);
    case "shut-before":
      return words.shutBefore;
    case "shut-in-order": {
      const said = (shutWhen as Partial<Record<typeof why.stream, string>>)[why.stream];
      return said ?? (why.first ? words.fromTheFeedOn : "");
    }
    case "opened-in-order": {
      const when = openWhen as Partial<Record<typeof why.stream, (figures: { above: string }) => string>>;
      const said = when[why.stream]?.({ above: liquidAbove(speaker) });
      if (why.inner) return [said, words.innerFirst].filter((each) => each !== undefined).join(" ");
      return said ?? (why.first ? words.lowestFirst : words.levelByNow);
    }
    default:
      return unreachable(why);
  }
}

/** How zero is proven for one medium. */
export function proveWords({ say }: Speaker, { how, medium, name = "" }: ProvePoint): string {
  const words = say.isolation.prove;
  switch (how) {
    case "gauge":
    case "vent":
    case "drain":
      return words[how](name);
    case "tester":
    case "crack":
      return words[how];
    case "nowhere":
      return words.nowhere(say.media.names[medium]);
    default:
      return unreachable(how);
  }
}

/** What a piece of locked liquid can do, and what to do about it. */
export function lockedWords(speaker: Speaker, piece: LockedPiece): string {
  const words = speaker.say.isolation.locked;
  return [
    words.says(
      quantity(speaker, piece.volume_L / 1000, "volume"),
      speaker.say.media.names[piece.medium],
      quantity(speaker, piece.barPerKelvin * 1e5, "pressure difference"),
    ),
    piece.kelvinToRating === undefined ? "" : words.rating(Math.max(1, Math.floor(piece.kelvinToRating))),
    piece.untilDrained ? words.drainSoon : words.leaveAWay,
  ].join("");
}

/** Where energy is stored. */
export const storedAt = ({ say }: Speaker, { at }: StoredEnergy): string =>
  at ?? say.isolation.stored.thisSection;

export const storedKind = ({ say }: Speaker, { kind }: StoredEnergy): string =>
  say.isolation.stored.kinds[kind];

/** What stored energy can do, and what to do about it. */
export function storedWords(speaker: Speaker, energy: StoredEnergy): string {
  const words = speaker.say.isolation.stored;
  if ("says" in energy) return energy.says;
  switch (energy.kind) {
    case "heat":
      return words.heat(figure(speaker, energy.celsius, "°C"), figure(speaker, SCALDS_C, "°C"));
    case "cold":
      return words.cold(figure(speaker, energy.celsius, "°C"));
    case "head":
      return words.head(formatIn(energy.metres, unit(speaker.system === "us" ? "ft" : "m"), speaker.mark));
    default:
      return unreachable(energy);
  }
}

/** What a standing test means, and what to do about it. */
export function standingWords(
  speaker: Speaker,
  { kind, rise, corrected }: NonNullable<ReturnType<typeof judgeStill>>,
): string {
  const words = speaker.say.isolation.standing;
  const said = (pascals: number) => quantity(speaker, Math.max(0, pascals), "pressure difference");
  switch (kind) {
    case "holds":
      return words.holds;
    case "only-warming":
      return words.onlyWarming(said(rise));
    case "residue":
      return words.residue(said(rise));
    case "let-in":
      return words.letIn(said(corrected));
    default:
      return unreachable(kind);
  }
}
