import Link from "next/link";
import { watched } from "@/server/proof/watch";
import { isDemo, services } from "@/server/services";
import { firstHour } from "@/server/today/first-hour";
import { ringingNow } from "@/server/today/news";
import { nextFor } from "@/server/today/next-for";
import { today } from "@/server/today/today";
import { Panel } from "@/ui/page";
import { FirstSteps, StillToSetUp } from "./first-steps";
import { readSettings } from "./settings";
import { DueCard, JobCard } from "./today/cards";
import { Doubts } from "./today/doubts";
import { Fortnight } from "./today/fortnight";
import { InTheStore, RingsNext, RunningOut, StaysIsolated } from "./today/panels";
import { YourDay } from "./today/your-day";

/** What rings now, what rings next, what is held shut, what may lack. */
export default async function TodayPage() {
  const all = services();
  const ringing = ringingNow(all);
  const { cards, jobs, due, held, heldInAll, short, fortnight, runsOut, empty, at } = today(all, ringing);
  const { doubts, whole } = watched(all);
  const hour = firstHour(all);
  const day = nextFor(all, (await readSettings()).who);
  if (empty || all.register.count() === 0) return <FirstSteps hour={hour} />;
  return (
    <div className="mx-auto grid max-w-[1240px] grid-cols-1 gap-4 px-4 py-4 md:px-5 lg:grid-cols-[1fr_344px]">
      <div className="flex items-center justify-between gap-3 lg:col-span-2">
        <h1 className="font-bold text-title">Today</h1>
        <Link href="/trouble" className="btn btn-quiet min-h-12">
          Something is wrong
        </Link>
      </div>
      {day !== undefined && <YourDay day={day} />}
      <ul className="grid gap-4 md:grid-cols-2 lg:col-span-2 xl:grid-cols-3">
        {cards.map((card) => (
          <li key={card.bell.id}>
            <JobCard card={card} />
          </li>
        ))}
        {due.now.map((each) => (
          <li key={each.bell.id}>
            <DueCard due={each} />
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
          <Doubts doubts={doubts} whole={whole} />
        </div>
      )}
      <RingsNext due={due.later} now={at} />
      <div className="flex flex-col gap-3">
        {!isDemo() && <StillToSetUp hour={hour} />}
        <StaysIsolated held={held} inAll={heldInAll} />
        <InTheStore short={short} />
        <RunningOut all={runsOut} at={all.now()} />
        <Panel title="The fortnight" note="hours due">
          <Fortnight days={fortnight} />
        </Panel>
      </div>
    </div>
  );
}
