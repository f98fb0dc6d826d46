import clsx from "clsx";
import Link from "next/link";
import { type Course, CREW_HOURS, type DayOfWork } from "@/core/rounds";
import { watched } from "@/server/proof/watch";
import { services } from "@/server/services";
import { ringingNow } from "@/server/today/news";
import { today } from "@/server/today/today";
import { Sparkline } from "@/ui/draw/sparkline";
import { Empty, Notice } from "@/ui/notice";
import { Panel } from "@/ui/page";
import { Plate } from "@/ui/plate";
import { Day, When } from "@/ui/when";
import { FirstSteps } from "./first-steps";

const TOP = {
  stop: "border-t-stop",
  wait: "border-t-(--ink-wait-mark)",
  due: "border-t-brass-line",
} as const;

export default function TodayPage() {
  const all = services();
  const ringing = ringingNow(all);
  const { cards, jobs, due, held, heldInAll, short, fortnight, empty } = today(all, ringing);
  const { doubts, whole } = watched(all);
  if (empty) return <FirstSteps />;
  return (
    <div className="mx-auto grid max-w-[1240px] gap-4 px-4 py-4 md:px-5 lg:grid-cols-[1fr_344px]">
      <h1 className="sr-only">Today</h1>
      <ul className="grid gap-4 md:grid-cols-2 lg:col-span-2 xl:grid-cols-3">
        {cards.map((card) => (
          <li key={card.bell.id}>
            <Link
              href={`/jobs/${encodeURIComponent(card.bell.job ?? "")}`}
              className={clsx(
                "card grid h-full grid-cols-[1fr_auto] gap-x-3 border-t-[7px] p-4",
                card.bell.kind === "wait" ? TOP.wait : card.bell.kind === "at-work" ? TOP.due : TOP.stop,
              )}
            >
              <b className="text-lead leading-tight">{card.headline}</b>
              <span
                className={clsx(
                  "plate row-span-2 text-figure leading-none",
                  card.bell.kind === "wait"
                    ? "text-wait"
                    : card.bell.kind === "at-work"
                      ? "text-ink"
                      : "text-stop",
                )}
              >
                {card.bell.kind === "at-work" ? "open" : <When at={card.bell.at} />}
              </span>
              <span className="mt-1 text-note text-soft">{card.says}</span>
              <span className="col-span-2 mt-3 flex justify-between gap-3 border-rule border-t-[1.5px] border-dashed pt-2.5 font-semibold">
                <span className="line-clamp-2">{card.next}</span>
                <span className="whitespace-nowrap text-soft">
                  {card.done} of {card.of}
                </span>
              </span>
            </Link>
          </li>
        ))}
        {due.now.map((each) => (
          <li key={each.bell.id}>
            <Link
              href={`/valves/${encodeURIComponent(each.bell.valve)}`}
              className={clsx("card grid h-full grid-cols-[1fr_auto] gap-x-3 border-t-[7px] p-4", TOP.due)}
            >
              <b className="text-lead leading-tight">
                {each.bell.valve}: {each.symptom ?? each.bell.title}
              </b>
              <span className="plate row-span-2 text-figure leading-none">
                <When at={each.bell.at} />
              </span>
              <span className="mt-1 text-note text-soft">
                {each.sheet}, {each.place}
              </span>
              <span className="col-span-2 mt-3 border-rule border-t-[1.5px] border-dashed pt-2.5 font-semibold">
                Look at it and start the job
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {jobs > cards.length && (
        <p className="lg:col-span-2">
          <Link href="/jobs?state=at-work" className="min-h-11 content-center underline underline-offset-4">
            {jobs - cards.length} more open jobs
          </Link>
        </p>
      )}
      {doubts.length > 0 && (
        <div className="lg:col-span-2">
          <Notice tone="stop" live>
            <b>Not as it was stored:</b>
            <ul className="mt-1 list-disc pl-5">
              {doubts.slice(0, 4).map((doubt) => (
                <li key={doubt.subject + doubt.id}>
                  {doubt.subject === "job" ? (
                    <Link href={`/jobs/${encodeURIComponent(doubt.id)}/record`} className="underline">
                      Job {doubt.id}
                    </Link>
                  ) : doubt.subject === "readings" ? (
                    <Link href={`/valves/${encodeURIComponent(doubt.id)}`} className="underline">
                      Readings of {doubt.id}
                    </Link>
                  ) : (
                    "The installation"
                  )}
                  : {doubt.message}
                </li>
              ))}
            </ul>
            {!whole && <p>Still looking at the rest.</p>}
          </Notice>
        </div>
      )}
      <Panel title="Rings next" className="min-w-0">
        {due.later.length === 0 && (
          <Empty>Nothing else is due. Bring in a register in the Loft to see more.</Empty>
        )}
        <ul className="dashed">
          {due.later.slice(0, 12).map((each) => (
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
                <span className="hidden lg:block">{each.course && <CourseLine course={each.course} />}</span>
                <span className="plate text-right text-lead">
                  <When at={each.bell.at} />
                </span>
              </Link>
            </li>
          ))}
        </ul>
      </Panel>
      <div className="flex flex-col gap-3">
        <Panel title="Stays isolated">
          {held.length === 0 && <p className="text-soft">Nothing is held shut.</p>}
          {heldInAll > held.length && <p className="text-soft">{heldInAll} in all; the newest first.</p>}
          <ul className="dashed">
            {held.map((each) => (
              <li key={each.job + each.link} className="py-1.5">
                <Link href={`/jobs/${encodeURIComponent(each.job)}`}>
                  <b>
                    {each.link} {each.name}
                  </b>
                  , lock {each.lock}, {each.by}. Shut for {each.valve} <Day at={each.at} />.
                </Link>
              </li>
            ))}
          </ul>
        </Panel>
        <Panel title="In the store">
          {short.length === 0 ? <p>Enough for the fortnight.</p> : null}
          <ul className="list-disc pl-5">
            {short.map((each) => (
              <li key={`${each.id} ${each.sheet ?? ""}`}>
                {each.name}
                {each.sheet === undefined ? "" : ` for ${each.sheet}`}: {each.need} may be needed, {each.have}{" "}
                in stock
              </li>
            ))}
          </ul>
        </Panel>
        <Panel title="The fortnight" note="hours due">
          <Fortnight days={fortnight} />
        </Panel>
      </div>
    </div>
  );
}

/** How a quantity went, and when it meets its limit. */
function CourseLine({ course }: { course: Course }) {
  const what = course.what.replaceAll("-", " ");
  return (
    <>
      <Sparkline {...course} label={`Trend of ${what}`} />
      {course.meets !== undefined && (
        <small className="block text-fine text-soft leading-tight">
          meets its limit <When at={course.meets} />
        </small>
      )}
    </>
  );
}

function Fortnight({ days }: { days: readonly DayOfWork[] }) {
  const most = Math.max(CREW_HOURS * 1.2, ...days.map((day) => day.hours));
  const y = (hours: number) => 112 - (hours / most) * 100;
  return (
    <svg
      viewBox="0 0 310 136"
      className="w-full"
      role="img"
      aria-label={`Hours due by day: ${days.map((day) => Math.round(day.hours)).join(", ")}`}
    >
      {days.map((day, index) => {
        const x = 4 + index * 22;
        const name = new Date(day.at).toLocaleDateString("en", { weekday: "narrow" });
        return (
          <g key={day.at}>
            {day.hours > 0 && (
              <rect
                x={x}
                y={y(day.hours)}
                width={17}
                height={112 - y(day.hours)}
                fill={day.over ? "var(--ink-over)" : index === 0 ? "var(--ink-rope-due)" : "var(--ink-under)"}
                stroke="var(--draw)"
                strokeWidth={1.2}
              />
            )}
            <text x={x + 8.5} y={130} textAnchor="middle" className="plate" fontSize={14} fill="var(--soft)">
              {name}
            </text>
          </g>
        );
      })}
      <path d={`M0 ${y(CREW_HOURS)}H310`} stroke="var(--stop)" strokeDasharray="5 4" strokeWidth={1.4} />
      <text x={308} y={y(CREW_HOURS) - 5} textAnchor="end" className="plate" fontSize={14} fill="var(--stop)">
        one crew, {CREW_HOURS} h
      </text>
    </svg>
  );
}
