import { isClosed } from "@/core/job";
import type { JobPaper } from "./job-papers";
import type { ReadRecord } from "./read-record";

/** Which papers there are of a job as it stands. */
export function papersOf({ stored: { inputs }, told }: ReadRecord): JobPaper[] {
  if (told === undefined) return [];
  const { job, record } = told;
  return [
    "record",
    ...(isClosed(job) ? (["customer"] as const) : (["hand-over"] as const)),
    ...(record.handedOver === undefined ? [] : (["order"] as const)),
    ...(inputs.line !== undefined && job.plan.isolation?.ok === true ? (["isolation"] as const) : []),
  ];
}
