import Link from "next/link";
import { STATUS_LABELS } from "@/app/jobs/status-labels";
import type { JobStatus, Line, Sheet, Valve } from "@/core/formats";
import { neighbourhood } from "@/core/line";
import { fromSI, type Notation, preferredUnit, unitNamed } from "@/core/quantity";
import type { Course, dues } from "@/core/rounds";
import type { services } from "@/server/services";
import { BenchReadings } from "@/ui/bench-readings";
import { LineGlance } from "@/ui/line-glance";
import { Empty, Notice } from "@/ui/notice";
import { Panel } from "@/ui/page";
import { ReadingHistory } from "@/ui/reading-history-later";
import { Day, When } from "@/ui/when";
import { courseWords, dueWhat, dueWhy, type Speaker, speaker } from "@/words";

type Services = ReturnType<typeof services>;
type Job = ReturnType<Services["summaries"]["ofValve"]>[number];
type Reading = ReturnType<Services["library"]["readings"]>[number];

/** Places of a line that a glance can show. */
const MOST_GLANCED = 120;

export const isOpen = ({ status }: { readonly status: JobStatus }) =>
  status === "at-work" || status === "stopped";

/** How what the sheet measures went, each against its band, and what the bench book kept. */
export function Readings({
  sheet,
  readings,
  courses,
  doubt,
  notation,
}: {
  sheet: Sheet | undefined;
  readings: readonly Reading[];
  courses: readonly Course[];
  /** Why they are not as they were stored. */
  doubt: string | undefined;
  notation: Notation;
}) {
  const words = speaker(notation);
  const measures = sheet?.checks.filter((check) => check.kind === "measure" && check.phase === "test") ?? [];
  return (
    <Panel title="Readings" note={readings.length > 0 ? `${readings.length} on record` : ""}>
      {doubt !== undefined && (
        <Notice tone="stop" live>
          {doubt}
        </Notice>
      )}
      {readings.length === 0 && <Empty>No reading yet. The first job on this valve begins the trend.</Empty>}
      {measures.map((check) => {
        if (check.kind !== "measure") return null;
        const unit = unitNamed(check.unit, check.dimension);
        const shown = check.dimension === "time" ? unit : preferredUnit(check.dimension, notation.system);
        const rows = readings.filter((reading) => reading.what === check.what);
        if (unit === undefined || shown === undefined || rows.length === 0) return null;
        const course = courses.find(({ what }) => what === check.what);
        return (
          <ReadingHistory
            key={check.id}
            title={check.what.replaceAll("-", " ")}
            rows={rows}
            unitId={shown.id}
            checkUnitId={unit.id}
            {...(check.low !== undefined && { low: check.low })}
            {...(check.high !== undefined && { high: check.high })}
            {...(course?.meets !== undefined && { meets: course.meets })}
            says={course === undefined ? [] : courseWords(words, course, shown.id, (si) => fromSI(si, shown))}
          />
        );
      })}
      <BenchReadings readings={readings} notation={notation} />
    </Panel>
  );
}

export function PastJobs({ jobs }: { jobs: readonly Job[] }) {
  return (
    <Panel title="Past jobs">
      {jobs.length === 0 && <Empty>No job has been done here with Loft Bell.</Empty>}
      <ul className="dashed">
        {jobs.map((job) => (
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
  );
}

/** What stands on the valve itself. */
export function IdPlate({ valve, sheet }: { valve: Valve; sheet: Sheet | undefined }) {
  return (
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
        {valve.formerly !== undefined && (
          <>
            <dt>Formerly</dt>
            <dd>
              <Link
                className="underline underline-offset-4"
                href={`/valves/${encodeURIComponent(valve.formerly)}`}
              >
                {valve.formerly}
              </Link>
            </dd>
          </>
        )}
      </dl>
      {sheet?.demonstration && (
        <p className="mt-3 font-semibold text-fine">Demonstration data: not for real equipment.</p>
      )}
    </section>
  );
}

/** When it rings, and why then. */
export function Rings({ due, words }: { due: ReturnType<typeof dues>; words: Speaker }) {
  return (
    <Panel title="Rings">
      {due.length === 0 && <Empty>Nothing is planned.</Empty>}
      <ul className="dashed">
        {due.map((each) => (
          <li key={each.interval} className="grid grid-cols-[1fr_auto] gap-3 py-2">
            <span>
              {dueWhat(words, each)}
              <small className="block text-note text-soft">{dueWhy(words, each)}</small>
            </span>
            <span className="plate text-lead">
              <When at={each.at} />
            </span>
          </li>
        ))}
      </ul>
    </Panel>
  );
}

/** Where it stands in its line, and the way to what has to be shut for it. */
export function OnTheLine({ line, node }: { line: Line; node: string }) {
  return (
    <Panel title="On the line" note={line.name}>
      <LineGlance line={neighbourhood(line, node, MOST_GLANCED)} target={node} />
      <Link
        href={`/lines/${encodeURIComponent(line.id)}?open=${encodeURIComponent(node)}`}
        className="btn btn-quiet mt-2 w-full"
      >
        What has to be shut
      </Link>
    </Panel>
  );
}
