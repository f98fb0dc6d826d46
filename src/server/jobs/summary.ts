import type { JobStatus } from "@/core/formats";
import { countedOn, jobBells, outOfService, type Run, type Step, workedOf } from "@/core/job";
import type { HeldLink, JobOrigin, JobSummary } from "@/data";
import { speaker, stepTitle } from "@/words";
import { findableJob } from "../find/findable";
import type { Services } from "../services";

/** Raised when a summary, or when a valve rings, is made in another way: older ones are made anew. */
export const SUMMARY_MADE = 8;

/** Where a log came from, and what speaks against it. */
export interface Provenance {
  readonly origin: JobOrigin;
  readonly doubt?: string;
}

function heldBy(job: Run): HeldLink[] {
  const { inputs, plan, progress } = job;
  const turned = plan.isolation?.ok === true ? plan.isolation.value.turned : [];
  const { line } = inputs;
  if (line === undefined) return [];
  const named = (link: string, done: ReturnType<typeof progress.shut.get>) => ({
    line: line.id,
    link,
    name: line.links.find((each) => each.id === link)?.name ?? "",
    lock: done?.entry ?? "",
    by: done?.by ?? "",
    at: done?.at ?? 0,
  });
  return [
    ...job.shut.map((link) => {
      const position = turned.find((each) => each.node === link)?.to.id;
      return { ...named(link, progress.shut.get(link)), ...(position !== undefined && { position }) };
    }),
    ...[...job.openRound].map(([link, done]) => ({ ...named(link, done), open: true as const })),
  ];
}

/** Titles carry no figures: one says the same to every reader. */
const titleOf = (step: Step | undefined) => step && stepTitle(speaker(), step);

const closedAt = ({ status }: Run): number | null =>
  status.kind === "signed-off" || status.kind === "not-begun" ? status.at : null;

/** A job as lists, Today and the rope show it. A foreign one rings nothing and holds nothing: nobody did it here. */
export function summaryOf(job: Run, { origin, doubt }: Provenance): JobSummary {
  const { inputs, status, current } = job;
  const foreign = origin === "foreign";
  const kept: JobStatus = foreign ? "foreign" : status.kind;
  const because = foreign
    ? (doubt ?? null)
    : status.kind === "stopped" || status.kind === "not-begun"
      ? status.reason
      : null;
  return {
    job: inputs.id,
    valve: inputs.valve.tag,
    place: inputs.valve.place,
    sheet: inputs.sheet.id,
    sheetTitle: inputs.sheet.title,
    says: inputs.reason.says,
    openedAt: Date.parse(inputs.openedAt),
    openedBy: inputs.openedBy,
    closedAt: closedAt(job),
    status: kept,
    origin,
    because,
    phase: current?.phase ?? "sign-off",
    step: titleOf(current) ?? "Sign off",
    afterwards: titleOf(current && job.plan.steps[job.plan.steps.indexOf(current) + 1]) ?? "",
    done: [...job.states.values()].filter((state) => state.kind === "done").length,
    steps: job.states.size,
    minutesLeft: job.minutesLeft,
    entries: job.log.length,
    bells: foreign ? [] : jobBells(job),
    held: foreign ? [] : heldBy(job),
    takes: foreign ? [] : countedOn(job),
    lost: foreign ? [] : outOfService(job).map(({ node, name }) => ({ node, name })),
    worked: foreign ? null : (workedOf(job) ?? null),
    made: SUMMARY_MADE,
  };
}

/** Writes the summary of a job, and what find shows of it: open ones only. */
export function keepSummary({ summaries, find }: Services, job: Run, provenance: Provenance): JobSummary {
  const summary = summaryOf(job, provenance);
  const before = summaries.statusOf(summary.job);
  summaries.save(summary);
  const isOpen = (status: JobStatus | undefined) => status === "at-work" || status === "stopped";
  if (isOpen(summary.status) && !isOpen(before)) find.put("job", summary.job, findableJob(job.inputs));
  if (!isOpen(summary.status) && isOpen(before)) find.remove("job", summary.job);
  return summary;
}
