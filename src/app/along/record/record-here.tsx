"use client";

import { useLiveQuery } from "dexie-react-hooks";
import { useEffect, useState } from "react";
import { benchTitle } from "@/core/calculators";
import { isClosed, jobRecord, run } from "@/core/job";
import { jobHere, recordPage } from "@/device/pages";
import { deviceStore } from "@/device/store";
import { pathOf } from "@/edge/client";
import { GET_PHOTO } from "@/edge/contracts/jobs";
import { Meanwhile } from "@/ui/along/meanwhile";
import { NotHere } from "@/ui/along/not-here";
import { type JobOnDevice, useJobHere } from "@/ui/along/use-job-here";
import { useKeptHere } from "@/ui/along/use-kept-here";
import { Notice } from "@/ui/notice";
import { ValveHead } from "@/ui/page";
import { PaperBlocks } from "@/ui/paper/blocks";
import { KeptTraces } from "@/ui/paper/kept-traces";
import { PrintButton } from "@/ui/print-button";
import { useSpeaker } from "@/ui/use-speaker";
import { logBlock, nextBlock, recordBlocks } from "@/words";

/** The record of a job by what lies on this device: the same pieces as the server's, and what it cannot say yet. */
export function RecordHere() {
  const { id, found } = useJobHere();
  if (found === undefined)
    return (
      <p role="status" className="p-5 text-soft">
        The record is being made …
      </p>
    );
  return found === null ? <NotHere id={id} /> : <Record here={found} />;
}

function Record({ here: { job: kept, known, log } }: { here: JobOnDevice }) {
  const words = useSpeaker();
  const { inputs, id } = kept;
  const photoAt = usePhotosHere(id);
  const made = run(inputs, log);
  if (!made.ok) return <NotHere id={id} />;
  const job = made.value;
  const record = jobRecord(
    job,
    log.map((event) => ({ event })),
  );
  return (
    <article className="mx-auto max-w-[940px] px-4 py-5 md:px-6 print:p-0">
      <ValveHead
        tag={inputs.valve.tag}
        href={`/valves/${inputs.valve.tag}`}
        title={words.say.papers.record.title}
        says={`${inputs.sheet.title}; ${inputs.valve.name}, ${inputs.valve.place}`}
        className="border-ink border-b-2 pb-3"
        action={<PrintButton />}
      />
      {inputs.sheet.demonstration && <p className="plate mt-2 text-body">{words.say.papers.demonstration}</p>}
      <div className="mt-3 flex flex-col gap-3">
        <Signed id={id} closed={isClosed(job)} />
        <Meanwhile all={known.meanwhile} />
      </div>
      <div className="mt-4 grid gap-x-8 gap-y-5 md:grid-cols-2 print:grid-cols-2">
        <PaperBlocks blocks={recordBlocks(words, record, benchTitle)} photoAt={photoAt} />
      </div>
      <KeptTraces words={words} traces={record.traces} zero_bar={inputs.sheet.isolation.zero_bar} />
      <div className="mt-5">
        <PaperBlocks
          blocks={[nextBlock(words, record), logBlock(words, record, inputs.sheet, benchTitle)]}
          photoAt={photoAt}
        />
      </div>
      {!isClosed(job) && (
        <p className="no-print mt-4">
          <a className="btn btn-go" href={jobHere(id)}>
            Go on with the job
          </a>
        </p>
      )}
    </article>
  );
}

/** A record counts when the server has signed for it: until then it says that it does not. */
function Signed({ id, closed }: { id: string; closed: boolean }) {
  const kept = useKeptHere();
  const left = kept?.jobs.find((each) => each.id === id);
  if (kept === undefined) return null;
  if (left === undefined)
    return (
      <Notice tone="go" live>
        <b>The server has all of it.</b>{" "}
        <a className="underline underline-offset-4" href={recordPage(id)}>
          The record it signs for
        </a>
      </Notice>
    );
  return (
    <Notice tone="wait" live>
      <b>{closed ? "Signed off on this device." : "Not signed off yet."}</b> {left.entries} entries and{" "}
      {left.photos} photographs wait for a signal. The server signs for the record when it has them; the valve
      rings by it from then on.
    </Notice>
  );
}

/** Photographs as they lie here, else where the server has them. */
function usePhotosHere(job: string): (photo: string) => string {
  const kept = useLiveQuery(() => deviceStore().photos.where({ job }).toArray(), [job]);
  const [here, setHere] = useState<ReadonlyMap<string, string>>(new Map());
  useEffect(() => {
    const made = new Map((kept ?? []).map(({ photo, blob }) => [photo, URL.createObjectURL(blob)]));
    setHere(made);
    return () => {
      for (const url of made.values()) URL.revokeObjectURL(url);
    };
  }, [kept]);
  return (photo) => here.get(photo) ?? pathOf(GET_PHOTO, { id: job, photo });
}
