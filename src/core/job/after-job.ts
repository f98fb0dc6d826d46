import type { Sheet, Valve } from "../formats";
import { actOf } from "../rounds";
import { confirmedBuild } from "./found-build";
import type { Run } from "./run";
import { stepAbout } from "./step-id";

type Interval = Sheet["intervals"][number];

/** The act of an interval, as far as this job has done it: all that it names was renewed, was off, was done. */
function wasDone({ tray, progress }: Run, interval: Interval): boolean {
  const off = new Set(tray.items.filter(({ place }) => place !== "on-tray").map(({ part }) => part));
  const anew = new Set(tray.items.filter(({ place }) => place === "renewed").map(({ part }) => part));
  return (
    (interval.renews ?? []).every((part) => anew.has(part)) &&
    (interval.opens ?? []).every((part) => off.has(part)) &&
    (interval.does ?? []).every((task) => progress.done.has(stepAbout("task", task)))
  );
}

const hasAct = (interval: Interval) => actOf(interval) !== undefined;

/**
 * Intervals of an act of their own whose act this job has done.
 *
 * @param intervals of the sheet it was worked by, or of a newer one that says more of them
 */
export const actsDone = (job: Run, intervals: readonly Interval[] = job.inputs.sheet.intervals): string[] =>
  job.current !== undefined
    ? []
    : intervals.flatMap((interval) => (hasAct(interval) && wasDone(job, interval) ? [interval.id] : []));

/** What the complaint, or an answer of this job, makes due at once. */
function madeDue({ inputs, plan }: Run): ReadonlySet<string> {
  const { reason, sheet } = inputs;
  return new Set([
    ...sheet.intervals
      .filter(({ atOnceAfter }) => atOnceAfter?.includes(reason.symptom ?? ""))
      .map(({ id }) => id),
    ...plan.findings.flatMap(({ makesDue }) => makesDue ?? []),
  ]);
}

/**
 * The valve as it stands once a job on it is signed off: serviced that day, its symptom gone, and each act that has an
 * interval of its own counted anew where it was done. A job that was closed early (nothing shut, nothing off) serviced
 * nothing, but what it found is due at once all the same. The build is the one that was found.
 */
export function afterJob(valve: Valve, job: Run, at: number): Valve {
  const day = new Date(at).toISOString();
  const whole = job.current === undefined;
  const done = actsDone(job);
  const dueSince: Record<string, string> = { ...valve.dueSince };
  const last: Record<string, string> = { ...valve.last };
  for (const id of madeDue(job)) dueSince[id] ??= day;
  for (const { id } of whole ? job.inputs.sheet.intervals.filter(hasAct) : []) {
    if (done.includes(id)) {
      last[id] = day;
      delete dueSince[id];
    } else if (last[id] === undefined && valve.installed === undefined) {
      // Nobody knows when it was done: it goes on counting from what was known before, not from today's look.
      if (valve.serviced === undefined) dueSince[id] ??= day;
      else last[id] = valve.serviced;
    }
  }
  const { symptom, last: _, dueSince: __, ...rest } = valve;
  const build = confirmedBuild(job.inputs, job.progress)?.id;
  return {
    ...rest,
    ...(build !== undefined && { build }),
    ...(!whole && symptom !== undefined && { symptom }),
    ...(whole && { serviced: day }),
    ...(Object.keys(last).length > 0 && { last }),
    ...(Object.keys(dueSince).length > 0 && { dueSince }),
  };
}
