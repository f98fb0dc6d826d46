import { getTableColumns, sql } from "drizzle-orm";
import type { SQLiteColumn, SQLiteTable } from "drizzle-orm/sqlite-core";
import type { Db } from "./database";

/** The name a column has in the database. */
const snake = (name: string) => name.replaceAll(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);

/** Writes whole rows into a table: what it reads of the statement it reads once, not with every row. */
interface RowWriter<Table extends SQLiteTable> {
  readonly run: (row: Table["$inferSelect"]) => unknown;
}

const wholeRow = <Table extends SQLiteTable>(db: Db, table: Table, names: readonly string[]) =>
  db.insert(table).values(Object.fromEntries(names.map((name) => [name, sql.placeholder(name)])) as never);

/** Adds rows; one whose key is there already is refused. */
export const insertion = <Table extends SQLiteTable>(db: Db, table: Table): RowWriter<Table> =>
  wholeRow(db, table, Object.keys(getTableColumns(table))).prepare();

/** Writes rows over those with the same key, where there are any. */
export function upsert<Table extends SQLiteTable>(
  db: Db,
  table: Table,
  key: SQLiteColumn | SQLiteColumn[],
): RowWriter<Table> {
  const names = Object.keys(getTableColumns(table));
  return wholeRow(db, table, names)
    .onConflictDoUpdate({
      target: key,
      set: Object.fromEntries(names.map((name) => [name, sql.raw(`excluded.${snake(name)}`)])) as never,
    })
    .prepare();
}
