import type { Line, Sheet } from "@/core/formats";
import { unreachable } from "@/core/result";
import type { EndDifference, Harm, Truth } from "@/core/world";
import { iceBelow } from "./media";
import { figure, quantity, type Speaker } from "./speaker";

/** Documents by which parts and places are called by their names. */
export interface Names {
  readonly sheet: Sheet;
  readonly line?: Line;
}

const partName = ({ sheet }: Names, id: string): string =>
  sheet.parts.find((part) => part.id === id)?.name ?? id;
const placeName = ({ line }: Names, id: string): string =>
  (line?.nodes.find((node) => node.id === id) ?? line?.links.find((link) => link.id === id))?.name ?? id;
const checkName = ({ sheet }: Names, id: string): string =>
  sheet.checks.find((check) => check.id === id)?.do ?? id;

/** What would happen, and what cures it. */
export function harmWords(speaker: Speaker, harm: Harm, names: Names): { happens: string; cure: string } {
  const words = speaker.say.harms;
  const part = (id: string) => partName(names, id);
  const place = (id: string) => placeName(names, id);
  switch (harm.kind) {
    case "opened-under-pressure":
      return {
        happens: words.openedUnderPressure(
          part(harm.part),
          figure(speaker, harm.bar, "bar g"),
          speaker.say.media.names[harm.medium],
        ),
        cure: words.openedUnderPressureCure,
      };
    case "live-part-touched":
      return { happens: words.livePartTouched(place(harm.node)), cure: words.livePartTouchedCure };
    case "let-out":
      return {
        happens: words.letOut(speaker.say.media.names[harm.medium], place(harm.node)),
        cure: words.letOutCure,
      };
    case "zero-not-proven":
      return { happens: words.zeroNotProven(place(harm.node)), cure: words.zeroNotProvenCure };
    case "reads-elsewhere":
      return { happens: words.readsElsewhere(place(harm.node)), cure: words.readsElsewhereCure };
    case "nothing-to-read":
      return { happens: words.nothingToRead, cure: words.nothingToReadCure };
    case "wait-shows-nothing":
      return { happens: words.waitShowsNothing(place(harm.node)), cure: words.waitShowsNothingCure };
    case "fire-protection-out-unsaid":
      return { happens: words.fireProtectionOut(place(harm.node)), cure: words.fireProtectionOutCure };
    case "service-out-unsaid":
      return { happens: words.serviceOut(place(harm.node)), cure: words.serviceOutCure };
    case "told-back-too-soon":
      return { happens: words.toldBackTooSoon(place(harm.node)), cure: words.toldBackTooSoonCure };
    case "told-back-before-test":
      return {
        happens: words.toldBackBeforeTest(checkName(names, harm.check)),
        cure: words.toldBackBeforeTestCure,
      };
    case "signed-while-out":
      return { happens: words.signedWhileOut(place(harm.node)), cure: words.signedWhileOutCure };
    case "not-locked":
      return { happens: words.notLocked(place(harm.at)), cure: words.notLockedCure };
    case "not-agreed":
      return { happens: words.notAgreed, cure: words.notAgreedCure };
    case "anothers-lock":
      return { happens: words.anothersLock(place(harm.at)), cure: words.anothersLockCure };
    case "used-seal":
      return { happens: words.usedSeal(part(harm.part), part(harm.joint)), cure: words.usedSealCure };
    case "tight-before-its-fellows":
      return { happens: words.tightBefore(part(harm.part), part(harm.waits)), cure: words.tightBeforeCure };
    case "out-of-the-wrench":
      return {
        happens: words.outOfTheWrench(part(harm.part), quantity(speaker, harm.asked_Nm, "torque")),
        cure: words.outOfTheWrenchCure,
      };
    case "forbidden-tool":
      return {
        happens: words.forbiddenTool(
          names.sheet.tools.find((tool) => tool.id === harm.tool)?.name ?? harm.tool,
          part(harm.part),
        ),
        cure: words.forbiddenToolCure,
      };
    case "no-warning-of-weight":
      return {
        happens: words.noWarning(part(harm.part), figure(speaker, harm.kg, "kg")),
        cure: words.noWarningCure,
      };
    case "cannot-be-done":
      return {
        happens: words.cannotBeDone(cannotWords(speaker, harm.why, names)),
        cure: words.cannotBeDoneCure,
      };
    case "ice":
      return {
        happens: words.ice(place(harm.node), figure(speaker, harm.bar, "bar g"), iceBelow(speaker)),
        cure: words.iceCure,
      };
    case "scald":
      return { happens: words.scald(place(harm.node)), cure: words.scaldCure };
    case "trips":
      return { happens: words.trips(place(harm.node)), cure: words.tripsCure };
    case "air-left-in":
      return {
        happens: words.airLeftIn(speaker.say.media.names[harm.medium], place(harm.node)),
        cure: words.airLeftInCure,
      };
    case "hits-empty":
      return {
        happens: words.hitsEmpty(speaker.say.media.names[harm.medium], place(harm.node)),
        cure: words.hitsEmptyCure,
      };
    case "not-so": {
      const { expected } = harm;
      const name =
        "part" in expected ? part(expected.part) : place("link" in expected ? expected.link : expected.node);
      return { happens: words.notSo[expected.kind](name), cure: words.notSoCure };
    }
    case "hammer":
      return { happens: words.hammer(place(harm.node)), cure: words.hammerCure };
    case "runs-against":
      return { happens: words.runsAgainst(place(harm.link)), cure: words.runsAgainstCure };
    case "header-open":
      return {
        happens: words.headerOpen(harm.header, part(harm.part)),
        cure: words.headerOpenCure,
      };
    case "vent-blanked":
      return { happens: words.ventBlanked(harm.header, part(harm.part)), cure: words.ventBlankedCure };
    case "not-brought":
      return { happens: words.notBrought(part(harm.part)), cure: words.notBroughtCure };
    case "moved-after-test":
      return { happens: words.movedAfterTest(checkName(names, harm.check)), cure: words.movedAfterTestCure };
    case "asked-too-late":
      return {
        happens: words.askedTooLate(
          names.sheet.capture.find((each) => each.id === harm.mark)?.ask ?? harm.mark,
        ),
        cure: words.askedTooLateCure,
      };
    case "stops-for-nothing":
      return { happens: words.stopsForNothing, cure: words.stopsForNothingCure };
    default:
      return unreachable(harm);
  }
}

