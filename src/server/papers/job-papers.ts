import type { JobEvent, JobInputs } from "@/core/formats";
import { whereItStands } from "@/core/job";
import { err, ok, type Result } from "@/core/result";
import {
  handOverBlocks,
  isolationMessage,
  isolationSet,
  orderBlocks,
  orderTitle,
  type Paper,
  type Speaker,
  stripMessage,
} from "@/words";
import type { Services } from "../services";
import { readRecord } from "./read-record";
import { customerPaper, headed, recordPaper } from "./record-paper";

/** What of a job goes on paper. */
export type JobPaper = "record" | "customer" | "hand-over" | "order" | "isolation";

export interface NoPaper {
  readonly kind: "unknown" | "cannot-be-told";
  readonly message: string;
}

/** A paper of a job and the photographs on it. */
export interface PaperOfJob {
  readonly paper: Paper;
  readonly photos: Readonly<Record<string, Uint8Array>>;
  readonly job: { readonly inputs: JobInputs; readonly events: readonly JobEvent[] };
}

/** @param origin address of this installation, for the code on it */
export function jobPaper(
  all: Services,
  id: string,
  kind: JobPaper,
  words: Speaker,
  origin: string,
): Result<PaperOfJob, NoPaper> {
  const read = readRecord(all, id);
  if (read === undefined) return err({ kind: "unknown", message: "There is no such job here." });
  const { stored, told } = read;
  if (told === undefined)
    return err({
      kind: "cannot-be-told",
      message: stored.run.ok ? "" : stripMessage(words, stored.run.error, stored.inputs.sheet),
    });
  const at = `${origin}/jobs/${encodeURIComponent(id)}`;
  const record = `${at}/record`;
  const whole = { ...read, told };
  const said = words.say.papers;
  const withPhotos = (paper: Paper): Result<PaperOfJob, NoPaper> =>
    ok({
      paper,
      photos: photosOn(all, id, paper),
      job: { inputs: stored.inputs, events: stored.events.map(({ event }) => event) },
    });
  switch (kind) {
    case "record":
      return withPhotos(recordPaper(all, whole, words, record));
    case "customer":
      return withPhotos(customerPaper(whole, words, record));
    case "hand-over":
      return withPhotos(
        headed(whole, words, said.handOver.title, handOverBlocks(words, whereItStands(told.job)), at),
      );
    case "order": {
      const over = told.record.handedOver;
      if (over === undefined)
        return err({ kind: "unknown", message: "Nothing was handed over when this job was signed." });
      return withPhotos(
        headed(whole, words, orderTitle(words, over), orderBlocks(words, told.record, over), record),
      );
    }
    case "isolation": {
      const { inputs } = stored;
      const { isolation } = told.job.plan;
      if (inputs.line === undefined || isolation === undefined)
        return err({ kind: "cannot-be-told", message: "Nothing has to be shut for this job." });
      if (!isolation.ok)
        return err({ kind: "cannot-be-told", message: isolationMessage(words, isolation.error) });
      return withPhotos(
        headed(whole, words, said.isolation.title, isolationSet(words, inputs.line, isolation.value), at),
      );
    }
  }
}

function photosOn({ jobs }: Services, job: string, { blocks }: Paper): Record<string, Uint8Array> {
  const named = blocks.flatMap((block) => (block.kind === "pictures" ? block.pictures : []));
  return Object.fromEntries(
    named.flatMap(({ photo }) => {
      const stored = jobs.photo(job, photo);
      return stored === undefined ? [] : [[photo, stored.bytes]];
    }),
  );
}
