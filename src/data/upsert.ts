import { getTableColumns, sql } from "drizzle-orm";
import type { SQLiteColumn, SQLiteTable } from "drizzle-orm/sqlite-core";
import type { Db } from "./database";

/** The name a column has in the database. */
const snake = (name: string) => name.replaceAll(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);

/** Writes a whole row, over the one with the same key if there is one; read once by the database, not with every row. */
export function upsert<Table extends SQLiteTable>(db: Db, table: Table, key: SQLiteColumn) {
  const names = Object.keys(getTableColumns(table));
  const statement = db
    .insert(table)
    .values(Object.fromEntries(names.map((name) => [name, sql.placeholder(name)])) as never)
    .onConflictDoUpdate({
      target: key,
      set: Object.fromEntries(names.map((name) => [name, sql.raw(`excluded.${snake(name)}`)])) as never,
    })
    .prepare();
  return { run: (row: Table["$inferSelect"]): unknown => statement.run(row) };
}
