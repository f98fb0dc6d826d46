import {
  type Barred,
  type FoundFeature,
  type NewPart,
  SOMETHING_ELSE,
  type StripFailure,
  type StuckRung,
} from "@/core/build";
import type { Caution, Sheet, Tool } from "@/core/formats";
import type { Danger } from "@/core/job";
import { MEDIA_RULES } from "@/core/line";
import { formatIn, marked, unit } from "@/core/quantity";
import { unreachable } from "@/core/result";
import { lockedWords, storedAt, storedKind, storedWords } from "./isolation";
import { releaseCaution } from "./media";
import { figure, type Speaker } from "./speaker";

/** What can happen, and what to do. */
export function dangerWords(speaker: Speaker, danger: Danger): Caution {
  const { dangers } = speaker.say.handling;
  const { steps, isolation, media, safety } = speaker.say;
  switch (danger.kind) {
    case "said":
      return { can: danger.can, do: danger.do };
    case "stands-behind": {
      const { crackCover } = MEDIA_RULES[danger.medium];
      const comesOut = releaseCaution(speaker, danger.medium).can;
      return {
        can: crackCover ? dangers.spills : `${dangers.spills} ${comesOut}`,
        do: `${dangers.standAside(danger.cover)}${crackCover ? "" : dangers.neverHere}`,
      };
    }
    case "loaded":
      return { can: danger.says, do: dangers.loaded };
    case "drops":
      return {
        can: dangers.drops(danger.part, figure(speaker, danger.kg, "kg")),
        do: danger.hoist ? dangers.hoist : dangers.support,
      };
    case "medium-out":
      return releaseCaution(speaker, danger.medium, danger.hot);
    case "locked-liquid":
      return { can: isolation.locked.can, do: lockedWords(speaker, danger.piece) };
    case "stored":
      return {
        can: isolation.stored.can(storedAt(speaker, danger.energy), storedKind(speaker, danger.energy)),
        do: storedWords(speaker, danger.energy),
      };
    case "gauge-may-be-blocked":
      return { can: steps.gauge.can, do: steps.gauge.do };
    case "nothing-computed":
      return { can: steps.shutByHand.can, do: steps.shutByHand.do };
    case "permit": {
      const { title, says } = media.permits[danger.permit];
      return { can: steps.permits.danger(title), do: says };
    }
    case "fire-meets-no-water":
      return {
        can: steps.notify.noWater(speaker.say.common.and(danger.zones)),
        do: steps.notify.watch,
      };
    case "must-not-be-without":
      return { can: safety.mustNotBeWithout.can(danger.name, danger.why), do: safety.mustNotBeWithout.do };
    case "behind-a-door":
      return { can: safety.behindADoor.can(danger.name, danger.door), do: safety.behindADoor.do };
    case "shut-for-others":
      return {
        can: safety.shutForOthers.can(speaker.say.common.and(danger.names)),
        do: safety.shutForOthers.do(speaker.say.common.and(danger.names)),
      };
    case "opened-before-others":
      return {
        can: safety.openedBeforeOthers.can(speaker.say.common.and(danger.names)),
        do: safety.openedBeforeOthers.do(speaker.say.common.and(danger.names)),
      };
    case "goes-out-behind":
      return {
        can: safety.goesOutBehind.can(speaker.say.common.and(danger.names)),
        do: safety.goesOutBehind.do,
      };
    case "shared-header":
      return {
        can: safety.sharedHeader.can(speaker.say.common.and(danger.others), danger.header),
        do: safety.sharedHeader.do,
      };
    case "no-source":
      return safety.noSource;
    case "comes-when-they-open":
      return { can: steps.others.can, do: steps.others.do };
    default:
      return unreachable(danger);
  }
}

/** A tool that must not be used, and what it would do. */
export const barredWords = ({ say }: Speaker, barred: Barred): { tool: string; why: string } =>
  barred.kind === "said"
    ? { tool: barred.tool, why: barred.why }
    : { tool: say.handling.tools[barred.tool], why: say.handling.toolWhy[barred.why] };

/**
 * A tool as one looks for it in the bag: its name, the size it goes by (a 17 mm spanner is one everywhere), and what it
 * measures, bears or reaches, in the reader's units.
 */
