import { copyFileSync, existsSync, mkdirSync, renameSync, rmSync } from "node:fs";
import { join } from "node:path";
import Database from "better-sqlite3";
import type { Backup } from "@/core/formats";
import { err, ok, type Result } from "@/core/result";
import { ACCESS_TABLES, MIGRATION_COUNT, openDatabase } from "@/data";
import { DamagedFile } from "../faults/start-fault";
import { installationIn, KEY_FILE } from "../proof/installation";
import { DATABASE, type Folders, faultOfBackup, folderOf, lookInto, makeBackup } from "./backups";

/** What is there now and not in a backup. */
export type Lost =
  | { readonly kind: "known"; readonly counts: Readonly<Record<keyof Backup["counts"], number>> }
  /** What is there now cannot be read. */
  | { readonly kind: "unreadable"; readonly why: string };

/** What putting a backup back would lose: what came since. */
export function lostBy(folders: Folders, backup: Backup): Lost {
  const now = lookInto(join(folders.data, DATABASE));
  if (!now.ok) return { kind: "unreadable", why: now.error };
  const keys = Object.keys(backup.counts) as (keyof Backup["counts"])[];
  return {
    kind: "known",
    counts: Object.fromEntries(
      keys.map((key) => [key, Math.max(0, now.value.counts[key] - backup.counts[key])]),
    ) as Record<keyof Backup["counts"], number>,
  };
}

export interface Restored {
  readonly backup: Backup;
  /** Where what was there before lies now: a backup of it, or, where it could not be read, its files as they were. */
  readonly before: string;
}

/**
 * Puts a backup back. What is there now is backed up first; where it is damaged its files are laid aside as they are.
 * Nothing is overwritten that is not kept. The new content comes in by one transaction of SQLite's: a process that is
 * killed on the way leaves the old or the new, never half of each.
 */
export async function restore(
  folders: Folders,
  backup: Backup,
  now: number,
): Promise<Result<Restored, string>> {
  const fault = await faultOfBackup(folders, backup);
  if (fault !== undefined) return err(`${backup.id} is no good. ${fault} Choose another one.`);
  if (backup.step > MIGRATION_COUNT)
    return err(`${backup.id} was made by a newer Loft Bell. Start the newer one, and put it back there.`);
  const ready = join(folders.data, "restoring.db");
  for (const end of ["", "-wal", "-shm", "-journal"]) rmSync(`${ready}${end}`, { force: true });
  try {
    copyFileSync(join(folderOf(folders, backup.id), DATABASE), ready);
    // Brought up to what this program knows, beside the data that is in use.
    openDatabase(ready).$client.close();
    const path = join(folders.data, DATABASE);
    const whole = existsSync(path) && lookInto(path).ok;
    keepAccess(ready, whole ? path : undefined);
    const before = whole
      ? await makeBackup(folders, "before-restore", now)
      : ok({ id: laidAside(folders, now) });
    if (!before.ok) return err(`${before.error} Nothing was put back.`);
    await copyInto(ready, path);
    const key = join(folderOf(folders, backup.id), KEY_FILE);
    if (existsSync(key) && !holdsKey(folders.data, backup.publicKey))
      copyFileSync(key, join(folders.data, KEY_FILE));
    // The chain ends earlier than it did: it is known to, from here on.
    installationIn(folders.data).remember(backup.newest);
    return ok({ backup, before: before.value.id });
  } finally {
    for (const end of ["", "-wal", "-shm", "-journal"]) rmSync(`${ready}${end}`, { force: true });
  }
}

/** One that is gone or cannot be read is no key at all: that of the backup takes its place. */
function holdsKey(data: string, publicKey: string): boolean {
  try {
    return installationIn(data).publicKey === publicKey;
  } catch (thrown) {
    if (thrown instanceof DamagedFile) return false;
    throw thrown;
  }
}

/**
 * Who may come in stays as it is: an old backup brings back neither a password nor a session that was ended. Where that
 * cannot be read any more it is as it was then, and everybody signs in anew.
 */
function keepAccess(ready: string, now: string | undefined): void {
  const connection = new Database(ready);
  try {
    if (now !== undefined) connection.prepare("attach ? as present").run(now);
    const there = (table: string) =>
      now !== undefined &&
      connection.prepare("select 1 from present.sqlite_master where name = ?").get(table) !== undefined;
    connection.transaction(() => {
      for (const table of ACCESS_TABLES)
        if (there(table)) {
          connection.exec(`delete from main.${table}`);
          connection.exec(`insert into main.${table} select * from present.${table}`);
        } else if (PASSING.has(table)) connection.exec(`delete from main.${table}`);
    })();
  } finally {
    connection.close();
  }
}

/** What lets in by having been let in before. */
const PASSING: ReadonlySet<string> = new Set(["sessions", "pins"]);

/** SQLite writes the pages of one database over those of another, in one transaction. */
async function copyInto(from: string, to: string): Promise<void> {
  const source = new Database(from, { readonly: true, fileMustExist: true });
  try {
    await source.backup(to);
  } finally {
    source.close();
  }
}

/** What cannot be read is kept as it is: somebody may still get something out of it. */
function laidAside({ data }: Folders, now: number): string {
  const name = `damaged-${new Date(now).toISOString().replaceAll(/[:.]/g, "")}`;
  const aside = join(data, name);
  mkdirSync(aside, { recursive: true });
  for (const end of ["", "-wal", "-shm"]) {
    const path = join(data, `${DATABASE}${end}`);
    if (existsSync(path)) renameSync(path, join(aside, `${DATABASE}${end}`));
  }
  return name;
}
