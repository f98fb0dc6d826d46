/** What rings, as a summary keeps it: the shape of core/job's Bell. */

export type { JobStatus } from "@/core/formats";
export type { Bell, Worked } from "@/core/job";

/**
 * Where a log came from: made here; brought in from another installation and possible entry by entry; or brought in and
 * not shown to have been possible, so that it closes nothing.
 */
export type JobOrigin = "here" | "elsewhere" | "foreign";

/** A valve of a line that a job holds shut, or a bypass that it holds open. */
export interface HeldLink {
  /** Another line may name a valve of its own alike. */
  readonly line: string;
  readonly link: string;
  readonly name: string;
  readonly lock: string;
  readonly by: string;
  readonly at: number;
  /** Where a three-way valve was turned to. */
  readonly position?: string;
  readonly open?: true;
}

export interface LostService {
  readonly node: string;
  readonly name: string;
}
