import Link from "next/link";
import { COMPETENCE_NAMES } from "@/app/crew/competence-names";
import type { Competence } from "@/core/formats";
import type { Course, RunsOut } from "@/core/rounds";
import { itemHref } from "@/server/find/item-href";
import type { Today } from "@/server/today/today";
import { Sparkline } from "@/ui/draw/sparkline";
import { Empty } from "@/ui/notice";
import { Panel } from "@/ui/page";
import { Plate } from "@/ui/plate";
import { Day, When } from "@/ui/when";

/** Rows that are shown; the register lists all. */
const MOST_SHOWN = 12;

export function RingsNext({ due, now }: { due: Today["due"]["later"]; now: number }) {
  return (
    <Panel title="Rings next" className="min-w-0">
      {due.length === 0 && <Empty>Nothing else is due. Bring in a register in the Loft to see more.</Empty>}
      <ul className="dashed">
        {due.slice(0, MOST_SHOWN).map((each) => (
          <li key={each.bell.id}>
            <Link
              href={`/valves/${encodeURIComponent(each.bell.valve)}`}
              className="grid min-h-[61px] grid-cols-[110px_1fr_76px] items-center gap-3 py-1.5 lg:grid-cols-[112px_1fr_150px_84px]"
            >
              <Plate id={each.bell.valve} />
              <span className="min-w-0">
                <span className="line-clamp-1">{each.symptom ?? each.bell.title}</span>
                <small className="line-clamp-1 block text-note text-soft">
                  {each.name}; {each.place}
                </small>
              </span>
              <span className="hidden lg:block">
                {each.course && <CourseLine course={each.course} now={now} />}
              </span>
              <span className="plate text-right text-lead">
                <When at={each.bell.at} />
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </Panel>
  );
}

/** How a quantity went, and when it meets its limit. */
function CourseLine({ course, now }: { course: Course; now: number }) {
  const what = course.what.replaceAll("-", " ");
  return (
    <>
      <Sparkline {...course} label={`Trend of ${what}`} />
      {course.outside !== undefined ? (
        <small className="block text-fine text-stop leading-tight">outside its limits</small>
      ) : (
        course.meets !== undefined && (
          <small className="block text-fine text-soft leading-tight">
            {course.meets.early <= now ? (
              "may have met its limit"
            ) : (
              <>
                may meet its limit <When at={course.meets.early} />
              </>
            )}
          </small>
        )
      )}
    </>
  );
}

/** What open jobs hold shut, under whose lock; and what they keep open round it. */
export function StaysIsolated({ held, inAll }: { held: Today["held"]; inAll: number }) {
  return (
    <Panel title="Stays isolated">
      {held.length === 0 && <p className="text-soft">Nothing is held shut.</p>}
      {inAll > held.length && <p className="text-soft">{inAll} in all; the newest first.</p>}
      <ul className="dashed">
        {held.map((each) => (
          <li key={each.job + each.link} className="py-1.5">
            <Link href={`/jobs/${encodeURIComponent(each.job)}`}>
              <b>
                {each.link} {each.name}
              </b>
              {each.open === true
                ? `, a bypass, ${each.by}. Kept open for ${each.valve} `
                : `, lock ${each.lock}, ${each.by}. Shut for ${each.valve} `}
              <Day at={each.at} />.
            </Link>
          </li>
        ))}
      </ul>
    </Panel>
  );
}

/** What the due work may lack. */
export function InTheStore({ short }: { short: Today["short"] }) {
  return (
    <Panel title="In the store">
      {short.length === 0 ? <p>Enough for the fortnight.</p> : null}
      <ul className="list-disc pl-5">
        {short.map((each) => (
          <li key={`${each.id} ${each.sheet ?? ""}`}>
            {each.name}
            {each.sheet === undefined ? "" : ` for ${each.sheet}`}: {each.need} may be needed, {each.have} in
            stock
          </li>
        ))}
      </ul>
    </Panel>
  );
}

/** Competences and calibrations that run out: whoever has none may not go alone, and what is measured counts for less. */
export function RunningOut({ all, at }: { all: readonly RunsOut[]; at: number }) {
  if (all.length === 0) return null;
  return (
    <Panel title="Running out">
      <ul className="dashed">
        {all.slice(0, MOST_RUNNING_OUT).map((each) => (
          <li key={`${each.kind} ${each.id} ${whatRunsOut(each)}`}>
            <Link href={pageOf(each)} className="grid min-h-12 grid-cols-[1fr_auto] items-center gap-3 py-1">
              <span>
                {each.name}
                <small className="block text-note text-soft">{whatRunsOut(each)}</small>
              </span>
              <span
                className={each.at === undefined || each.at <= at ? "font-semibold text-stop" : "text-wait"}
              >
                {each.at === undefined ? (
                  "never"
                ) : each.at <= at ? (
                  <>
                    out since <Day at={each.at} />
                  </>
                ) : (
                  <Day at={each.at} />
                )}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </Panel>
  );
}

const MOST_RUNNING_OUT = 6;

function pageOf(each: RunsOut): string {
  switch (each.kind) {
    case "competence":
      return `/crew/${each.id}`;
    case "calibration":
      return `/instruments/${each.id}`;
    case "shelf-life":
      return itemHref(each.store, each.item);
  }
}

function whatRunsOut(each: RunsOut): string {
  switch (each.kind) {
    case "competence":
      return COMPETENCE_NAMES[each.what as Competence];
    case "calibration":
      return `${each.id}, calibration`;
    case "shelf-life":
      return `${each.pieces} pcs, ${each.place}, shelf life`;
  }
}
