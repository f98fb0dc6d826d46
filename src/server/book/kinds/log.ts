import type { StoredReading } from "@/data";
import { keepValve } from "../../register/keep-valve";
import type { BroughtJob } from "../brought-job";
import type { Kind } from "../kind";

/** What a removed job's log is anchored as: nothing is left of it, and that is known. */
const REMOVED = "removed";

/** By what a reading is found: its valve, its quantity, its time. */
export const readingKey = ({ valve, what, at }: StoredReading) =>
  `${valve} ${what} ${new Date(at).toISOString()}`;

/** A reading that a file brought. */
export const READING: Kind<StoredReading> = {
  find({ library }, key) {
    const [valve = "", what, at = ""] = key.split(" ");
    return library.readings(valve).find((each) => each.what === what && each.at === Date.parse(at));
  },
  keep({ library }, reading, ledger) {
    library.saveReadings([reading]);
    ledger.readings(reading.valve);
  },
  remove({ library }, _, ledger, reading) {
    library.removeReadingLike(reading);
    ledger.readings(reading.valve);
  },
  whole: true,
};

/** A job that a file brought: its log comes in with the import, and only with it. */
export const JOB: Kind<BroughtJob> = {
  find({ jobs, summaries }, id) {
    return jobs.has(id) ? { entries: summaries.of(id)?.entries ?? 0 } : undefined;
  },
  keep(_, job) {
    throw new Error(`a log comes in with its file: ${job.entries} entries`);
  },
  remove(services, id, ledger, { valveBefore }) {
    const { library, jobs, summaries, find } = services;
    if (valveBefore !== undefined) {
      keepValve(services, valveBefore);
      library.removeReadingsOfJob(id);
      ledger.readings(valveBefore.tag);
    }
    summaries.remove(id);
    find.remove("job", id);
    jobs.remove(id);
    services.inHand.forget();
    ledger.job(id, 0, REMOVED);
  },
  whole: true,
};
