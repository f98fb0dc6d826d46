import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import { STATUS_LABELS } from "@/app/jobs/status-labels";
import { pathId } from "@/app/path-id";
import { readSettings } from "@/app/settings";
import type { JobStatus } from "@/core/formats";
import { neighbourhood } from "@/core/line";
import { preferredUnit, unitNamed } from "@/core/quantity";
import { dues } from "@/core/rounds";
import { doubtOfReadings } from "@/server/proof/verify";
import { services } from "@/server/services";
import { BenchReadings } from "@/ui/bench-readings";
import { LineGlance } from "@/ui/line-glance";
import { Empty, Notice } from "@/ui/notice";
import { Panel, ValveHead } from "@/ui/page";
import { ReadingHistory } from "@/ui/reading-history-later";
import { SheetAxis } from "@/ui/sheet-axis";
import { Day, When } from "@/ui/when";

type Params = { params: Promise<{ tag: string }> };

export async function generateMetadata({ params }: Params): Promise<Metadata> {
  return { title: pathId((await params).tag) };
}

/** Places of a line that a glance can show. */
const MOST_GLANCED = 120;

const isOpen = ({ status }: { readonly status: JobStatus }) => status === "at-work" || status === "stopped";

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
  const measures = sheet?.checks.filter((check) => check.kind === "measure" && check.phase === "test") ?? [];
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
        <Panel title="Readings" note={readings.length > 0 ? `${readings.length} on record` : ""}>
          {doubt !== undefined && (
            <Notice tone="stop" live>
              {doubt.message}
            </Notice>
          )}
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
              <li key={job.job} className="flex min-h-12 items-center justify-between gap-3 py-1">
                <Link
                  className="min-h-11 content-center underline underline-offset-4"
                  href={`/jobs/${encodeURIComponent(job.job)}${isOpen(job) ? "" : "/record"}`}
                >
                  {job.says}
                </Link>
                <span className={job.status === "foreign" ? "text-stop" : "text-soft"}>
                  {job.status === "signed-off" && job.closedAt !== null ? (
                    <Day at={job.closedAt} />
                  ) : (
                    STATUS_LABELS[job.status]
                  )}
                </span>
              </li>
            ))}
          </ul>
        </Panel>
      </div>
      <div className="flex min-w-0 flex-col gap-4">
        <section className="rounded-lg border-[1.5px] border-brass-line bg-brass-bg p-4">
          <h2 className="caption text-ink!">Id plate</h2>
          <dl className="plate mt-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-body text-ink">
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
            <p className="mt-3 font-semibold text-fine">Demonstration data: not for real equipment.</p>
          )}
        </section>
        <Panel title="Rings">
          {due.length === 0 && <Empty>Nothing is planned.</Empty>}
          <ul className="dashed">
            {due.map((each) => (
              <li key={each.interval} className="grid grid-cols-[1fr_auto] gap-3 py-2">
                <span>
                  {each.what}
                  <small className="block text-note text-soft">{each.why}</small>
                </span>
                <span className="plate text-lead">
                  <When at={each.at} />
                </span>
              </li>
            ))}
          </ul>
        </Panel>
        {line !== undefined && (
          <Panel title="On the line" note={line.name}>
            <LineGlance
              line={neighbourhood(line, valve.node ?? valve.tag, MOST_GLANCED)}
              target={valve.node ?? valve.tag}
            />
            <Link
              href={`/lines/${encodeURIComponent(line.id)}?open=${encodeURIComponent(valve.node ?? valve.tag)}`}
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
