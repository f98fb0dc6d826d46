import { and, asc, eq } from "drizzle-orm";
import type { Db } from "./database";
import { photoPieces } from "./schema";

/** What has arrived of photographs that come in pieces. */
export function photoPieceRepository(db: Db) {
  const of = (job: string, photo: string) => and(eq(photoPieces.job, job), eq(photoPieces.photo, photo));
  const pieces = (job: string, photo: string) =>
    db.select().from(photoPieces).where(of(job, photo)).orderBy(asc(photoPieces.from)).all();
  return {
    /** The bytes that are there, from the first on. */
    have: (job: string, photo: string): Buffer => Buffer.concat(pieces(job, photo).map(({ bytes }) => bytes)),
    add(job: string, photo: string, from: number, bytes: Buffer): void {
      db.insert(photoPieces).values({ job, photo, from, bytes }).run();
    },
    drop(job: string, photo: string): void {
      db.delete(photoPieces).where(of(job, photo)).run();
    },
  };
}
