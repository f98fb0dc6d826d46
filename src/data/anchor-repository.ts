import { and, asc, desc, eq, gt } from "drizzle-orm";
import type { Db } from "./database";
import { upsert } from "./row-writer";
import { anchors, heads } from "./schema";
import type { AnchoredHead } from "./stored";

export type Anchor = typeof anchors.$inferSelect;

export function anchorRepository(db: Db) {
  // Asked with every entry: read once by the database, not each time.
  const newest = db.select().from(anchors).orderBy(desc(anchors.seq)).limit(1).prepare();
  const putHead = upsert(db, heads, [heads.subject, heads.id]);
  return {
    last: (): Anchor | undefined => newest.get(),
    at: (seq: number): Anchor | undefined => db.select().from(anchors).where(eq(anchors.seq, seq)).get(),
    after: (seq: number, most: number): Anchor[] =>
      db.select().from(anchors).where(gt(anchors.seq, seq)).orderBy(asc(anchors.seq)).limit(most).all(),
    add(anchor: Anchor): void {
      db.insert(anchors).values(anchor).run();
      for (const head of anchor.heads) putHead.run({ ...head, anchor: anchor.seq });
    },
    head: (subject: AnchoredHead["subject"], id: string): (AnchoredHead & { anchor: number }) | undefined =>
      db
        .select()
        .from(heads)
        .where(and(eq(heads.subject, subject), eq(heads.id, id)))
        .get(),
    heads: (subject: AnchoredHead["subject"]): (AnchoredHead & { anchor: number })[] =>
      db.select().from(heads).where(eq(heads.subject, subject)).all(),
  };
}
export type AnchorRepository = ReturnType<typeof anchorRepository>;
