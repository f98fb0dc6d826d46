import { type Bell, inRingingOrder, jobBells, valveBell } from "@/core/job";
import { jobAt } from "../jobs/append-events";
import type { Services } from "../services";

/** Everything that rings, nearest first: open jobs, then what is due by the calendar. */
export function bells({ jobs, library, now }: Services): Bell[] {
  const open = jobs.open();
  const atWork = new Set(open.map((job) => job.inputs.valve.tag));
  const fromJobs = open.flatMap((job) => {
    const at = jobAt(job);
    return at.ok ? jobBells(at.value) : [];
  });
  const sheets = new Map(library.sheets().map((sheet) => [sheet.id, sheet]));
  const fromValves = library.valves().flatMap((valve) => {
    const sheet = sheets.get(valve.sheet);
    // A valve that is being worked on does not ring as due as well.
    if (sheet === undefined || atWork.has(valve.tag)) return [];
    const bell = valveBell(valve, sheet, now());
    return bell === undefined ? [] : [bell];
  });
  return inRingingOrder([...fromJobs, ...fromValves]);
}
