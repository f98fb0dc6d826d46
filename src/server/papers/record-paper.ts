import { benchTitle } from "@/core/calculators";
import { isClosed } from "@/core/job";
import {
  customerBlocks,
  logBlock,
  moveKind,
  nextBlock,
  type Paper,
  type PaperBlock,
  recordBlocks,
  type Speaker,
  tracesDrawn,
  wholeness,
} from "@/words";
import type { Services } from "../services";
import type { ReadRecord } from "./read-record";

type Told = ReadRecord & Required<Pick<ReadRecord, "told">>;

/** What stands at the head and the foot of each paper of a job. */
export function headed(
  { stored: { inputs }, house, told: { standing } }: Told,
  words: Speaker,
  title: string,
  blocks: readonly PaperBlock[],
  opens: string,
): Paper {
  const { proof } = standing;
  const { sheet, valve } = inputs;
  return {
    plate: valve.tag,
    title,
    says: [house, `${sheet.title}; ${valve.name}, ${valve.place}`].filter(Boolean).join(". "),
    demonstration: sheet.demonstration === true,
    blocks,
    foot:
      proof === undefined
        ? []
        : [words.say.papers.record.anchor(proof.anchor.seq, proof.anchor.hash, proof.publicKey)],
    opens,
  };
}

/** The whole record. @param opens address of the record */
export function recordPaper(all: Services, read: Told, words: Speaker, opens: string): Paper {
  const { stored, told } = read;
  return headed(
    read,
    words,
    words.say.papers.record.title,
    [
      wholeness(words, told.standing),
      ...recordBlocks(words, told.record, benchTitle),
      ...tracesDrawn(words, told.record),
      ...fromTheStore(all, stored.inputs.id, words),
      nextBlock(words, told.record),
      ...(told.record.closures.length === 0
        ? []
        : [{ kind: "drawing", title: words.say.papers.section, of: "section" } as const]),
      { kind: "drawing", title: words.say.papers.record.axis, of: "axis" },
      logBlock(words, told.record, stored.inputs.sheet, benchTitle),
    ],
    opens,
  );
}

/** One page for the customer: found, done, left, and when it rings again. */
export function customerPaper(read: Told, words: Speaker, opens: string): Paper {
  const { record, standing, job } = read.told;
  const { title, whole } = words.say.papers.record.customer;
  return headed(
    read,
    words,
    title,
    [
      // Somebody outside must not take what is not signed, or not to be relied on, for finished work.
      ...(isClosed(job) && standing.doubt === undefined && standing.origin !== "foreign"
        ? []
        : [wholeness(words, standing)]),
      ...customerBlocks(words, record),
      { kind: "text", tone: "plain", says: [whole] },
    ],
    opens,
  );
}

/** What the signature booked out of the store, by what was really fitted, and back into it. */
function fromTheStore(all: Services, job: string, words: Speaker): PaperBlock[] {
  const entries = all.movements.ofJob(job);
  if (entries.length === 0) return [];
  return [
    {
      kind: "rows",
      title: words.say.papers.record.store,
      none: "",
      rows: entries.map(({ name, kind, at, by, change }) => ({
        says: [name],
        small: [`${moveKind(words, kind)}, `, { at: Date.parse(at), time: true }, `, ${by}`],
        figure: words.say.papers.record.pieces(change),
      })),
    },
  ];
}
