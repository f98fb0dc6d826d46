import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import { readSettings } from "@/app/settings";
import { placeOf } from "@/core/places";
import { dues } from "@/core/rounds";
import { historyOf } from "@/server/own/history";
import { doubtOfReadings } from "@/server/proof/verify";
import { measuredNow } from "@/server/register/courses";
import { services } from "@/server/services";
import { TakeAlongPanel } from "@/ui/along/take-along";
import { Notice } from "@/ui/notice";
import { HistoryPanel } from "@/ui/own/history-panel";
import { PapersPanel } from "@/ui/own/papers-panel";
import { Panel, ValveHead } from "@/ui/page";
import { SheetAxis } from "@/ui/sheet-axis";
import { Day } from "@/ui/when";
import { speaker } from "@/words";
import { AtThePlace } from "./at-the-place";
import { Cases } from "./cases";
import { IdPlate, isOpen, OnTheLine, PastJobs, Readings, Rings } from "./panels";
import { ValveActions } from "./valve-actions";

type Params = { params: Promise<{ tag: string }> };

export async function generateMetadata({ params }: Params): Promise<Metadata> {
  return { title: pathId((await params).tag) };
}

export default async function ValvePage({ params }: Params) {
  const tag = pathId((await params).tag);
  const notation = await readSettings();
  const all = services();
  const { library, register, summaries, now } = all;
  const valve = register.anyValve(tag);
  if (valve === undefined) notFound();
  const sheet = library.sheet(valve.sheet);
  const line = valve.line === undefined ? undefined : library.line(valve.line);
  const history = summaries.ofValve(tag);
  const open = history.find(isOpen);
  const doubt = doubtOfReadings(all, tag);
  const readings = library.readings(tag);
  const retired = valve.retired !== undefined;
  const measured = sheet === undefined ? {} : measuredNow(all, valve, sheet, readings);
  const { courses = [] } = measured;
  const due = sheet === undefined || retired ? [] : dues(valve, sheet, now(), measured);
  const place = placeOf(valve.place, new Map(all.things.all("place").map((each) => [each.name, each])));
  return (
    <div className="mx-auto grid max-w-[1240px] grid-cols-1 gap-4 px-4 py-4 md:px-5 lg:grid-cols-[300px_1fr_330px]">
      <ValveHead
        tag={valve.tag}
        title={valve.name}
        says={`${sheet?.title ?? valve.sheet}, ${valve.place}`}
        className="lg:col-span-3"
        action={
          retired ? undefined : open === undefined ? (
            <>
              <Link href={`/valves/${encodeURIComponent(tag)}/trouble`} className="btn btn-quiet min-h-14">
                Something is wrong
              </Link>
              <Link
                href={`/valves/${encodeURIComponent(tag)}/start`}
                className="btn btn-go min-h-14 text-lead"
              >
                Start a job
              </Link>
            </>
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
        {valve.retired !== undefined && (
          <Notice tone="stop">
            <b>Retired</b> <Day at={Date.parse(valve.retired)} />. {valve.retiredWhy}
          </Notice>
        )}
        {valve.symptom !== undefined && (
          <Notice tone="wait">
            <b>Reported:</b> {valve.symptom}
            {valve.reported !== undefined && (
              <span className="block text-note text-soft">
                <Day at={Date.parse(valve.reported)} time />
                {valve.reportedBy !== undefined && `, ${valve.reportedBy}`}
              </span>
            )}
          </Notice>
        )}
        {valve.note !== undefined && (
          <Panel title="To know">
            <p className="whitespace-pre-line">{valve.note}</p>
          </Panel>
        )}
        <Readings
          sheet={sheet}
          readings={readings}
          courses={courses}
          doubt={doubt?.message}
          notation={notation}
        />
        <PastJobs jobs={history} />
        <Cases cases={all.things.casesOf(tag)} />
        <PapersPanel of="valve" owner={tag} papers={all.things.papersOf("valve", tag)} />
      </div>
      <div className="flex min-w-0 flex-col gap-4">
        <IdPlate valve={valve} sheet={sheet} />
        {!retired && <TakeAlongPanel what="valve" of={tag} label="Take this valve along" />}
        <ValveActions
          tag={tag}
          retired={retired}
          symptom={valve.symptom}
          symptoms={sheet?.symptoms.map(({ says }) => says) ?? []}
        />
        {place !== undefined && <AtThePlace place={place} />}
        <Rings due={due} words={speaker(notation)} />
        {line !== undefined && <OnTheLine line={line} node={valve.node ?? valve.tag} />}
        <HistoryPanel edits={historyOf(all, "valve", tag)} />
      </div>
    </div>
  );
}
