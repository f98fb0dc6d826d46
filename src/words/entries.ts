import { type Certificates, COMPETENCES, type HandedOver, type JobEvent, type Sheet } from "@/core/formats";
import type { Step } from "@/core/job";
import { foundWords } from "./handling";
import { takenWithWords, traceEntry } from "./instruments";
import { quantity, type Speaker } from "./speaker";
import { stepTitle } from "./step-words";

/** What a figure of the bench book is called, by calculation and output; the book is heavy, and not every page has it. */
export type TitleOf = (calculator: string, output: string) => string | undefined;

/** An entry of a log: the event, and the step it was made at. */
export interface Entry {
  readonly event: JobEvent;
  readonly step?: Step;
}

/** An entry as a person reads it: what it was about, and what was entered. */
export const entryWords = (
  speaker: Speaker,
  entry: Entry,
  sheet: Sheet,
  titleOf: TitleOf = () => undefined,
): { what: string; entry: string } => ({
  what: subjectOf(speaker, entry, sheet, titleOf),
  entry: enteredOf(speaker, entry),
});

/** What an entry was about. */
function subjectOf(speaker: Speaker, { event, step }: Entry, sheet: Sheet, titleOf: TitleOf): string {
  const words = speaker.say.entries;
  switch (event.kind) {
    case "undone":
      return words.undone;
    case "stopped":
      return words.stopped;
    case "resumed":
      return words.resumed;
    case "closure-passes":
      return words.foundToPass(event.link);
    case "others-hold":
      return words.othersHold;
    case "signed-on":
      return words.signedOn;
    case "note-added":
      return words.note;
    case "bell-put-off":
      return words.putOff;
    case "result-kept":
      return titleOf(event.calculator, event.output) ?? words.workedOut;
    case "signed-off":
      return speaker.say.common.phases["sign-off"];
    case "given-up":
      return words.notBegun;
    case "part-judged":
      return words.judged[event.disposition](
        sheet.parts.find((part) => part.id === event.part)?.name ?? event.part,
      );
    default:
      return step === undefined ? event.step : stepTitle(speaker, step);
  }
}

/** The words on the button that was pressed. */
function answerWords(step: Step | undefined, answer: string): string {
  if (step?.kind !== "check" || step.check.kind === "measure") return answer;
  const { check } = step;
  if (check.kind === "trick") return (answer === "go" ? check.go : check.noGo).label;
  return check.options.find((option) => option.id === answer)?.label ?? answer;
}

/** What was handed over, and to whom. */
export const handedOverWords = ({ say }: Speaker, { what, to }: HandedOver): string =>
  say.entries.handOver.entry(say.entries.handOver.what[what], to);

/** What somebody may do alone, each with the number of its proof. */
export const certificateWords = ({ say: { common, entries } }: Speaker, may: Certificates): string =>
  common.commas(
    COMPETENCES.flatMap((what) => {
      const paper = may[what];
      return paper === undefined ? [] : [entries.paper(common.competences[what], paper.proof, paper.until)];
    }),
  ) || entries.nothingAlone;

/** What was entered. */
function enteredOf(speaker: Speaker, { event, step }: Entry): string {
  const words = speaker.say.entries;
  switch (event.kind) {
    case "step-done":
      return step?.kind === "task" && step.swing !== undefined && event.entry !== undefined
        ? words.swung(event.entry, step.swing.most_s)
        : (event.entry ?? "");
    case "reading-taken":
    case "check-measured":
      return event.with === undefined ? event.typed : `${event.typed} ${takenWithWords(speaker, event.with)}`;
    case "trace-kept":
      return `${traceEntry(speaker, { ...event, from: Date.parse(event.from) })} ${takenWithWords(speaker, event.with)}`;
    case "result-kept":
      return event.typed;
    case "check-answered":
      return answerWords(step, event.answer);
    case "piece-judged":
      return words.pieceJudged(event.piece, answerWords(step, event.answer));
    case "bolt-pulled":
      return event.reading_Nm === undefined
        ? words.bolt(event.pass, event.bolt)
        : words.boltRead(event.pass, event.bolt, quantity(speaker, event.reading_Nm, "torque"));
    case "piece-set":
      return words.piece(event.piece);
    case "line-ticked":
      return step !== undefined && "lines" in step
        ? (step.lines?.find(({ id }) => id === event.line)?.name ?? event.line)
        : event.line;
    case "part-compared":
      return foundWords(speaker, event.found);
    case "still-pressure":
      return words.stillPressure;
    case "photo-taken":
      return words.photograph;
    case "wait-started":
      return words.minutes(event.minutes);
    case "others-hold":
      return event.held.length === 0
        ? words.holdNothing
        : speaker.say.common.and(
            event.held.map(({ link, valve, open }) =>
              words[open === true ? "keepsOpen" : "holds"](link, valve),
            ),
          );
    case "signed-on":
      return event.under === undefined
        ? certificateWords(speaker, event.may ?? {})
        : words.underEye(event.under);
    case "note-added":
      return event.text;
    case "bell-put-off":
      return words.putOffBy(event.minutes, event.reason);
    case "stopped":
    case "given-up":
    case "step-overridden":
    case "part-judged":
      return event.reason;
    case "signed-off":
      return event.handedOver === undefined
        ? event.statement
        : words.handOver.signed(event.statement, handedOverWords(speaker, event.handedOver));
    default:
      return "";
  }
}
