import { existsSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { MIGRATION_COUNT, migrationsIn } from "@/data";
import type { Services } from "../services";
import { DATABASE, type Folders, listBackups, makeBackup } from "./backups";

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
/** The clock of a server is set, and a summer time comes: a day is a day within so much. */
const ABOUT_MS = HOUR_MS / 2;

/**
 * Before a newer program changes the database it is backed up. @returns why it may not be changed; nothing when it may
 */
export async function backUpBeforeUpdate(folders: Folders, now: number): Promise<string | undefined> {
  const path = join(folders.data, DATABASE);
  if (!existsSync(path)) return undefined;
  let step: number;
  try {
    step = migrationsIn(path);
  } catch {
    // It cannot be read: whoever opens it says so, and how to go on.
    return undefined;
  }
  if (step === 0 || step >= MIGRATION_COUNT) return undefined;
  const made = await makeBackup(folders, "before-update", now);
  return made.ok
    ? undefined
    : `This Loft Bell is newer than its data, and the data is backed up before it is brought up. ${made.error} Nothing was changed.`;
}

/** Why the last backup of the day was not made; nothing when it was. Every process of this folder can ask. */
export function dailyFault({ data }: Pick<Folders, "data">): string | undefined {
  const path = join(data, FAULT);
  return existsSync(path) ? readFileSync(path, "utf8").trim() : undefined;
}
const FAULT = "backup-failed.txt";

/** Whether it is time for the backup of the day. */
export const isBackupDue = (folders: Folders, now: number): boolean => {
  const last = listBackups(folders).find(({ why }) => why === "daily");
  return last === undefined || now - Date.parse(last.made) >= DAY_MS - ABOUT_MS;
};

/** Makes a backup a day, as long as this process serves. */
export function backUpDaily({ now: clock }: Pick<Services, "now">, folders: Folders): () => void {
  const look = async () => {
    const now = clock();
    if (!isBackupDue(folders, now)) return;
    const made = await makeBackup(folders, "daily", now);
    if (made.ok) return rmSync(join(folders.data, FAULT), { force: true });
    console.error(made.error);
    writeFileSync(join(folders.data, FAULT), `${made.error}\n`);
  };
  // A fault of the disk must not end the server that tells of it.
  const safely = () => void look().catch((thrown) => console.error(thrown));
  safely();
  const timer = setInterval(safely, HOUR_MS);
  timer.unref();
  return () => clearInterval(timer);
}
