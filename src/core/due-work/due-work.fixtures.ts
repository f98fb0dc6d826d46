import type { DueWork } from "./work-of";

/** An hour's work that shuts two valves of the street and takes a hydrant out. */
export const streetWork: DueWork = {
  minutes: 85,
  stretches: [{ work_min: 60 }],
  shut_min: 15,
  restore_min: 10,
  shuts: ["V-12", "V-15"],
  impairs: ["NQ-H07"],
  lost: ["Hydrant on the slip"],
  needs: [],
  people: 1,
  harmed: "fire",
  bring: { kits: [], missing: [], supplies: [], tools: [], gear: [], locks: 2, tell: [] },
};