function cannotWords(
  { say }: Speaker,
  why: Extract<Harm, { kind: "cannot-be-done" }>["why"],
  names: Names,
): string {
  const words = say.harms.why;
  switch (why.kind) {
    case "held-by":
      return words.heldBy(partName(names, why.part));
    case "off-already":
      return words.offAlready(partName(names, why.part));
    case "on-already":
      return words.onAlready(partName(names, why.part));
    case "mover-is-off":
      return words.moverIsOff(partName(names, why.part));
    case "under-a-cap":
      return words.underACap(placeName(names, why.node));
    case "under-a-cover":
      return words.underACover(partName(names, why.part));
    case "no-power":
      return words.noPower(placeName(names, why.node));
    case "other-position":
      return words.otherPosition(positionName(names, why.wanted), positionName(names, why.stands));
    case "unknown":
      return words.unknown(why.id);
    default:
      return unreachable(why);
  }
}

const positionName = ({ sheet }: Names, id: string): string =>
  sheet.position?.names.find((each) => each.id === id)?.name ?? id;

/** How something stands at the end otherwise than service wants. */
export function differenceWords({ say }: Speaker, difference: EndDifference, names: Names): string {
  const words = say.harms.end;
  switch (difference.kind) {
    case "link":
      return words.link[difference.stands](placeName(names, difference.link));
    case "stem":
      return words.stem(placeName(names, difference.node), difference.stands, difference.wanted);
    case "locked":
      return words.locked(placeName(names, difference.at));
    case "cap-off":
      return words.capOff(placeName(names, difference.node));
    case "point-open":
      return words.pointOpen(placeName(names, difference.node));
    case "blank-in":
      return words.blankIn(difference.header);
    case "pump-stopped":
      return words.pumpStopped(placeName(names, difference.link));
    case "part-off":
      return words.partOff(partName(names, difference.part));
    case "part-loose":
      return words.partLoose(partName(names, difference.part));
    case "spoiled-seal":
      return words.spoiledSeal(partName(names, difference.part));
    case "position":
      return words.position(positionName(names, difference.stands), positionName(names, difference.wanted));
    case "without-service":
      return words.withoutService(placeName(names, difference.node));
    default:
      return unreachable(difference);
  }
}

/** What was otherwise than anybody believed. */
export function truthWords(speaker: Speaker, truth: Truth, names: Names): string {
  const words = speaker.say.harms.truths;
  switch (truth.kind) {
    case "none":
      return words.none;
    case "passes":
      return words.passes(placeName(names, truth.link));
    case "gauge-reads-low":
      return words.gaugeReadsLow(figure(speaker, truth.bar, "bar"));
    case "caught":
      return words.caught;
    case "stopped-at":
      return words.stopped;
    case "found-at":
      return words.foundAt(
        names.sheet.position?.names.find((each) => each.id === truth.position)?.name ?? truth.position,
      );
    case "store-lacks":
      return words.storeLacks(partName(names, truth.part));
    default:
      return unreachable(truth);
  }
}
