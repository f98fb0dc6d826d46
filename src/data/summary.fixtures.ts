import type { JobSummary } from ".";

/** The summary of an open job, with what a test is about. */
export const jobSummary = (more: Partial<JobSummary> & Pick<JobSummary, "job" | "valve">): JobSummary => ({
  place: "North quay",
  sheet: "brae-quaywall-4",
  sheetTitle: "Quaywall hydrant",
  says: "Weeps when shut",
  openedAt: Date.parse("2027-03-01T09:00:00Z"),
  openedBy: "Tam Arkle",
  closedAt: null,
  status: "at-work",
  origin: "here",
  because: null,
  phase: "isolate",
  step: "Shut V-12",
  afterwards: "Prove zero",
  done: 3,
  steps: 40,
  minutesLeft: 90,
  entries: 3,
  bells: [],
  held: [],
  lost: [],
  takes: [],
  worked: null,
  made: 1,
  ...more,
});
