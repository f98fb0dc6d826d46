import { existsSync, mkdirSync, readFileSync } from "node:fs";
import { dirname, join } from "node:path";
import Database from "better-sqlite3";
import { type BetterSQLite3Database, drizzle } from "drizzle-orm/better-sqlite3";
import { migrate } from "drizzle-orm/better-sqlite3/migrator";
import * as schema from "./schema";

export type Db = BetterSQLite3Database<typeof schema> & { readonly $client: Database.Database };

const MIGRATIONS = join(process.cwd(), "src", "data", "migrations");

/** Migrations this program knows. */
export const MIGRATION_COUNT: number = JSON.parse(
  readFileSync(join(MIGRATIONS, "meta", "_journal.json"), "utf8"),
).entries.length;

/**
 * Opens a database file only to look into it. What a process that was killed left half done is taken back first, which
 * SQLite does for whoever may write.
 */
export function openToLook(path: string): Database.Database {
  const look = new Database(path, { readonly: true, fileMustExist: true });
  try {
    look.prepare("select 1 from sqlite_master").get();
    return look;
  } catch (thrown) {
    look.close();
    const { code } = (thrown ?? {}) as { code?: string };
    if (code?.startsWith("SQLITE_READONLY") !== true) throw thrown;
    const takeBack = new Database(path, { fileMustExist: true });
    try {
      takeBack.prepare("select 1 from sqlite_master").get();
    } finally {
      takeBack.close();
    }
    return new Database(path, { readonly: true, fileMustExist: true });
  }
}

/** Migrations a database file has had; none when there is no file. */
export function migrationsIn(path: string): number {
  if (!existsSync(path)) return 0;
  const connection = openToLook(path);
  try {
    const had = connection.prepare("select 1 from sqlite_master where name = '__drizzle_migrations'").get();
    if (had === undefined) return 0;
    return (
      connection.prepare("select count(*) as count from __drizzle_migrations").get() as { count: number }
    ).count;
  } finally {
    connection.close();
  }
}

/** Looks through the pages of a database file: what is damaged is known before anybody works on it. */
export function throwIfDamaged(path: string): void {
  const connection = openToLook(path);
  try {
    const [found] = connection.prepare("pragma quick_check(1)").pluck().all();
    if (found !== "ok") throw Object.assign(new Error(String(found)), { code: "SQLITE_CORRUPT" });
  } finally {
    connection.close();
  }
}

/** Opens a database file that another process writes: to read only. */
export function openToRead(path: string): Db {
  const connection = new Database(path, { readonly: true, fileMustExist: true });
  connection.pragma("busy_timeout = 5000");
  return drizzle(connection, { schema, casing: "snake_case" });
}

/**
 * Opens a database file (or ":memory:", or the bytes of a database, in memory) with every migration applied. Write-ahead log and full synchronous writes:
 * once a write is acknowledged it survives a killed process and a lost supply.
 */
export function openDatabase(path: string | Buffer): Db {
  if (typeof path === "string" && path !== ":memory:") mkdirSync(dirname(path), { recursive: true });
  const connection = new Database(path);
  connection.pragma("journal_mode = WAL");
  connection.pragma("synchronous = FULL");
  connection.pragma("foreign_keys = ON");
  connection.pragma("busy_timeout = 5000");
  const db = drizzle(connection, { schema, casing: "snake_case" });
  migrate(db, { migrationsFolder: MIGRATIONS });
  return db;
}
