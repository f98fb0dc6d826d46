import { createHash, randomUUID } from "node:crypto";
import {
  closeSync,
  copyFileSync,
  createReadStream,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from "node:fs";
import { join } from "node:path";
import { pipeline } from "node:stream/promises";
import Database from "better-sqlite3";
import { type Backup, type BackupReason, BackupSchema, readAs, readJson } from "@/core/formats";
import { err, ok, type Result } from "@/core/result";
import { openToLook } from "@/data";
import { DamagedFile } from "../faults/start-fault";
import { installationIn, KEY_FILE } from "../proof/installation";
import { outlived } from "./rotation";

/** Where things lie: the data folder, and the folder of its backups, which may be on another disk. */
export interface Folders {
  readonly data: string;
  readonly backups: string;
}

export const DATABASE = "loftbell.db";
const MANIFEST = "backup.json";
/** A folder of this name is not whole yet, or not any more. */
const UNFINISHED = ".unfinished-";

export const folderOf = ({ backups }: Folders, id: string): string => join(backups, id);

/** Every backup that says of itself that it is one, the newest first. */
export function listBackups({ backups }: Pick<Folders, "backups">): Backup[] {
  return namesIn(backups)
    .flatMap((name) => {
      const path = join(backups, name, MANIFEST);
      if (name.startsWith(UNFINISHED) || !existsSync(path)) return [];
      const text = readJson(readFileSync(path, "utf8"));
      const read = text.ok ? readAs(BackupSchema, text.value) : text;
      return read.ok && read.value.id === name ? [read.value] : [];
    })
    .sort((a, b) => (a.made < b.made ? 1 : -1));
}

/** What lies in a folder; nothing where there is none, or none that can be read. */
function namesIn(folder: string): string[] {
  try {
    return readdirSync(folder);
  } catch {
    return [];
  }
}

const hashOf = async (path: string): Promise<string> => {
  const hash = createHash("sha256");
  await pipeline(createReadStream(path), hash);
  return hash.digest("hex");
};

const count = (db: Database.Database, table: string): number => {
  const there = db.prepare("select 1 from sqlite_master where type = 'table' and name = ?").get(table);
  return there === undefined ? 0 : (db.prepare(`select count(*) from ${table}`).pluck().get() as number);
};

/** What is in a database file, and whether SQLite finds it whole. */
export function lookInto(path: string): Result<Pick<Backup, "step" | "counts" | "newest">, string> {
  let db: Database.Database | undefined;
  if (existsSync(path) && statSync(path).size === 0) return err("It is empty.");
  try {
    db = openToLook(path);
    const found = db.prepare("pragma integrity_check").pluck().all() as string[];
    if (found[0] !== "ok") return err(`SQLite finds it damaged: ${found.slice(0, 3).join("; ")}.`);
    const newest =
      count(db, "anchors") === 0
        ? undefined
        : (db.prepare("select seq, hash from anchors order by seq desc limit 1").get() as {
            seq: number;
            hash: string;
          });
    return ok({
      step: count(db, "__drizzle_migrations"),
      ...(newest !== undefined && { newest }),
      counts: {
        valves: count(db, "valves") + count(db, "retired_valves"),
        jobs: count(db, "jobs"),
        entries: count(db, "job_events"),
        readings: count(db, "readings"),
        changes: count(db, "edits"),
        movements: count(db, "movements"),
        photographs: count(db, "photos") + count(db, "blobs"),
      },
    });
  } catch (thrown) {
    return err(`It cannot be read: ${thrown instanceof Error ? thrown.message : thrown}.`);
  } finally {
    db?.close();
  }
}

function toDisk(path: string): void {
  const file = openSync(path, "r");
  try {
    fsyncSync(file);
  } finally {
    closeSync(file);
  }
}

/**
 * Makes a backup while others read and write: SQLite copies its own pages, page by page, as they stand at one moment. It
 * is opened and looked through before it counts as one; what has outlived its use goes.
 *
 * @returns what is in it, or why there is none
 */
export async function makeBackup(
  folders: Folders,
  why: BackupReason,
  now: number,
): Promise<Result<Backup, string>> {
  const source = join(folders.data, DATABASE);
  if (!existsSync(source) || statSync(source).size === 0)
    return err(`There is no database in ${folders.data} yet: there is nothing to back up.`);
  const making = join(folders.backups, `${UNFINISHED}${randomUUID()}`);
  try {
    const { publicKey } = installationIn(folders.data);
    for (const name of namesIn(folders.backups))
      if (name.startsWith(UNFINISHED)) clearCutOff(join(folders.backups, name));
    mkdirSync(making, { recursive: true, mode: 0o700 });
    const copy = join(making, DATABASE);
    const live = openToLook(source);
    try {
      live.pragma("busy_timeout = 5000");
      await live.backup(copy);
    } finally {
      live.close();
    }
    standAlone(copy);
    const inside = lookInto(copy);
    if (!inside.ok) {
      rmSync(making, { recursive: true, force: true });
      return err(`The backup was made and is no good. ${inside.error} The one before it stays.`);
    }
    toDisk(copy);
    copyFileSync(join(folders.data, KEY_FILE), join(making, KEY_FILE));
    const sha256 = await hashOf(copy);
    // From here on nobody comes between: two that are made at once get two names.
    const id = freeId(folders, now, why);
    const backup: Backup = {
      format: "loftbell.backup",
      version: 1,
      id,
      made: new Date(now).toISOString(),
      why,
      publicKey,
      sha256,
      bytes: statSync(copy).size,
      ...inside.value,
    };
    writeFileSync(join(making, MANIFEST), `${JSON.stringify(backup, null, 2)}\n`);
    toDisk(join(making, MANIFEST));
    renameSync(making, folderOf(folders, id));
    for (const old of outlived(listBackups(folders))) removeBackup(folders, old);
    return ok(backup);
  } catch (thrown) {
    if (existsSync(making)) rmSync(making, { recursive: true, force: true });
    if (thrown instanceof DamagedFile) return err(thrown.message);
    const { code } = (thrown ?? {}) as { code?: string };
    if (code === "ENOSPC")
      return err("There is no room left where backups are kept. Make room, or name another place.");
    if (code !== undefined && CANNOT_WRITE.test(code))
      return err(
        `No backup was made: ${folders.backups} cannot be written (${code}). Give the server's user the right to write into it, or name another folder with LOFTBELL_BACKUPS.`,
      );
    return err(`No backup was made: ${thrown instanceof Error ? thrown.message : thrown}.`);
  }
}

/** What a system says of a folder that is none, or that one may not write into. */
const CANNOT_WRITE = /^E(ACCES|ROFS|PERM|NOTDIR|EXIST|NOENT)$/;

/** No backup takes so long: what is older was cut off. */
const HOUR_MS = 3_600_000;

/** Takes away what is left of a backup that was cut off; one that is being made elsewhere stays. */
function clearCutOff(path: string): void {
  // By the clock that files are dated by.
  if (existsSync(path) && Date.now() - statSync(path).mtimeMs > HOUR_MS)
    rmSync(path, { recursive: true, force: true });
}

/** The copy needs no write-ahead log beside it: it is one file. */
function standAlone(path: string): void {
  const copy = new Database(path);
  copy.pragma("journal_mode = DELETE");
  copy.close();
}

function freeId(folders: Folders, now: number, why: BackupReason): string {
  const stamp = new Date(now).toISOString().slice(0, "2026-11-30T02:45:00".length).replaceAll(":", "");
  const first = `${stamp}-${why}`;
  let id = first;
  for (let more = 2; existsSync(folderOf(folders, id)); more++) id = `${first}-${more}`;
  return id;
}

/** Taken away whole: first by name, so that half of it never passes for a backup. */
export function removeBackup(folders: Folders, id: string): void {
  const gone = join(folders.backups, `${UNFINISHED}${id}`);
  renameSync(folderOf(folders, id), gone);
  rmSync(gone, { recursive: true, force: true });
}

/** Whether a backup is still what it was when it was made. @returns what is wrong with it */
export async function faultOfBackup(folders: Folders, { id, sha256 }: Backup): Promise<string | undefined> {
  const path = join(folderOf(folders, id), DATABASE);
  if (!existsSync(path)) return "Its database is missing.";
  const inside = lookInto(path);
  if (!inside.ok) return inside.error;
  return (await hashOf(path)) === sha256 ? undefined : "It is not as it was when it was made.";
}

/** The newest backup that is whole. */
export async function newestGood(folders: Folders): Promise<Backup | undefined> {
  for (const backup of listBackups(folders))
    if ((await faultOfBackup(folders, backup)) === undefined) return backup;
  return undefined;
}
