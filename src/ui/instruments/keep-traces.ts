import type { JobLog } from "../job/use-job-log";
import { instruments } from "./connected";

/** Keeps with the job what was recorded at a card. @param of one instrument alone */
export function keepTraces(log: JobLog, step: string, of?: string): void {
  for (const { trace, with: taken } of instruments.tracesOf(step))
    if (of === undefined || of === taken.serial)
      log.add({
        kind: "trace-kept",
        step,
        with: taken,
        dimension: trace.dimension,
        every_s: trace.every_s,
        from: new Date(trace.from).toISOString(),
        points: trace.points.map((point) => [...point]),
      });
}
