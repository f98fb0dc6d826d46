import type { Sheet, Valve } from "../formats";
import { actOf } from "../rounds";
import { confirmedBuild, confirmedGeneration } from "./found-build";
import { foundOptions } from "./found-options";
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

const DAY_MS = 86_400_000;

/** What is looked at once more, and from when on: anew after every whole job, unless that was this very look. */
function lookedAgain({ inputs, progress }: Run, before: Readonly<Record<string, string>>, at: number) {
  const { sheet, reason } = inputs;
  const did = sheet.symptoms.find(({ id }) => id === reason.symptom)?.interval;
  const dates: Record<string, string> = { ...before };
  for (const { id, after_days, afterFit } of sheet.rechecks ?? [])
    if (id === did) delete dates[id];
    else if (inputs.looks === undefined && (afterFit?.some((part) => progress.fitted.has(part)) ?? true))
      dates[id] = new Date(at + after_days * DAY_MS).toISOString();
  return dates;
}

/** Done so long before a date that is set from outside, it was done for it. */
const FOR_THE_DATE_MS = 31 * DAY_MS;

/** Dates set from outside that this job was not for. */
function setAhead(set: Valve["set"], at: number): Valve["set"] {
  const ahead = Object.entries(set ?? {}).filter(([day]) => Date.parse(day) - at > FOR_THE_DATE_MS);
  return ahead.length === 0 ? undefined : Object.fromEntries(ahead);
}

/** How often each part that was off went back since it was new. */
function servedOf({ tray }: Run, before: Readonly<Record<string, number>> = {}): Record<string, number> {
  const served: Record<string, number> = { ...before };
  for (const { part, place } of tray.items) {
    if (place === "renewed") delete served[part];
    if (place === "back-in") served[part] = (served[part] ?? 0) + 1;
  }
  return served;
}

/** What its answers make shorter from now on; never longer than it is already. */
function shortened({ plan }: Run, before: Readonly<Record<string, number>> = {}): Record<string, number> {
  const shorter: Record<string, number> = { ...before };
  for (const { shortens } of plan.findings)
    if (shortens !== undefined)
      shorter[shortens.interval] = Math.min(
        shortens.to_months,
        shorter[shortens.interval] ?? Number.POSITIVE_INFINITY,
      );
  return shorter;
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
  const shorter = shortened(job, valve.shorter);
  const recheck = whole ? lookedAgain(job, valve.recheck ?? {}, at) : { ...valve.recheck };
  const looked = job.inputs.looks !== undefined && job.plan.removed.length === 0;
  const worked = job.inputs.sheet.symptoms.find(({ id }) => id === job.inputs.reason.symptom)?.interval;
  if (whole && looked && worked !== undefined && job.inputs.sheet.intervals.some(({ id }) => id === worked)) {
    last[worked] = day;
    delete dueSince[worked];
  }
  const served = whole ? servedOf(job, valve.served) : { ...valve.served };
  const fitted = { ...valve.fitted, ...foundOptions(job.inputs.sheet, job.progress) };
  const set = whole && !looked ? setAhead(valve.set, at) : valve.set;
  const { symptom, reported, reportedBy, last: _, dueSince: __, recheck: ___, set: ____, ...rest } = valve;
  const fault = {
    ...(symptom !== undefined && { symptom }),
    ...(reported !== undefined && { reported }),
    ...(reportedBy !== undefined && { reportedBy }),
  };
  const build = confirmedBuild(job.inputs, job.progress)?.id;
  const generation = confirmedGeneration(job.inputs, job.progress);
  return {
    ...rest,
    ...(build !== undefined && { build }),
    ...(generation !== undefined && { generation }),
    ...((!whole || looked) && fault),
    ...(whole && !looked && { serviced: day }),
    ...(Object.keys(last).length > 0 && { last }),
    ...(set !== undefined && { set }),
    ...(Object.keys(dueSince).length > 0 && { dueSince }),
    ...(Object.keys(shorter).length > 0 && { shorter }),
    ...(Object.keys(recheck).length > 0 && { recheck }),
    ...(Object.keys(fitted).length > 0 && { fitted }),
    ...(Object.keys(served).length > 0 && { served }),
  };
}
