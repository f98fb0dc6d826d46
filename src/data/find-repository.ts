import { sql } from "drizzle-orm";
import type { Db } from "./database";
import { fullText } from "./register-repository";
import { findables } from "./schema";
import type { FindableKind } from "./stored";

/** One thing that find can lead to. */
export interface Findable {
  readonly kind: FindableKind;
  /** The id of what it belongs to: all of an owner's are written anew together. */
  readonly owner: string;
  readonly name: string;
  readonly says: string;
  readonly href: string;
  /** Words it is found by that are not shown. */
  readonly words?: string;
}

export interface Found {
  readonly kind: FindableKind;
  readonly owner: string;
  readonly name: string;
  readonly says: string;
  readonly href: string;
}

/** Rows that are looked at before the best are chosen: enough to rank, few enough for every keystroke. */
const LOOKED_AT = 200;
/** Terms of the index that are compared with a mistyped word. */
const MOST_TERMS = 6000;
/** A shorter word has too many that are one letter away. */
const SHORTEST_MENDED = 4;

const words = (text: string) => (text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []).join(" ");
const backward = (text: string) =>
  words(text)
    .split(" ")
    .map((word) => [...word].reverse().join(""))
    .join(" ");

export function findRepository(db: Db) {
  // A town's main has tens of thousands of links: what is done for each is prepared once.
  const insertFindable = db.$client.prepare(
    "insert into findables (kind, owner, name, says, href) values (?, ?, ?, ?, ?)",
  );
  const insertWords = db.$client.prepare("insert into find_words (rowid, head, tail) values (?, ?, ?)");
  const removeWords = db.$client.prepare(
    "delete from find_words where rowid in (select id from findables where kind = ? and owner = ?)",
  );
  const removeFindables = db.$client.prepare("delete from findables where kind = ? and owner = ?");
  const remove = (kind: FindableKind, owner: string) => {
    removeWords.run(kind, owner);
    removeFindables.run(kind, owner);
  };
  const anyOf = db.$client.prepare("select 1 from findables where kind = ? and owner = ? limit 1");
  const terms = (column: "head" | "tail", from: string): string[] =>
    db
      .all<{ term: string }>(
        sql`select distinct term from find_terms where col = ${column} and term >= ${from} and term < ${`${from}\u{10ffff}`} limit ${MOST_TERMS}`,
      )
      .map((row) => row.term);
  return {
    /** Writes all that belongs to one owner; what it had before is gone. */
    put(kind: FindableKind, owner: string, entries: readonly Omit<Findable, "kind" | "owner">[]): void {
      remove(kind, owner);
      for (const { name, says, href, words: more = "" } of entries) {
        const { lastInsertRowid } = insertFindable.run(kind, owner, name, says, href);
        const head = words(`${name} ${says} ${more}`);
        insertWords.run(lastInsertRowid, head, backward(`${name} ${more}`));
      }
    },
    has: (kind: FindableKind, owner: string): boolean => anyOf.get(kind, owner) !== undefined,
    remove,
    clear(): void {
      db.run(sql`delete from find_words`);
      db.delete(findables).run();
    },
    isEmpty: (): boolean => db.select({ id: findables.id }).from(findables).limit(1).get() === undefined,
    /** What has every word of the text, each as the beginning of one of its own. */
    beginning(typed: string): Found[] {
      const match = fullText(typed);
      if (match === undefined) return [];
      return db.all<Found>(
        sql`select kind, owner, name, says, href from findables where id in (select rowid from find_words where head match ${match} limit ${LOOKED_AT})`,
      );
    },
    /** Words of the index one slip away from this one: a letter too many, missing, wrong, or two changed about. */
    near(word: string, isNear: (term: string) => boolean): string[] {
      if (word.length < SHORTEST_MENDED) return [];
      const half = Math.floor(word.length / 2);
      const fromFront = terms("head", word.slice(0, half));
      const fromBack = terms("tail", [...word.slice(-half)].reverse().join("")).map((term) =>
        [...term].reverse().join(""),
      );
      return [...new Set([...fromFront, ...fromBack])].filter(isNear);
    },
  };
}
export type FindRepository = ReturnType<typeof findRepository>;
