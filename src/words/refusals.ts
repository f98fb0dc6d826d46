import type { Competence, Sheet } from "@/core/formats";
import type { ImpossibleEntry, Refusal, ShutGate, Step } from "@/core/job";
import { unreachable } from "@/core/result";
import { newPartWords, stripMessage } from "./handling";
import { quantity, type Speaker } from "./speaker";
import { stepTitle, stepWords } from "./step-words";

/** What a refusal is read with: the sheet of the job, and the step in hand. */
interface About {
  readonly inputs: { readonly sheet: Sheet };
  readonly current?: Step | undefined;
}

/** Why an entry is not taken, and what to do. */
export function refusalWords(speaker: Speaker, refusal: Refusal, { inputs, current }: About): string {
  const words = speaker.say.refusals;
  const { commas } = speaker.say.common;
  const title = (step: Step | undefined, none: string) =>
    step === undefined ? none : stepTitle(speaker, step);
  const torque = (value: number) => quantity(speaker, value, "torque");
  const pressure = (value: number) => quantity(speaker, value, "gauge pressure");
  const degrees = (value: number) => quantity(speaker, value, "temperature");
  switch (refusal.kind) {
    case "simulated-proves-nothing":
      return words.simulatedProvesNothing;
    case "read-too-long-ago":
      return words.readTooLongAgo(refusal.minutes);
    case "read-after-its-entry":
      return words.readAfterItsEntry;
    case "it-showed-otherwise":
      return words.itShowedOtherwise(refusal.read);
    case "nothing-to-trace":
      return words.nothingToTrace;
    case "points-out-of-order":
      return words.pointsOutOfOrder;
    case "write-it-down":
      return words.writeItDown((current && stepWords(speaker, current).ask) ?? "");
    case "write-the-lock":
      return words.writeTheLock;
    case "say-yes-twice":
      return words.sayYesTwice;
    case "say-what-came-out":
      return words.sayWhatCameOut;
    case "wait-runs":
      return words.waitRuns;
    case "wait-not-started":
      return words.waitNotStarted;
    case "wait-too-short":
      return words.waitTooShort(refusal.minutes);
    case "wait-not-over":
      return words.waitNotOver(refusal.minutes);
    case "not-a-gauge-pressure":
      return words.notAGaugePressure;
    case "below-vacuum":
      return words.belowVacuum(pressure(refusal.least_Pa));
    case "above-any-gauge":
      return words.aboveAnyGauge(pressure(refusal.most_Pa));
    case "has-to-be":
      return words.hasToBe(refusal.right);
    case "place-is-taken":
      return words.placeIsTaken(refusal.place, refusal.by);
    case "below-the-gate":
      return words.belowTheGate(pressure(refusal.least_Pa));
    case "no-such-temperature":
      return words.noSuchTemperature(degrees(refusal.least_K), degrees(refusal.most_K));
    case "another-check":
      return words.anotherCheck[refusal.gave];
    case "wants-a-figure":
      return words.wantsAFigure;
    case "wants-a-choice":
      return words.wantsAChoice;
    case "no-such-line":
      return words.noSuchLine;
    case "wipe-it-first":
      return words.wipeItFirst;
    case "tick-every-line":
      return words.tickEveryLine(commas(refusal.left));
    case "photograph-first":
      return words.photographFirst;
    case "write-a-figure":
      return words.writeAFigure(refusal.unit);
    case "no-such-figure":
      return words.noSuchFigure(refusal.low, refusal.high, refusal.unit);
    case "stands-otherwise":
      return words.standsOtherwise(refusal.noted, refusal.tolerance, refusal.unit);
    case "wants-each-piece":
      return words.wantsEachPiece;
    case "no-such-piece":
      return words.noSuchPiece(refusal.of);
    case "answer-one-of":
      return words.answerOneOf(commas(refusal.answers));
    case "choose-one-of":
      return words.chooseOneOf(commas(refusal.choices));
    case "below-zero":
      return words.belowZero;
    case "noted-otherwise":
      return words.notedOtherwise(refusal.noted);
    case "bolt-out-of-order":
      return refusal.next === undefined
        ? words.noBoltLeft
        : words.nextBolt(refusal.next.bolt, refusal.next.pass);
    case "over-its-limit":
      return words.overItsLimit(torque(refusal.read_Nm), torque(refusal.limit_Nm));
    case "pulled-short":
      return words.pulledShort(torque(refusal.read_Nm), torque(refusal.wanted_Nm));
    case "pulled-beyond":
      return words.pulledBeyond(torque(refusal.read_Nm), torque(refusal.wanted_Nm));
    case "pull-every-bolt":
      return words.pullEveryBolt;
    case "count-on-from":
      return words.countOnFrom(refusal.piece);
    case "count-the-stack":
      return words.countTheStack(refusal.left, refusal.of);
    case "more-than-there-are":
      return words.moreThanThereAre(refusal.of);
    case "count-them":
      return words.countThem(refusal.what, refusal.most);
    case "time-it":
      return words.timeIt;
    case "pieces-missing":
      return words.piecesMissing(refusal.of, refusal.there);
    case "not-compared-here":
      return words.notAtThisStep["part-compared"];
    case "compare-by":
      return words.compareBy(refusal.features.length === 0 ? words.nothingHere : commas(refusal.features));
    case "not-the-right-part":
      return newPartWords(speaker, refusal.verdict);
    case "still-on-the-tray":
      return words.stillOnTheTray(commas(refusal.items.map((item) => item.name)));
    case "short-of-pieces":
      return words.shortOfPieces(
        commas(refusal.items.map((item) => words.countedOf(item.name, item.counted, item.quantity))),
      );
    case "say-how-many-are-left":
      return words.sayHowManyAreLeft;
    case "other-leftovers":
      return words.otherLeftovers(refusal.expected, refusal.said);
    case "not-at-this-step": {
      const said: Partial<Record<typeof refusal.entry, string>> = words.notAtThisStep;
      return said[refusal.entry] ?? words.notAtThisStep.other;
    }
    case "never-skipped":
      return words.neverSkipped;
    case "server-clock-wrong":
      return words.serverClockWrong;
    case "clock-ahead":
      return words.clockAhead;
    case "before-the-job":
      return words.beforeTheJob;
    case "before-the-newest":
      return words.beforeTheNewest;
    case "settled-otherwise":
      return words.settledOtherwise;
    case "id-is-taken":
      return words.idIsTaken;
    case "signed-off-already":
      return words.signedOffAlready;
    case "closed-as-not-begun":
      return words.closedAsNotBegun;
    case "work-is-stopped":
      return words.workIsStopped;
    case "work-is-not-stopped":
      return words.workIsNotStopped;
    case "no-such-bell":
      return words.noSuchBell;
    case "nothing-to-undo":
      return words.nothingToUndo;
    case "undo-the-newest-first":
      return words.undoTheNewestFirst;
    case "not-shut-here":
      return words.notShutHere(refusal.link);
    case "known-to-pass":
      return words.knownToPass(refusal.link);
    case "being-restored":
      return words.beingRestored;
    case "no-such-part":
      return words.noSuchPart(refusal.part);
    case "goes-in-once":
      return words.goesInOnce(refusal.part, refusal.why);
    case "work-has-begun":
      return words.workHasBegun;
    case "bench-book-not-at-hand":
      return words.benchBookNotAtHand;
    case "bench-book-refuses":
      return refusal.problem.message;
    case "gives-otherwise":
      return words.givesOtherwise(refusal.said);
    case "no-such-step":
      return words.noSuchStep(refusal.step);
    case "nobody-signs-on":
      return words.people.nobodySignsOn;
    case "crew-not-at-hand":
      return words.people.crewNotAtHand;
    case "under-own-eye":
      return words.people.underOwnEye;
    case "not-signed-on":
      return words.people.notSignedOn(refusal.who);
    case "sign-on-first":
      return words.people.signOnFirst(refusal.who, competences(speaker, refusal.asked));
    case "not-competent":
      return words.people.notCompetent(refusal.who, competences(speaker, refusal.missing));
    case "another-proves":
      return words.people.anotherProves(refusal.who);
    case "another-signs":
      return words.people.anotherSigns(refusal.who);
    case "done-already":
      return words.doneAlready(stepTitle(speaker, refusal.step));
    case "first":
      return words.first(title(refusal.step, words.nothingLeftToDo));
    case "not-yet":
      return words.notYet(title(refusal.step, words.nothingLeftToSign));
    case "gate":
      return gateWords(speaker, refusal.gate);
    case "no-plan":
      return stripMessage(speaker, refusal.failure, inputs.sheet);
    default:
      return unreachable(refusal);
  }
}

