import { oneOf } from "./shared";

/** How a valve stands, as a list tells it: late, due within a fortnight, being worked on, reported, none of these, or retired. */
export const VALVE_STATES = ["late", "due", "at-work", "reported", "quiet", "retired"] as const;
export type ValveState = (typeof VALVE_STATES)[number];

export const VALVE_SORTS = ["place", "tag", "name", "sheet", "due"] as const;
export type ValveSort = (typeof VALVE_SORTS)[number];

/** How a job stands. Foreign: a log from elsewhere that cannot be shown to have been possible; it closes nothing. */
export const JOB_STATES = ["at-work", "stopped", "signed-off", "not-begun", "foreign"] as const;
export type JobStatus = (typeof JOB_STATES)[number];

export const JOB_SORTS = ["opened", "valve", "place", "status", "left"] as const;
export type JobSort = (typeof JOB_SORTS)[number];

export const ValveStateSchema = oneOf(...VALVE_STATES);
export const ValveSortSchema = oneOf(...VALVE_SORTS);
export const JobStatusSchema = oneOf(...JOB_STATES);
export const JobSortSchema = oneOf(...JOB_SORTS);

/** Lists that are taken out whole; those with filters have routes of their own. */
export const PLAIN_LIST_NAMES = [
  "places.csv",
  "crew.csv",
  "instruments.csv",
  "readings.csv",
  "lines.csv",
  "sheets.csv",
  "orders.csv",
  "changes.csv",
] as const;
export type PlainListName = (typeof PLAIN_LIST_NAMES)[number];
