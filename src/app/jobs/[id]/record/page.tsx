import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import { readSettings } from "@/app/settings";
import { benchTitle } from "@/core/calculators";
import { isClosed, jobRecord, PHASE_NAMES, type Run } from "@/core/job";
import { formatDuration, formatQuantity } from "@/core/quantity";
import { pathOf } from "@/edge/client";
import { GET_JOB, GET_PHOTO } from "@/edge/contracts/jobs";
import { readJob } from "@/server/jobs/read-job";
import { proofOf } from "@/server/proof/prove";
import { doubtOfReadings } from "@/server/proof/verify";
import { atOneMoment, services } from "@/server/services";
import { Notice } from "@/ui/notice";
import { ValveHead } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { Day } from "@/ui/when";

export const metadata: Metadata = { title: "Record" };

/** The proof of a job: reads on screen, prints on A4. */
export default async function RecordPage({ params }: { params: Promise<{ id: string }> }) {
  const id = pathId((await params).id);
  const { system } = await readSettings();
  const all = services();
  const [stored, proof] = atOneMoment(all, () => [readJob(all, id), proofOf(all, id)] as const);
  if (stored === undefined) notFound();
  const { inputs, run: job } = stored;
  if (!job.ok) return <Notice tone="stop">{job.error}</Notice>;
  const { origin, doubt: foreign } = all.jobs.provenance(id);
  const doubt = stored.doubt ?? doubtOfReadings(all, inputs.valve.tag)?.message;
  const record = jobRecord(job.value, stored.events, benchTitle);
  return (
    <article className="mx-auto max-w-[940px] px-4 py-5 md:px-6 print:p-0">
      <ValveHead
        tag={inputs.valve.tag}
        href={`/valves/${inputs.valve.tag}`}
        title="Record of service"
        says={`${inputs.sheet.title}; ${inputs.valve.name}, ${inputs.valve.place}`}
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
        {doubt !== undefined ? (
          <Notice tone="stop" live>
            {doubt}
          </Notice>
        ) : origin === "foreign" ? (
          <Notice tone="stop" live>
            <b>This log is foreign.</b> It was brought in, and it cannot be shown to have happened so:{" "}
            {foreign} It closes nothing, and nobody here answers for it.
          </Notice>
        ) : (
          <Notice tone="go">
            <b>The log is whole.</b> {stored.events.length} entries, each sealed to the one before
            {proof !== undefined && (
              <>
                , and anchored as number {proof.anchor.seq} on <Day at={Date.parse(proof.anchor.at)} time />
              </>
            )}
            . <RecordStatus job={job.value} />
            {origin === "elsewhere" && (
              <> It was brought in from another installation; every entry was possible when it was made.</>
            )}
          </Notice>
        )}
      </div>
      <div className="mt-4 grid gap-x-8 gap-y-5 md:grid-cols-2 print:grid-cols-2">
        <Block title="As found" rows={record.asFound} none="Nothing was noted." />
        <Block title="As left" rows={record.asLeft} none="No test was done." />
        <section className="break-inside-avoid">
          <h2 className="caption">Readings</h2>
          <ul className="dashed">
            {record.readings.length === 0 && <li className="py-1.5 text-soft">None.</li>}
            {record.readings.map((reading) => (
              <li key={`${reading.at}${reading.what}`} className="grid grid-cols-[1fr_auto] gap-3 py-1.5">
                <span>
                  {reading.step}
                  <small className="block text-soft">
                    <Day at={reading.at} time />, {reading.by}
                  </small>
                </span>
                <b className="plate text-lead">{reading.typed}</b>
              </li>
            ))}
          </ul>
        </section>
        <section className="break-inside-avoid">
          <h2 className="caption">Parts</h2>
          <ul className="dashed">
            {record.renewed.map((each) => (
              <li key={each.part} className="py-1.5">
                <b>New: {each.part}</b>
                <small className="block text-soft">{each.why}</small>
              </li>
            ))}
            {record.compared.map((each, index) => (
              <li key={index} className="py-1.5">
                Compared: {each.part}
                <small className={each.verdict === "right" ? "block text-soft" : "block text-stop"}>
                  {each.says}
                </small>
              </li>
            ))}
            {record.kept.length > 0 && (
              <li className="py-1.5">Kept and refitted: {record.kept.join(", ")}</li>
            )}
            {record.leftovers.map((left) => (
              <li key={left.name} className="py-1.5">
                Left over: {left.name} × {left.quantity}
                <small className="block text-soft">{left.why}</small>
              </li>
            ))}
            {record.renewed.length + record.kept.length === 0 && (
              <li className="py-1.5 text-soft">None renewed.</li>
            )}
          </ul>
        </section>
        {record.worked.length > 0 && (
          <section className="break-inside-avoid">
            <h2 className="caption">Worked out</h2>
            <ul className="dashed">
              {record.worked.map((each) => (
                <li key={`${each.at}${each.title}`} className="grid grid-cols-[1fr_auto] gap-3 py-1.5">
                  <span>
                    {each.title}
                    <small className="block text-soft">
                      <Day at={each.at} time />, {each.by}
                    </small>
                  </span>
                  <b className="plate text-lead">{each.typed}</b>
                </li>
              ))}
            </ul>
          </section>
        )}
        <section className="break-inside-avoid">
          <h2 className="caption">Torques</h2>
          <ul className="dashed">
            {record.torques.length === 0 && <li className="py-1.5 text-soft">None.</li>}
            {record.torques.map((each) => (
              <li key={each.part} className="grid grid-cols-[1fr_auto] gap-3 py-1.5">
                <span>
                  {each.part}
                  {each.bolts > 1 ? `, ${each.bolts} bolts, ${each.passes} passes` : ""}
                </span>
                <b className="plate text-lead">{formatQuantity(each.torque_Nm, "torque", system)}</b>
              </li>
            ))}
          </ul>
        </section>
        {record.threads.length > 0 && (
          <Block
            title="On the threads"
            rows={record.threads.map((each) => `${each.part}: ${each.with.toLowerCase()}`)}
            none=""
          />
        )}
        {record.photos.length > 0 && (
          <section className="break-inside-avoid">
            <h2 className="caption">Photographs</h2>
            <ul className="mt-1 flex flex-wrap gap-2">
              {record.photos.map(({ photo, says }) => (
                <li key={photo} className="w-36">
                  {/* biome-ignore lint/performance/noImgElement: made small already, behind our own route */}
                  <img
                    src={pathOf(GET_PHOTO, { id, photo })}
                    alt={says}
                    className="h-28 w-36 rounded border border-rule object-cover"
                  />
                  <small className="block text-soft">{says}</small>
                </li>
              ))}
            </ul>
          </section>
        )}
        <section className="break-inside-avoid">
          <h2 className="caption">Isolation</h2>
          <ul className="dashed">
            {record.closures.length === 0 && <li className="py-1.5 text-soft">Nothing was shut.</li>}
            {record.closures.map((each) => (
              <li key={each.link} className="py-1.5">
                <b>{each.link}</b>, lock {each.lock || "none"}
                <small className="block text-soft">
                  shut <Day at={each.shutAt} time />;{" "}
                  {each.openedAt === undefined ? (
                    <b className="text-stop">still shut</b>
                  ) : (
                    <>
                      open <Day at={each.openedAt} time />
                    </>
                  )}
                </small>
              </li>
            ))}
          </ul>
        </section>
        <Block title="People" rows={record.people} none="" />
        <Block
          title="Overrides"
          rows={record.overrides.map((each) => `${each.step} ${each.by}: ${each.reason}`)}
          none="None."
        />
      </div>
      <section className="mt-5 break-inside-avoid border-rule border-y-[1.5px] py-3">
        <h2 className="caption">Rings next</h2>
        {record.next === undefined ? (
          <p className="text-soft">Set at sign-off.</p>
        ) : (
          <p className="text-lead">
            <b>
              <Day at={record.next.at} />
            </b>
            : {record.next.what}. <span className="text-soft">{record.next.why}</span>
          </p>
        )}
      </section>
      <section className="mt-5">
        <h2 className="caption">Everything, in order</h2>
        <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Log, entry by entry">
          <table className="mt-1 w-full text-left text-fine">
            <thead>
              <tr className="border-rule border-b-[1.5px]">
                <th className="py-1 pr-3 font-semibold">When</th>
                <th className="pr-3 font-semibold">Phase</th>
                <th className="pr-3 font-semibold">What</th>
                <th className="pr-3 font-semibold">Entry</th>
                <th className="font-semibold">Who</th>
              </tr>
            </thead>
            <tbody>
              {record.lines.map((line, index) => (
                <tr key={index} className="border-rule border-b align-top">
                  <td className="whitespace-nowrap py-1 pr-3">
                    <Day at={line.at} time />
                    {line.storedAt !== undefined && (
                      <small className="block text-soft">
                        without signal; stored <Day at={line.storedAt} time />
                      </small>
                    )}
                    {line.off_s !== undefined && (
                      <small className="block text-soft">
                        clock {formatDuration(Math.abs(line.off_s))} {line.off_s > 0 ? "ahead" : "behind"},
                        put right
                      </small>
                    )}
                  </td>
                  <td className="pr-3">{line.phase === undefined ? "" : PHASE_NAMES[line.phase]}</td>
                  <td className="pr-3">{line.what}</td>
                  <td className="pr-3">{line.entry}</td>
                  <td>{line.by}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </section>
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

/** How it ended, or that it has not. */
function RecordStatus({ job }: { job: Run }) {
  const { status } = job;
  switch (status.kind) {
    case "signed-off":
      return (
        <>
          Signed off by {status.by}, <Day at={status.at} time />
          {job.current === undefined
            ? "."
            : ", before the work was begun: nothing was serviced, the valve stays due."}
        </>
      );
    case "not-begun":
      return (
        <>
          Closed as not begun by {status.by}, <Day at={status.at} time />: {status.reason}
        </>
      );
    case "stopped":
    case "at-work":
      return <>Not signed off yet.</>;
  }
}

function Block({ title, rows, none }: { title: string; rows: readonly string[]; none: string }) {
  return (
    <section className="break-inside-avoid">
      <h2 className="caption">{title}</h2>
      <ul className="dashed">
        {rows.length === 0 && <li className="py-1.5 text-soft">{none}</li>}
        {rows.map((row) => (
          <li key={row} className="py-1.5">
            {row}
          </li>
        ))}
      </ul>
    </section>
  );
}