/** Competences, within a sentence. */
export const competences = ({ say: { common } }: Speaker, which: readonly Competence[]): string =>
  common.and(which.map((each) => common.competences[each]));

/** What is still to do before the next phase may begin. */
export function gateWords(speaker: Speaker, gate: ShutGate): string {
  const words = speaker.say.refusals.gates;
  const { commas } = speaker.say.common;
  switch (gate.kind) {
    case "zero-not-proven":
      return words.zeroNotProven(stepTitle(speaker, gate.step));
    case "not-whole":
      return words.notWhole(stepTitle(speaker, gate.step));
    case "not-tested":
      return words.notTested(stepTitle(speaker, gate.step));
    case "tray-does-not-balance":
      return words.tray(commas(gate.missing), gate.missing.length > 1);
    case "still-shut":
      return words.stillShut(commas(gate.links));
    default:
      return unreachable(gate);
  }
}

/** Why an entry of a log cannot have been made then. */
export function impossibleWords(speaker: Speaker, entry: ImpossibleEntry, about: About): string {
  const words = speaker.say.refusals.log;
  switch (entry.kind) {
    case "no-plan":
      return stripMessage(speaker, entry.failure, about.inputs.sheet);
    case "dated-after-today":
      return words.datedAfterToday;
    case "sealed-out-of-time":
      return words.sealedOutOfTime;
    case "not-taken":
      return refusalWords(speaker, entry.refusal, about);
    default:
      return unreachable(entry);
  }
}
