import type { Proof, Sheet } from "@/core/formats";
import { foldLog, type JobRecord, type Run } from "@/core/job";
import { formatDuration } from "@/core/quantity";
import { depthWords } from "../depth";
import { certificateWords, entryWords, handedOverWords } from "../entries";
import { foundWords, newPartWords } from "../handling";
import { takenWithWords } from "../instruments";
import { dueWhy, leftoverWhy, renewalWhy } from "../kits";
import { asFoundWords, foundOfWords } from "../record";
import { schoolsWords } from "../schools";
import { quantity, type Speaker } from "../speaker";
import { stepTitle } from "../step-words";
import { notedAsk } from "../steps/said";
import { listOf, type PaperBlock, type PaperRow } from "./paper";
import { tracesBlock } from "./traces-block";

/** How a sum of the bench book is called, or one of its results: the words know no sums. */
export type SumTitle = (calculator: string, output: string) => string | undefined;

/** What was found, done and left, part by part of the record. */
export const recordBlocks = (words: Speaker, record: JobRecord, sumTitle: SumTitle): PaperBlock[] =>
  [
    asFound(words, record),
    asLeft(words, record),
    stands(words, record),
    handedOver(words, record),
    record.depth && listOf(words.say.depth.title, depthWords(words, record.depth)),
    record.schools.length > 0
      ? listOf(words.say.schools.title, schoolsWords(words, record.schools))
      : undefined,
    readings(words, record),
    tracesBlock(words, record),
    parts(words, record),
    worked(words, record, sumTitle),
    torques(words, record),
    threads(words, record),
    photographs(words, record),
    isolation(words, record),
    listOf(words.say.papers.record.people, record.people),
    mightDo(words, record),
    second(words, record),
    overrides(words, record),
  ].filter((each) => each !== undefined);

/** What a customer wants to know of it, on one page. */
export const customerBlocks = (words: Speaker, record: JobRecord): PaperBlock[] =>
  [
    asFound(words, record),
    asLeft(words, record),
    stands(words, record),
    handedOver(words, record),
    parts(words, record, false),
    readings(words, record),
    second(words, record),
    nextBlock(words, record),
  ].filter((each) => each !== undefined);

const asFound = (words: Speaker, record: JobRecord) =>
  listOf(
    words.say.papers.record.asFound,
    record.asFound.map((each) => asFoundWords(words, each)),
    words.say.papers.record.nothingNoted,
  );

const asLeft = (words: Speaker, record: JobRecord) =>
  listOf(
    words.say.papers.record.asLeft,
    record.asLeft.map((each) => foundOfWords(words, each)),
    words.say.papers.record.noTest,
  );

const stands = (words: Speaker, { stands: rows }: JobRecord) =>
  rows.length > 0
    ? listOf(
        words.say.papers.record.stands,
        rows.map((each) => words.say.entries.asFound(notedAsk(words, each.about), each.noted)),
      )
    : undefined;

const handedOver = (words: Speaker, { handedOver: over }: JobRecord) =>
  over === undefined
    ? undefined
    : listOf(words.say.entries.handOver.title, [handedOverWords(words, over), over.says]);

/** What was read, when and by whom. */
export function readings(words: Speaker, record: JobRecord): Extract<PaperBlock, { kind: "rows" }> {
  const said = words.say.papers.record;
  return {
    kind: "rows",
    title: said.readings,
    none: said.none,
    rows: record.readings.map(({ step, what, at, by, typed, with: taken }) => ({
      says: [step === undefined ? what : stepTitle(words, step)],
      small: [
        { at, time: true },
        `, ${by}`,
        ...(taken === undefined ? [] : [`, ${takenWithWords(words, taken)}`]),
      ],
      figure: typed,
    })),
  };
}

