import type { JobSort, JobStatus, ValveSort, ValveState } from "@/core/formats";
import { AT_ONCE, type JobSummary, NEVER, type Rows, type ValveRow } from "@/data";
import type { Services } from "../services";

/** As a row keeps it: it rings at once, or never. */
export const AT_ONCE_MS = AT_ONCE;
export const NEVER_MS = NEVER;

/** Rows of one page of a list. */
export const PAGE = 50;

export interface ValveListAsk {
  readonly find?: string;
  readonly place?: string;
  readonly sheet?: string;
  readonly family?: string;
  readonly state?: ValveState;
  readonly sort?: ValveSort;
  readonly down?: "yes";
  readonly page?: number;
}

export interface JobListAsk {
  readonly find?: string;
  readonly place?: string;
  readonly state?: JobStatus;
  readonly sort?: JobSort;
  readonly down?: "yes";
  readonly page?: number;
}

export interface Window {
  readonly from: number;
  readonly most: number;
}

const pageWindow = (page = 1): Window => ({ from: (page - 1) * PAGE, most: PAGE });

/** Valves as a list asks for them: one page, and how many there are. */
export function listValves(
  { register, now }: Services,
  { page, sort = "place", down, ...narrowed }: ValveListAsk,
  window: Window = pageWindow(page),
): Rows<ValveRow> {
  return register.list({ ...narrowed, sort, down: down === "yes", ...window, now: now() });
}

/** Jobs as a list asks for them: the newest first unless it says otherwise. */
export function listJobs(
  { summaries }: Services,
  { page, sort, down, state, ...narrowed }: JobListAsk,
  window: Window = pageWindow(page),
): Rows<JobSummary> {
  return summaries.list({
    ...narrowed,
    ...(state !== undefined && { status: state }),
    sort: sort ?? "opened",
    down: sort === undefined ? true : down === "yes",
    ...window,
  });
}

/** How many valves there are in each state that somebody should look at. */
export function valveCounts({ register, now }: Services): Record<ValveState, number> {
  return register.counts(now());
}
