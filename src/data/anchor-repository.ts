import { and, asc, desc, eq, gt } from "drizzle-orm";
import type { Db } from "./database";
import { anchors, heads } from "./schema";

/** How a log, or the readings of a valve, stood when it was anchored. */
export interface AnchoredHead {
  readonly subject: "job" | "readings";
  readonly id: string;
  readonly entries: number;
  readonly head: string;
}

export type Anchor = typeof anchors.$inferSelect;

export function anchorRepository(db: Db) {
  return {
    last: (): Anchor | undefined => db.select().from(anchors).orderBy(desc(anchors.seq)).limit(1).get(),
    at: (seq: number): Anchor | undefined => db.select().from(anchors).where(eq(anchors.seq, seq)).get(),
    after: (seq: number, most: number): Anchor[] =>
      db.select().from(anchors).where(gt(anchors.seq, seq)).orderBy(asc(anchors.seq)).limit(most).all(),
    add(anchor: Anchor): void {
      db.insert(anchors).values(anchor).run();
      for (const head of anchor.heads) {
        const row = { ...head, anchor: anchor.seq };
        db.insert(heads)
          .values(row)
          .onConflictDoUpdate({ target: [heads.subject, heads.id], set: row })
          .run();
      }
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
