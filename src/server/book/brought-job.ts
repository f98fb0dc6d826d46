import type { Valve } from "@/core/formats";

/** What the undo of a brought-in job has to know. */
export interface BroughtJob {
  readonly entries: number;
  /** The valve before the job's signature changed it. */
  readonly valveBefore?: Valve;
}
