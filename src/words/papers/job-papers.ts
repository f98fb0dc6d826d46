import type { JobRecord, WhereItStands } from "@/core/job";
import { formatDuration } from "@/core/quantity";
import { unreachable } from "@/core/result";
import { bellWords } from "../bells";
import { renewalWhy } from "../kits";
import { lostName } from "../lost";
import { asFoundWords, findingWords, foundOfWords } from "../record";
import type { Speaker } from "../speaker";
import { stepTitle } from "../step-words";
import { listOf, type PaperBlock } from "./paper";
import { photographs, readings } from "./record-paper";

/** For whoever takes a job on: what is shut and off, what must not be touched, what comes next. */
export function handOverBlocks(words: Speaker, stands: WhereItStands): PaperBlock[] {
  const said = words.say.papers.handOver;
  const { shut, openRound, lost, off, toFit, waits, findings, notes } = stands;
  const some = (title: string, rows: readonly string[]) => (rows.length === 0 ? [] : [listOf(title, rows)]);
  return [
    howItStands(words, stands),
    {
      kind: "rows",
      title: said.shut,
      none: said.nothingShut,
      rows: shut.map(({ link, lock, by, at }) => ({
        says: [said.lock(link, lock)],
        strong: true,
        small: [`${by}, `, { at, time: true }],
      })),
    },
    ...(shut.length > 0 ? [{ kind: "text", tone: "stop", says: [said.leave] } as const] : []),
    ...some(
      said.round,
      openRound.map(({ link, by }) => `${link}, ${by}`),
    ),
    listOf(
      said.lost,
      lost.map((each) => lostName(words, each)),
      said.nothingLost,
    ),
    comesNext(words, stands),
    ...(waits.length === 0
      ? []
      : [
          {
            kind: "rows",
            title: said.waits,
            none: "",
            rows: waits.map((wait) => ({
              says: [said.until(bellWords(words, wait).title), { at: wait.at, time: true }],
            })),
          } as const,
        ]),
    listOf(
      said.off,
      off.map(({ name, counted }) => said.pieces(name, counted)),
      said.nothingOff,
    ),
    ...some(
      said.toFit,
      toFit.map((each) => `${each.name}: ${renewalWhy(words, each)}`),
    ),
    listOf(
      said.found,
      findings.map((each) => findingWords(words, each)),
      said.nothingFound,
    ),
    ...(notes.length === 0
      ? []
      : [
          {
            kind: "rows",
            title: said.notes,
            none: "",
            rows: notes.map(({ text, by, at }) => ({ says: [text], small: [`${by}, `, { at, time: true }] })),
          } as const,
        ]),
    byHand(said.handed, [said.by, said.to]),
  ];
}

function howItStands(words: Speaker, { status, minutesLeft }: WhereItStands): PaperBlock {
  const said = words.say.papers.handOver;
  const left = minutesLeft > 0 ? [` ${said.left(formatDuration(minutesLeft * 60))}`] : [];
  switch (status.kind) {
    case "stopped":
      return {
        kind: "text",
        tone: "stop",
        lead: said.stopped,
        says: [said.stoppedBy(status.reason, status.by), { at: status.at, time: true }, ".", ...left],
      };
    case "at-work":
      return { kind: "text", tone: "wait", lead: said.atWork, says: left };
    case "signed-off":
    case "not-begun":
      return {
        kind: "text",
        tone: "go",
        lead: said.closed,
        says: [` ${status.by}, `, { at: status.at, time: true }],
      };
    default:
      return unreachable(status);
  }
}

function comesNext(words: Speaker, { again, next, halted }: WhereItStands): PaperBlock {
  const said = words.say.papers.handOver;
  const titles = again.length > 0 ? again : next === undefined ? [] : [next];
  return listOf(
    said.next,
    [
      ...titles.map((step) =>
        again.length > 0 ? said.again(stepTitle(words, step)) : stepTitle(words, step),
      ),
      ...(halted === undefined ? [] : [said.halted(halted)]),
    ],
    said.allDone,
  );
}

type HandedOver = NonNullable<JobRecord["handedOver"]>;

/** What the paper is called by which something was handed over. */
export const orderTitle = ({ say }: Speaker, { what }: HandedOver): string => say.papers.order.titles[what];

/** What somebody else has to do now, with what was seen: from a job that was signed and handed over. */
export function orderBlocks(words: Speaker, record: JobRecord, over: HandedOver): PaperBlock[] {
  const said = words.say.papers.order;
  const open = record.closures.filter((each) => each.openedAt === undefined);
  const pictures = photographs(words, record);
  return [
    { kind: "text", tone: "stop", says: [said.danger[over.what]] },
    listOf(said.to, [over.to]),
    {
      kind: "rows",
      title: said.reported,
      none: "",
      rows: [{ says: [`${over.by}, `, { at: over.at, time: true }], small: [over.says] }],
    },
    listOf(said.asked, [said.asks[over.what]]),
    listOf(said.seen, [
      ...record.asFound.map((each) => asFoundWords(words, each)),
      ...record.asLeft.map((each) => foundOfWords(words, each)),
    ]),
    { ...readings(words, record), title: said.readings, none: said.nothingRead },
    listOf(
      said.standsShut,
      open.map(({ link, lock }) => words.say.papers.handOver.lock(link, lock)),
      said.nothingShut,
    ),
    ...(pictures === undefined ? [] : [pictures]),
    byHand(said.taken, [said.takenBy, said.done, said.proven]),
  ];
}

/** Columns to be filled in with a pen. */
export const byHand = (title: string, columns: readonly string[], lines = 1): PaperBlock => ({
  kind: "table",
  title,
  columns: columns.map((column) => ({ title: column, share: 100 / columns.length })),
  rows: Array.from({ length: lines }, () => columns.map(() => ({ says: [""] }))),
});