export function toolName(speaker: Speaker, tool: Tool): string {
  const words = speaker.say.handling.tool;
  const { name, size, least_Nm, most_Nm, most_bar, bears_kg, reach_m } = tool;
  const said = (value: number, unitId: string) => figure(speaker, value, unitId);
  return [
    name,
    size,
    most_Nm &&
      (least_Nm === undefined
        ? words.upTo(said(most_Nm, "N·m"))
        : words.range(said(least_Nm, "N·m"), said(most_Nm, "N·m"))),
    most_bar && words.upTo(said(most_bar, "bar g")),
    bears_kg && words.bears(said(bears_kg, "kg")),
    reach_m && words.reaches(formatIn(reach_m, unit(speaker.system === "us" ? "ft" : "m"), speaker.mark)),
  ]
    .filter((each) => each !== undefined)
    .join(", ");
}

/** What may stand in for a tool, and when. */
export const standIns = ({ say }: Speaker, { substitutes = [] }: Tool): string[] =>
  substitutes.map((each) => say.handling.tool.standIn(each.name, each.allowedWhen));

/** A rung of the ladder for what will not move. */
export function stuckWords(speaker: Speaker, { rung, how }: StuckRung): { name: string; do: string } {
  const words = speaker.say.handling.stuck;
  return {
    name: how === "oil-and-time" ? words.oilAndTime : words.names[rung],
    do: words.how[how]({ hot: figure(speaker, 80, "°C") }),
  };
}

/** A mark or a size as it was found on a new part; a size as finely as a calliper reads. */
function seenWords(speaker: Speaker, { said, si }: FoundFeature): string {
  if (si !== undefined)
    return marked(
      speaker.system === "us"
        ? `${Number((si / INCH).toFixed(3))} in`
        : `${Number((si * 1000).toFixed(2))} mm`,
      speaker.mark,
    );
  return said === undefined ? speaker.say.handling.newPart.nothing : markWords(speaker, said);
}

/** m, exact. */
const INCH = 0.0254;

/** What may be said of a mark. */
export const markWords = ({ say }: Speaker, mark: string): string =>
  mark === SOMETHING_ELSE ? say.handling.newPart.somethingElse : mark;

/** The marks and sizes a new part was compared by; a size as it was typed, where it was. */
export const foundWords = (
  speaker: Speaker,
  found: readonly (FoundFeature & { readonly typed?: string })[],
): string =>
  speaker.say.common.commas(
    found.map((each) =>
      speaker.say.handling.newPart.found(each.name, each.typed ?? seenWords(speaker, each)),
    ),
  );

/** Whether the part in hand is the right one; nothing to say of one that is. */
export function newPartWords(speaker: Speaker, verdict: NewPart): string {
  const words = speaker.say.handling.newPart;
  switch (verdict.kind) {
    case "right":
      return "";
    case "not-compared":
      return words.compareFirst(verdict.feature.name, verdict.feature.value);
    case "wrong":
    case "look-alike": {
      const { feature, seen, part } = verdict;
      const differs = words.differs(feature.name, seenWords(speaker, seen), feature.value);
      return verdict.kind === "wrong"
        ? words.wrong(part, differs)
        : words.lookAlike(verdict.alike.name, differs, verdict.alike.why);
    }
    default:
      return unreachable(verdict);
  }
}

/** Why a part cannot be reached, in words that name the parts. */
export function stripMessage({ say }: Speaker, failure: StripFailure, sheet: Sheet): string {
  const words = say.handling.strip;
  const name = (id: string) => sheet.parts.find((part) => part.id === id)?.name ?? id;
  switch (failure.kind) {
    case "unknown-part":
      return words.unknownPart(failure.part);
    case "stays":
      return words.stays(name(failure.part));
    case "held-fast":
      return failure.by.length > 0
        ? words.heldFast(name(failure.part), say.common.commas(failure.by.map(name)))
        : words.noWay(name(failure.part));
    case "wrong-position":
      return words.wrongPosition(name(failure.part), failure.position);
    default:
      return unreachable(failure);
  }
}
