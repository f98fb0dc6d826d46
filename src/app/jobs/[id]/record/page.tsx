import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import { readSettings } from "@/app/settings";
import { ledgerEntries } from "@/app/store/ledger-entries";
import { benchTitle } from "@/core/calculators";
import { isClosed } from "@/core/job";
import { pathOf } from "@/edge/client";
import { GET_JOB, GET_PHOTO } from "@/edge/contracts/jobs";
import { papersOf } from "@/server/papers/papers-of";
import { readRecord } from "@/server/papers/read-record";
import { type Services, services } from "@/server/services";
import { Notice } from "@/ui/notice";
import { ValveHead } from "@/ui/page";
import { PaperBlocks, TextOf } from "@/ui/paper/blocks";
import { JobPapers } from "@/ui/paper/job-papers";
import { KeptTraces } from "@/ui/paper/kept-traces";
import { PrintButton } from "@/ui/print-button";
import { LedgerList } from "@/ui/store/ledger-list";
import { logBlock, nextBlock, recordBlocks, type Speaker, speaker, stripMessage, wholeness } from "@/words";
import { LogTable } from "./log-table";

export const metadata: Metadata = { title: "Record" };

/** The proof of a job: reads on screen, prints, and goes out as PDF. */
export default async function RecordPage({ params }: { params: Promise<{ id: string }> }) {
  const id = pathId((await params).id);
  const words = speaker(await readSettings());
  const all = services();
  const read = readRecord(all, id);
  if (read === undefined) notFound();
  const { inputs, run } = read.stored;
  if (!run.ok) return <Notice tone="stop">{stripMessage(words, run.error, inputs.sheet)}</Notice>;
  if (read.told === undefined) notFound();
  const { job, record, standing } = read.told;
  const { proof, origin } = standing;
  const whole = wholeness(words, standing);
  return (
    <article className="mx-auto max-w-[940px] px-4 py-5 md:px-6 print:p-0">
      <ValveHead
        tag={inputs.valve.tag}
        href={`/valves/${inputs.valve.tag}`}
        title={words.say.papers.record.title}
        says={[read.house, `${inputs.sheet.title}; ${inputs.valve.name}, ${inputs.valve.place}`]
          .filter(Boolean)
          .join(". ")}
        className="border-ink border-b-2 pb-3"
        action={
          <>
            <JobPapers job={id} papers={papersOf(read)} />
            <a className="btn btn-quiet" href={pathOf(GET_JOB, { id })} download>
              Take it as a file
            </a>
            <PrintButton />
          </>
        }
      />
      {inputs.sheet.demonstration && <p className="plate mt-2 text-body">{words.say.papers.demonstration}</p>}
      <div className="mt-3">
        <Notice tone={whole.tone === "stop" ? "stop" : "go"} live={whole.tone === "stop"}>
          <TextOf block={whole} />
        </Notice>
      </div>
      <div className="mt-4 grid gap-x-8 gap-y-5 md:grid-cols-2 print:grid-cols-2">
        <PaperBlocks
          blocks={recordBlocks(words, record, benchTitle)}
          photoAt={(photo) => pathOf(GET_PHOTO, { id, photo })}
        />
      </div>
      <KeptTraces words={words} traces={record.traces} zero_bar={inputs.sheet.isolation.zero_bar} />
      <FromTheStore all={all} job={id} words={words} />
      <div className="mt-5">
        <PaperBlocks blocks={[nextBlock(words, record)]} photoAt={() => ""} />
      </div>
      <LogTable block={logBlock(words, record, inputs.sheet, benchTitle)} />
      {proof !== undefined && (
        <section className="mt-5 break-inside-avoid">
          <h2 className="caption">Signed for by this installation</h2>
          <p className="break-all text-fine">
            {words.say.papers.record.anchor(proof.anchor.seq, proof.anchor.hash, proof.publicKey)}
          </p>
        </section>
      )}
      {!isClosed(job) && origin !== "foreign" && (
        <p className="no-print mt-4">
          <Link className="btn btn-go" href={`/jobs/${encodeURIComponent(id)}`}>
            Go on with the job
          </Link>
        </p>
      )}
    </article>
  );
}

/** What the signature booked out of the store, by what was really fitted, and back into it. */
function FromTheStore({ all, job, words }: { all: Services; job: string; words: Speaker }) {
  const entries = all.movements.ofJob(job);
  if (entries.length === 0) return null;
  return (
    <section className="mt-5">
      <h2 className="caption">From the store</h2>
      <LedgerList entries={ledgerEntries(all, entries, words)} />
    </section>
  );
}