/** What went in new, what was kept, what is left over. @param reasons why each, and what was compared */
function parts(words: Speaker, record: JobRecord, reasons = true): PaperBlock {
  const said = words.say.papers.record;
  const why = (text: string): Pick<PaperRow, "small"> => (reasons ? { small: [text] } : {});
  return {
    kind: "rows",
    title: said.parts,
    none: said.noneRenewed,
    rows: [
      ...record.renewed.map(
        (each): PaperRow => ({
          says: [said.fittedNew(each.name)],
          strong: true,
          ...why(renewalWhy(words, each)),
        }),
      ),
      ...(reasons ? record.compared : []).map(
        ({ part, verdict, found }): PaperRow => ({
          says: [said.compared(part)],
          ...(verdict.kind === "right"
            ? { small: [words.say.handling.newPart.rightOne(foundWords(words, found))] }
            : { small: [newPartWords(words, verdict)], wrong: true }),
        }),
      ),
      ...(record.kept.length > 0 ? [{ says: [said.kept(record.kept.join(", "))] }] : []),
      ...record.leftovers.map(
        (left): PaperRow => ({
          says: [said.leftOver(left.name, left.quantity)],
          ...why(leftoverWhy(words, left)),
        }),
      ),
    ],
  };
}

/** What the bench book worked out on the job. */
const worked = (words: Speaker, { worked: sums }: JobRecord, sumTitle: SumTitle): PaperBlock | undefined =>
  sums.length === 0
    ? undefined
    : {
        kind: "rows",
        title: words.say.papers.record.worked,
        none: "",
        rows: sums.map(({ calculator, output, at, by, typed }) => ({
          says: [sumTitle(calculator, output) ?? calculator],
          small: [{ at, time: true }, `, ${by}`],
          figure: typed,
        })),
      };

/** How tight each joint was made. */
function torques(words: Speaker, record: JobRecord): PaperBlock {
  const said = words.say.papers.record;
  return {
    kind: "rows",
    title: said.torques,
    none: said.none,
    rows: record.torques.map(({ part, bolts, passes, torque_Nm }) => ({
      says: [bolts > 1 ? said.bolted(part, bolts, passes) : part],
      figure: quantity(words, torque_Nm, "torque"),
    })),
  };
}

const threads = (words: Speaker, { threads: rows }: JobRecord) =>
  rows.length > 0
    ? listOf(
        words.say.papers.record.threads,
        rows.map((each) => words.say.papers.record.onThread(each.part, each.with)),
      )
    : undefined;

/** As it was, in pictures. */
export const photographs = (words: Speaker, { photos }: JobRecord): PaperBlock | undefined =>
  photos.length === 0
    ? undefined
    : {
        kind: "pictures",
        title: words.say.papers.record.photographs,
        pictures: photos.map(({ photo, step }) => ({
          photo,
          says: step === undefined ? "" : stepTitle(words, step),
        })),
      };

/** What was shut, under which lock, and when it was opened again. */
function isolation(words: Speaker, record: JobRecord): PaperBlock {
  const said = words.say.papers.record;
  return {
    kind: "rows",
    title: said.isolation,
    none: said.nothingShut,
    rows: record.closures.map(({ link, lock, shutAt, openedAt }) => ({
      says: [said.lock(link, lock)],
      strong: true,
      small: [
        said.shut,
        { at: shutAt, time: true },
        ...(openedAt === undefined ? [said.stillShut] : [said.open, { at: openedAt, time: true }]),
      ],
      ...(openedAt === undefined && { wrong: true as const }),
    })),
  };
}

const mightDo = (words: Speaker, { signedOn }: JobRecord) =>
  signedOn.length > 0
    ? listOf(
        words.say.papers.record.mightDo,
        signedOn.map(({ who, may, under }) =>
          [
            `${who}: ${certificateWords(words, may)}`,
            ...under.map((name) => words.say.entries.underEye(name)),
          ].join(", "),
        ),
      )
    : undefined;

const second = (words: Speaker, record: JobRecord) =>
  record.second === undefined ? undefined : listOf(words.say.papers.record.second, [record.second.who]);

const overrides = (words: Speaker, record: JobRecord) =>
  listOf(
    words.say.papers.record.overrides,
    record.overrides.map(({ step, by, reason }) =>
      words.say.papers.record.overridden(step === undefined ? "" : stepTitle(words, step), by, reason),
    ),
    words.say.papers.record.none,
  );

