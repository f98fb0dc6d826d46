import { eq } from "drizzle-orm";
import type { Db } from "./database";
import { documents } from "./schema";

/** Documents are read for every job; the same object is given again, so that what was worked out of it stays known. */
const MOST_KEPT = 128;

export function documentStore(db: Db) {
  const kept = new Map<string, unknown>();
  const keep = (hash: string, document: unknown) => {
    if (kept.size >= MOST_KEPT) kept.delete(kept.keys().next().value!);
    kept.set(hash, document);
  };
  return {
    put(hash: string, document: unknown): void {
      db.insert(documents).values({ hash, document }).onConflictDoNothing().run();
    },
    /** The document of this hash; a database that names one it does not have is damaged. */
    get(hash: string): unknown {
      const known = kept.get(hash);
      if (known !== undefined) return known;
      const found = db.select().from(documents).where(eq(documents.hash, hash)).get()?.document;
      if (found === undefined) throw new Error(`document ${hash} is missing from the database`);
      keep(hash, found);
      return found;
    },
    forget: () => kept.clear(),
  };
}
