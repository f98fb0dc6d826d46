import type { JobStatus } from "@/core/formats";

export const STATUS_LABELS: Readonly<Record<JobStatus, string>> = {
  "at-work": "at work",
  stopped: "stopped",
  "signed-off": "signed off",
  "not-begun": "not begun",
  foreign: "foreign",
};
