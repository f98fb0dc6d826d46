import { setImmediate } from "node:timers/promises";
import { sql } from "drizzle-orm";
import { toldTo } from "../drawing/told";
import { storageFault } from "../faults/storage-fault";
import { forget, type Services } from "../services";
import { type Doubt, doubts } from "./verify";

/** What the watch has found so far. */
export interface Watched {
  readonly doubts: readonly Doubt[];
  /** Whether everything has been looked at since the file was last written by somebody else. */
  readonly whole: boolean;
}

interface Watch {
  version: number;
  found: Doubt[];
  whole: boolean;
}

const WATCH = "watch";
const watchOf = ({ kept }: Services) => kept.get(WATCH) as Watch | undefined;

/** A number of SQLite's that moves whenever another connection has written to the file. */
const fileVersion = ({ db }: Services): number =>
  db.get<{ data_version: number }>(sql`pragma data_version`)?.data_version ?? 0;

/**
 * What is known to be wrong with what is stored. Everything is verified once after the start, and again whenever
 * somebody else has written to the file; that goes on beside the serving, a log at a time. A process that only draws is told.
 */
export function watched(services: Services): Watched {
  const told = toldTo(services);
  if (told !== undefined) return told.watched;
  const version = fileVersion(services);
  const known = watchOf(services);
  if (known !== undefined && known.version === version) return { doubts: known.found, whole: known.whole };
  const watch: Watch = { version, found: known?.found ?? [], whole: false };
  services.kept.set(WATCH, watch);
  forget(services);
  void walk(services, watch);
  return { doubts: watch.found, whole: false };
}

/** What cannot even be read is in doubt, too: it must not end the server that says so. */
function nextStep(steps: ReturnType<typeof doubts>): IteratorResult<Doubt | undefined, void> {
  try {
    return steps.next();
  } catch (thrown) {
    const message =
      storageFault(thrown)?.message ??
      `Not everything could be verified: ${thrown instanceof Error ? thrown.message : thrown}`;
    // A generator that threw is through: the next step ends the walk.
    return { done: false, value: { subject: "anchors", id: "", message } };
  }
}

async function walk(services: Services, watch: Watch): Promise<void> {
  const found: Doubt[] = [];
  const steps = doubts(services);
  for (;;) {
    const step = nextStep(steps);
    if (step.done) break;
    if (step.value !== undefined) found.push(step.value);
    await setImmediate();
    // Written to again meanwhile: the walk that began then goes on. Or the database is closed: there is nothing to walk.
    if (watchOf(services) !== watch || !services.db.$client.open) return;
  }
  const news = found.length !== watch.found.length;
  watch.found = found;
  watch.whole = true;
  if (news) services.live.changed();
}
