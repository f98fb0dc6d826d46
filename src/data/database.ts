import { mkdirSync } from "node:fs";
import { dirname, join } from "node:path";
import Database from "better-sqlite3";
import { type BetterSQLite3Database, drizzle } from "drizzle-orm/better-sqlite3";
import { migrate } from "drizzle-orm/better-sqlite3/migrator";
import * as schema from "./schema";

export type Db = BetterSQLite3Database<typeof schema>;

const MIGRATIONS = join(process.cwd(), "src", "data", "migrations");

/**
 * Opens a database file (or ":memory:") with every migration applied. Write-ahead log and full synchronous writes:
 * once a write is acknowledged it survives a killed process and a lost supply.
 */
export function openDatabase(path: string): Db {
  if (path !== ":memory:") mkdirSync(dirname(path), { recursive: true });
  const connection = new Database(path);
  connection.pragma("journal_mode = WAL");
  connection.pragma("synchronous = FULL");
  connection.pragma("foreign_keys = ON");
  connection.pragma("busy_timeout = 5000");
  const db = drizzle(connection, { schema, casing: "snake_case" });
  migrate(db, { migrationsFolder: MIGRATIONS });
  return db;
}
