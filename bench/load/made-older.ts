import { cpSync, mkdtempSync, readFileSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Database from "better-sqlite3";
import { drizzle } from "drizzle-orm/better-sqlite3";
import { migrate } from "drizzle-orm/better-sqlite3/migrator";

const MIGRATIONS = join(process.cwd(), "src", "data", "migrations");

/** The steps of the version before, whichever that is. */
function stepsBefore(): string {
  const folder = mkdtempSync(join(tmpdir(), "loftbell-steps-"));
  cpSync(MIGRATIONS, folder, { recursive: true });
  const path = join(folder, "meta", "_journal.json");
  const journal = JSON.parse(readFileSync(path, "utf8")) as { entries: unknown[] };
  writeFileSync(path, JSON.stringify({ ...journal, entries: journal.entries.slice(0, -1) }));
  return folder;
}
let steps: string | undefined;

/** Sets a database file back by one step: what it would be had the version before written it. */
export function makeOlder(path: string): void {
  steps ??= stepsBefore();
  const older = `${path}.older`;
  const db = new Database(older);
  migrate(drizzle(db), { migrationsFolder: steps });
  db.pragma("foreign_keys = OFF");
  db.prepare("attach ? as newer").run(path);
  // The index of words fills itself, by the triggers of what it is of.
  const tables = db
    .prepare(
      "select name from main.sqlite_master where type = 'table' and substr(name, 1, 5) not in ('find_', 'sqlit', '__dri')",
    )
    .pluck()
    .all() as string[];
  db.transaction(() => {
    for (const table of tables) {
      const columns = (db.pragma(`main.table_info("${table}")`) as { name: string }[])
        .map(({ name }) => `"${name}"`)
        .join(", ");
      db.exec(`insert into main."${table}" (${columns}) select ${columns} from newer."${table}"`);
    }
  })();
  db.close();
  for (const end of ["", "-wal", "-shm"]) rmSync(`${path}${end}`, { force: true });
  renameSync(older, path);
}
