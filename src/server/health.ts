import { sql } from "drizzle-orm";
import { listBackups } from "./backup/backups";
import { dailyFault } from "./backup/schedule";
import { type Fault, faultsNow, isClockBehind } from "./faults/running";
import { storageFault } from "./faults/storage-fault";
import { watched } from "./proof/watch";
import { clockAheadMinutes, folders, isDemo, type Services } from "./services";

export type Health =
  | {
      readonly ok: true;
      readonly mode: "demo" | "own";
      readonly journal: string;
      readonly at: number;
      readonly clockAheadMinutes: number;
      /** Logs and lists of readings that are not as they were acknowledged. */
      readonly doubts: number;
      readonly verified: boolean;
      /** The server's clock shows less than the newest entry it stored. */
      readonly clockBehind: boolean;
      /** When the newest backup was made, and why the last one of the day was not. */
      readonly newestBackup: string | null;
      readonly backupFault: string | null;
      /** What is wrong though it serves, in words, with the way out. */
      readonly faults: readonly Fault[];
    }
  | { readonly ok: false; readonly message: string };

/** Whether the database can be read and written; the clock is told because waits are counted by it. */
export function health(services: Services): Health {
  const { db, live, now } = services;
  try {
    const row = db.get<{ journal_mode: string }>(sql`pragma journal_mode`);
    // After a fault a page is really written: a disk that is still full says so here, not at the next entry.
    if (live.fault !== undefined) {
      db.run(sql`pragma user_version = 0`);
      live.failing(undefined);
    }
    const seen = watched(services);
    return {
      ok: true,
      mode: isDemo() ? "demo" : "own",
      journal: row?.journal_mode ?? "",
      at: now(),
      clockAheadMinutes: clockAheadMinutes(),
      doubts: seen.doubts.length,
      verified: seen.whole,
      newestBackup: listBackups(folders())[0]?.made ?? null,
      backupFault: dailyFault(folders()) ?? null,
      clockBehind: isClockBehind(services),
      faults: faultsNow(services),
    };
  } catch (thrown) {
    const message =
      storageFault(thrown)?.message ?? (thrown instanceof Error ? thrown.message : String(thrown));
    return { ok: false, message };
  }
}
