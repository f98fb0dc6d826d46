import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import { readSettings } from "@/app/settings";
import { ledgerEntries } from "@/app/store/ledger-entries";
import { isClosed, type JobRecord, jobRecord } from "@/core/job";
import { pathOf } from "@/edge/client";
import { GET_JOB } from "@/edge/contracts/jobs";
import { readJob } from "@/server/jobs/read-job";
import { proofOf } from "@/server/proof/prove";
import { doubtOfReadings } from "@/server/proof/verify";
import { atOneMoment, type Services, services } from "@/server/services";
import { Notice } from "@/ui/notice";
import { ValveHead } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { LedgerList } from "@/ui/store/ledger-list";
import { Day } from "@/ui/when";
import { dueWhy, type Speaker, speaker, stripMessage } from "@/words";
import { LogTable } from "./log-table";
import { RecordParts } from "./record-parts";
import { Wholeness } from "./wholeness";

export const metadata: Metadata = { title: "Record" };

/** The proof of a job: reads on screen, prints on A4. */
export default async function RecordPage({ params }: { params: Promise<{ id: string }> }) {
  const id = pathId((await params).id);
  const words = speaker((await readSettings()).system);
  const all = services();
  const [stored, proof] = atOneMoment(all, () => [readJob(all, id), proofOf(all, id)] as const);
  if (stored === undefined) notFound();
  const { inputs, run: job } = stored;
  if (!job.ok) return <Notice tone="stop">{stripMessage(words, job.error, inputs.sheet)}</Notice>;
  const { origin, doubt: foreign } = all.jobs.provenance(id);
  const doubt = stored.doubt ?? doubtOfReadings(all, inputs.valve.tag)?.message;
  const house = all.things.one("house", "house")?.name;
  const record = jobRecord(job.value, stored.events);
  return (
    <article className="mx-auto max-w-[940px] px-4 py-5 md:px-6 print:p-0">
      <ValveHead
        tag={inputs.valve.tag}
        href={`/valves/${inputs.valve.tag}`}
        title="Record of service"
        says={[house, `${inputs.sheet.title}; ${inputs.valve.name}, ${inputs.valve.place}`]
          .filter(Boolean)
          .join(". ")}
        className="border-ink border-b-2 pb-3"
        action={
          <>
            <a className="btn btn-quiet" href={pathOf(GET_JOB, { id })} download>
              Take it as a file
            </a>
            <PrintButton />
          </>
        }
      />
      {inputs.sheet.demonstration && (
        <p className="plate mt-2 text-body">Demonstration data: not for real equipment.</p>
      )}
      <div className="mt-3">
        <Wholeness
          job={job.value}
          entries={stored.events.length}
          doubt={doubt}
          origin={origin}
          foreign={foreign}
          proof={proof}
        />
      </div>
      <RecordParts record={record} job={id} words={words} />
      <FromTheStore all={all} job={id} />
      <RingsNext record={record} words={words} />
      <LogTable lines={record.lines} sheet={inputs.sheet} words={words} />
      {proof !== undefined && (
        <section className="mt-5 break-inside-avoid">
          <h2 className="caption">Signed for by this installation</h2>
          <p className="break-all text-fine">
            Anchor {proof.anchor.seq}, {proof.anchor.hash}. Public key {proof.publicKey}. Anybody can check
            the file of this job with <code>./loftbell verify FILE</code>.
          </p>
        </section>
      )}
      {!isClosed(job.value) && origin !== "foreign" && (
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
function FromTheStore({ all, job }: { all: Services; job: string }) {
  const entries = all.movements.ofJob(job);
  if (entries.length === 0) return null;
  return (
    <section className="mt-5">
      <h2 className="caption">From the store</h2>
      <LedgerList entries={ledgerEntries(all, entries)} />
    </section>
  );
}

/** When the valve rings again. */
function RingsNext({ record, words }: { record: JobRecord; words: Speaker }) {
  return (
    <section className="mt-5 break-inside-avoid border-rule border-y-[1.5px] py-3">
      <h2 className="caption">Rings next</h2>
      {record.next === undefined ? (
        <p className="text-soft">Set at sign-off.</p>
      ) : (
        <p className="text-lead">
          <b>
            <Day at={record.next.at} />
          </b>
          : {record.next.what}. <span className="text-soft">{dueWhy(words, record.next)}</span>
        </p>
      )}
    </section>
  );
}
