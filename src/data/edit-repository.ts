import { and, asc, count, desc, eq, isNull, lt, type SQL, sql } from "drizzle-orm";
import type { ThingKind } from "@/core/formats";
import type { Db } from "./database";
import { insertion } from "./row-writer";
import { editChanges, edits } from "./schema";

export type StoredEdit = typeof edits.$inferSelect;
export type EditChange = typeof editChanges.$inferSelect;

/** An edit as a list shows it: how many things it changed, and the first of them. */
export interface ListedEdit extends StoredEdit {
  readonly changes: number;
}

export function editRepository(db: Db) {
  const addChange = insertion(db, editChanges);
  const listed = (wanted: SQL | undefined, most: number): ListedEdit[] =>
    db
      .select({
        id: edits.id,
        at: edits.at,
        by: edits.by,
        what: edits.what,
        undoneAt: edits.undoneAt,
        undoneBy: edits.undoneBy,
        changes: sql<number>`(select count(*) from edit_changes c where c.edit = edits.id)`,
      })
      .from(edits)
      .where(wanted)
      .orderBy(desc(edits.at), desc(sql`${edits}.rowid`))
      .limit(most)
      .all();
  return {
    add(entry: StoredEdit, changes: readonly Omit<EditChange, "edit" | "seq">[]): void {
      db.insert(edits).values(entry).run();
      for (const [seq, change] of changes.entries()) addChange.run({ edit: entry.id, seq, ...change });
    },
    /** All of them, the oldest first. */
    ids: (): string[] =>
      db
        .select({ id: edits.id })
        .from(edits)
        .orderBy(asc(edits.at), asc(sql`${edits}.rowid`))
        .all()
        .map(({ id }) => id),
    find: (id: string): StoredEdit | undefined => db.select().from(edits).where(eq(edits.id, id)).get(),
    changes: (id: string): EditChange[] =>
      db.select().from(editChanges).where(eq(editChanges.edit, id)).orderBy(asc(editChanges.seq)).all(),
    /** Of which kinds it changed something. */
    kindsOf: (id: string): ThingKind[] =>
      db
        .selectDistinct({ kind: editChanges.kind })
        .from(editChanges)
        .where(eq(editChanges.edit, id))
        .all()
        .map(({ kind }) => kind),
    changeCount: (id: string): number =>
      db.select({ total: count() }).from(editChanges).where(eq(editChanges.edit, id)).get()?.total ?? 0,
    /** The newest first; those before a moment, to page further back. */
    recent: (most: number, before?: number): ListedEdit[] =>
      listed(before === undefined ? undefined : lt(edits.at, before), most),
    /** Those that brought files in, the newest first. */
    imports: (most: number): ListedEdit[] => listed(sql`${edits.what} ->> '$.kind' = 'import'`, most),
    /** Those that changed one thing, the newest first. */
    ofThing: (kind: ThingKind, id: string, most: number): ListedEdit[] =>
      listed(
        sql`${edits.id} in (select ${editChanges.edit} from ${editChanges} where ${editChanges.kind} = ${kind} and ${editChanges.id} = ${id})`,
        most,
      ),
    /** What one edit did to one thing. */
    changeOf: (edit: string, kind: ThingKind, id: string): EditChange | undefined =>
      db
        .select()
        .from(editChanges)
        .where(and(eq(editChanges.edit, edit), eq(editChanges.kind, kind), eq(editChanges.id, id)))
        .get(),
    newestStanding: (): StoredEdit | undefined =>
      db.select().from(edits).where(isNull(edits.undoneAt)).orderBy(desc(edits.at)).limit(1).get(),
    undone(id: string, at: number, by: string): void {
      db.update(edits).set({ undoneAt: at, undoneBy: by }).where(eq(edits.id, id)).run();
    },
  };
}
export type EditRepository = ReturnType<typeof editRepository>;
