import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import { readSettings } from "@/app/settings";
import { dues } from "@/core/findings";
import { preferredUnit, unitNamed } from "@/core/quantity";
import { services } from "@/server/services";
import { BenchReadings } from "@/ui/bench-readings";
import { LineGlance } from "@/ui/line-glance";
import { Empty, Notice } from "@/ui/notice";
import { Panel } from "@/ui/page";
import { Plate } from "@/ui/plate";
import { ReadingHistory } from "@/ui/reading-history";
import { SheetAxis } from "@/ui/sheet-axis";
import { Day, When } from "@/ui/when";

type Params = { params: Promise<{ tag: string }> };

export async function generateMetadata({ params }: Params): Promise<Metadata> {
  return { title: (await params).tag };
}

export default async function ValvePage({ params }: Params) {
  const { tag } = await params;
  const { system } = await readSettings();
  const { library, jobs, now } = services();
  const valve = library.valve(tag);
  if (valve === undefined) notFound();
  const sheet = library.sheet(valve.sheet);
  const line = valve.line === undefined ? undefined : library.line(valve.line);
  const history = jobs.ofValve(tag);
  const open = history.find((job) => job.closedAt === undefined);
  const readings = library.readings(tag);
  const due = sheet === undefined ? [] : dues(valve, sheet, now());
  const measures = sheet?.checks.filter((check) => check.kind === "measure" && check.phase === "test") ?? [];
  return (
    <div className="mx-auto grid max-w-[1240px] gap-4 px-4 py-4 md:px-5 lg:grid-cols-[300px_1fr_330px]">
      <header className="flex flex-wrap items-center gap-x-5 gap-y-2 lg:col-span-3">
        <Plate id={valve.tag} size="lg" />
        <div className="min-w-0 flex-1">
          <h1 className="font-bold text-[26px] leading-tight">{valve.name}</h1>
          <p className="text-soft">
            {sheet?.title ?? valve.sheet}, {valve.place}
          </p>
        </div>
        {open === undefined ? (
          <Link href={`/valves/${tag}/start`} className="btn btn-go min-h-14 text-[19px]">
            Start a job
          </Link>
        ) : (
          <Link href={`/jobs/${open.inputs.id}`} className="btn btn-go min-h-14 text-[19px]">
            Go on with the job
          </Link>
        )}
      </header>
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
        <Panel title="Readings" note={readings.length > 0 ? `${readings.length} on record` : ""}>
          {readings.length === 0 && (
            <Empty>No reading yet. The first job on this valve begins the trend.</Empty>
          )}
          {measures.map((check) => {
            if (check.kind !== "measure") return null;
            const unit = unitNamed(check.unit, check.dimension);
            const shown = check.dimension === "time" ? unit : preferredUnit(check.dimension, system);
            const rows = readings.filter((reading) => reading.what === check.what);
            if (unit === undefined || shown === undefined || rows.length === 0) return null;
            return (
              <ReadingHistory
                key={check.id}
                title={check.what.replaceAll("-", " ")}
                rows={rows}
                unitId={shown.id}
                checkUnitId={unit.id}
                {...(check.low !== undefined && { low: check.low })}
                {...(check.high !== undefined && { high: check.high })}
              />
            );
          })}
          <BenchReadings readings={readings} system={system} />
        </Panel>
        <Panel title="Past jobs">
          {history.length === 0 && <Empty>No job has been done here with Loft Bell.</Empty>}
          <ul className="dashed">
            {history.map((job) => (
              <li key={job.inputs.id} className="flex min-h-12 items-center justify-between gap-3 py-1">
                <Link
                  className="min-h-11 content-center underline underline-offset-4"
                  href={
                    job.closedAt === undefined ? `/jobs/${job.inputs.id}` : `/jobs/${job.inputs.id}/record`
                  }
                >
                  {job.inputs.reason.says}
                </Link>
                <span className="text-soft">
                  {job.closedAt === undefined ? "open" : <Day at={job.closedAt} />}
                </span>
              </li>
            ))}
          </ul>
        </Panel>
      </div>
      <div className="flex min-w-0 flex-col gap-4">
        <section className="rounded-lg border-[1.5px] border-brass-line bg-brass-bg p-4">
          <h2 className="caption text-ink!">Id plate</h2>
          <dl className="plate mt-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-[17px] text-ink">
            <dt>Maker</dt>
            <dd>{sheet?.maker ?? "–"}</dd>
            <dt>Model</dt>
            <dd>{sheet?.model ?? "–"}</dd>
            <dt>Serial</dt>
            <dd>{valve.serial ?? "–"}</dd>
            <dt>Generation</dt>
            <dd>{valve.generation ?? "–"}</dd>
            <dt>Build</dt>
            <dd>{sheet?.builds.find((build) => build.id === valve.build)?.name ?? "–"}</dd>
            <dt>Installed</dt>
            <dd>{valve.installed === undefined ? "–" : <Day at={Date.parse(valve.installed)} />}</dd>
            <dt>Serviced</dt>
            <dd>{valve.serviced === undefined ? "–" : <Day at={Date.parse(valve.serviced)} />}</dd>
          </dl>
          {sheet?.demonstration && (
            <p className="mt-3 font-semibold text-[14px]">Demonstration data: not for real equipment.</p>
          )}
        </section>
        <Panel title="Rings">
          {due.length === 0 && <Empty>Nothing is planned.</Empty>}
          <ul className="dashed">
            {due.map((each) => (
              <li key={each.interval} className="grid grid-cols-[1fr_auto] gap-3 py-2">
                <span>
                  {each.what}
                  <small className="block text-[14.5px] text-soft">{each.why}</small>
                </span>
                <span className="plate text-[19px]">
                  <When at={each.at} />
                </span>
              </li>
            ))}
          </ul>
        </Panel>
        {line !== undefined && (
          <Panel title="On the line" note={line.name}>
            <LineGlance line={line} target={valve.node ?? valve.tag} />
            <Link
              href={`/lines/${line.id}?open=${valve.node ?? valve.tag}`}
              className="btn btn-quiet mt-2 w-full"
            >
              What has to be shut
            </Link>
          </Panel>
        )}
      </div>
    </div>
  );
}