/** When the valve rings again. */
export function nextBlock(words: Speaker, { next }: JobRecord): PaperBlock {
  const said = words.say.papers.record;
  return {
    kind: "rows",
    title: said.next,
    none: said.setAtSignature,
    rows:
      next === undefined
        ? []
        : [{ says: [{ at: next.at }, said.nextAt(next.what)], small: [dueWhy(words, next)], strong: true }],
  };
}

/** Everything that was entered, in order. */
export function logBlock(
  words: Speaker,
  { lines }: JobRecord,
  sheet: Sheet,
  sumTitle: SumTitle,
): Extract<PaperBlock, { kind: "table" }> {
  const said = words.say.papers.record;
  const widths = [17, 10, 27, 34, 12];
  return {
    kind: "table",
    title: said.log,
    columns: said.logColumns.map((title, column) => ({ title, share: widths[column]! })),
    rows: foldLog(lines).map(({ first: line, count }) => {
      const { what, entry } = entryWords(words, line, sheet, sumTitle);
      return [
        { says: [{ at: line.at, time: true }], ...lateOrOff(words, line), ...strong(line) },
        { says: [line.step === undefined ? "" : words.say.common.phases[line.step.phase]] },
        { says: [what] },
        { says: [count === 1 ? entry : words.say.entries.folded(entry, count)] },
        { says: [line.by] },
      ];
    }),
  };
}

/** What stops the work, or counts against what stood here, is not to be read over. */
const strong = ({ event: { elsewhere } }: JobRecord["lines"][number]): Pick<PaperRow, "wrong"> =>
  elsewhere?.settled === "stops" || elsewhere?.settled === "worse" ? { wrong: true } : {};

/** What is told of when and where it was entered. */
function lateOrOff(
  words: Speaker,
  { storedAt, off_s, event: { elsewhere } }: JobRecord["lines"][number],
): Pick<PaperRow, "small"> {
  const said = words.say.papers.record;
  const small = [
    ...(elsewhere === undefined ? [] : [`${said.elsewhereSettled[elsewhere.settled]} `]),
    ...(storedAt === undefined ? [] : [said.withoutSignal, { at: storedAt, time: true }]),
    ...(storedAt !== undefined && off_s !== undefined ? ["; "] : []),
    ...(off_s === undefined ? [] : [said.clockOff(formatDuration(Math.abs(off_s)), off_s > 0)]),
  ];
  return small.length === 0 ? {} : { small };
}

export interface Standing {
  readonly job: Run;
  readonly entries: number;
  /** What is wrong with the log, in a sentence. */
  readonly doubt: string | undefined;
  /** Where the log was made; a foreign one cannot be shown to have happened so. */
  readonly origin: "here" | "elsewhere" | "foreign";
  readonly foreign: string | undefined;
  readonly proof: Proof | undefined;
}

/** Whether the log is whole and whose it is, and how the job ended: what a reader has to know before the rest. */
export function wholeness(words: Speaker, standing: Standing): Extract<PaperBlock, { kind: "text" }> {
  const { job, entries, doubt, origin, foreign, proof } = standing;
  const said = words.say.papers.record;
  if (doubt !== undefined) return { kind: "text", tone: "stop", says: [doubt] };
  if (origin === "foreign")
    return { kind: "text", tone: "stop", lead: said.isForeign, says: [said.foreign(foreign ?? "")] };
  const anchored =
    proof === undefined
      ? []
      : [said.anchored(proof.anchor.seq), { at: Date.parse(proof.anchor.at), time: true }];
  const brought = origin === "elsewhere" ? [said.elsewhere] : [];
  return {
    kind: "text",
    tone: "go",
    lead: said.whole,
    says: [said.entries(entries), ...anchored, ...ending(words, job), ...brought],
  };
}

/** How it ended, or that it has not. */
function ending(words: Speaker, { status, current }: Run) {
  const said = words.say.papers.record;
  switch (status.kind) {
    case "signed-off":
      return [
        said.signedOff(status.by),
        { at: status.at, time: true },
        current === undefined ? "." : said.beforeBegun,
      ];
    case "not-begun":
      return [said.notBegun(status.by), { at: status.at, time: true }, said.because(status.reason)];
    case "stopped":
    case "at-work":
      return [said.notSigned];
  }
}
