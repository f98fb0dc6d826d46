import { asc, count, desc, eq, isNull } from "drizzle-orm";
import type { Db } from "./database";
import { insertion } from "./row-writer";
import { importChanges, imports } from "./schema";

export type StoredImport = typeof imports.$inferSelect;
export type ImportChange = typeof importChanges.$inferSelect;

export function importRepository(db: Db) {
  const addChange = insertion(db, importChanges);
  return {
    add(entry: StoredImport, changes: readonly Omit<ImportChange, "import" | "seq">[]): void {
      db.insert(imports).values(entry).run();
      for (const [seq, change] of changes.entries()) addChange.run({ import: entry.id, seq, ...change });
    },
    find: (id: string): StoredImport | undefined => db.select().from(imports).where(eq(imports.id, id)).get(),
    changes: (id: string): ImportChange[] =>
      db
        .select()
        .from(importChanges)
        .where(eq(importChanges.import, id))
        .orderBy(asc(importChanges.seq))
        .all(),
    changeCount: (id: string): number =>
      db.select({ total: count() }).from(importChanges).where(eq(importChanges.import, id)).get()?.total ?? 0,
    /** The newest first. */
    recent: (most: number): StoredImport[] =>
      db.select().from(imports).orderBy(desc(imports.at)).limit(most).all(),
    newestStanding: (): StoredImport | undefined =>
      db.select().from(imports).where(isNull(imports.undoneAt)).orderBy(desc(imports.at)).limit(1).get(),
    undone(id: string, at: number): void {
      db.update(imports).set({ undoneAt: at }).where(eq(imports.id, id)).run();
    },
  };
}
export type ImportRepository = ReturnType<typeof importRepository>;
