import { asc, desc, eq, isNull } from "drizzle-orm";
import type { Db } from "./database";
import { importChanges, imports } from "./schema";

export type ImportedKind = "sheet" | "line" | "store" | "valve" | "person" | "reading" | "job";

export type StoredImport = typeof imports.$inferSelect;
export type ImportChange = typeof importChanges.$inferSelect;

export function importRepository(db: Db) {
  return {
    add(entry: StoredImport, changes: readonly Omit<ImportChange, "import" | "seq">[]): void {
      db.insert(imports).values(entry).run();
      for (const [seq, change] of changes.entries())
        db.insert(importChanges)
          .values({ import: entry.id, seq, ...change })
          .run();
    },
    find: (id: string): StoredImport | undefined => db.select().from(imports).where(eq(imports.id, id)).get(),
    changes: (id: string): ImportChange[] =>
      db
        .select()
        .from(importChanges)
        .where(eq(importChanges.import, id))
        .orderBy(asc(importChanges.seq))
        .all(),
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
