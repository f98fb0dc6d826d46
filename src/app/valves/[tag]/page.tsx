import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import { readSettings } from "@/app/settings";
import { dues } from "@/core/rounds";
import { doubtOfReadings } from "@/server/proof/verify";
import { services } from "@/server/services";
import { Notice } from "@/ui/notice";
import { ValveHead } from "@/ui/page";
import { SheetAxis } from "@/ui/sheet-axis";
import { speaker } from "@/words";
import { IdPlate, isOpen, OnTheLine, PastJobs, Readings, Rings } from "./panels";

type Params = { params: Promise<{ tag: string }> };

export async function generateMetadata({ params }: Params): Promise<Metadata> {
  return { title: pathId((await params).tag) };
}

export default async function ValvePage({ params }: Params) {
  const tag = pathId((await params).tag);
  const { system } = await readSettings();
  const all = services();
  const { library, register, summaries, now } = all;
  const valve = register.valve(tag);
  if (valve === undefined) notFound();
  const sheet = library.sheet(valve.sheet);
  const line = valve.line === undefined ? undefined : library.line(valve.line);
  const history = summaries.ofValve(tag);
  const open = history.find(isOpen);
  const doubt = doubtOfReadings(all, tag);
  const readings = library.readings(tag);
  const due = sheet === undefined ? [] : dues(valve, sheet, now());
  return (
    <div className="mx-auto grid max-w-[1240px] grid-cols-1 gap-4 px-4 py-4 md:px-5 lg:grid-cols-[300px_1fr_330px]">
      <ValveHead
        tag={valve.tag}
        title={valve.name}
        says={`${sheet?.title ?? valve.sheet}, ${valve.place}`}
        className="lg:col-span-3"
        action={
          open === undefined ? (
            <Link href={`/valves/${encodeURIComponent(tag)}/start`} className="btn btn-go min-h-14 text-lead">
              Start a job
            </Link>
          ) : (
            <Link href={`/jobs/${encodeURIComponent(open.job)}`} className="btn btn-go min-h-14 text-lead">
              Go on with the job
            </Link>
          )
        }
      />
      {sheet === undefined ? (
        <Notice tone="stop">
          The sheet “{valve.sheet}” is missing. Bring it in, and this valve can be planned.
        </Notice>
      ) : (
        <section className="card flex h-[560px] flex-col overflow-hidden pt-3 lg:h-[640px]">
          <h2 className="caption px-4 pb-1">The axis</h2>
          <SheetAxis sheet={sheet} />
        </section>
      )}
      <div className="flex min-w-0 flex-col gap-4">
        {valve.symptom !== undefined && (
          <Notice tone="wait">
            <b>Reported:</b> {valve.symptom}
          </Notice>
        )}
        <Readings sheet={sheet} readings={readings} doubt={doubt?.message} system={system} />
        <PastJobs jobs={history} />
      </div>
      <div className="flex min-w-0 flex-col gap-4">
        <IdPlate valve={valve} sheet={sheet} />
        <Rings due={due} words={speaker(system)} />
        {line !== undefined && <OnTheLine line={line} node={valve.node ?? valve.tag} />}
      </div>
    </div>
  );
}
