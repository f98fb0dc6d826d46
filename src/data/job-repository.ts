import { and, asc, desc, eq, gt, isNull, sql } from "drizzle-orm";
import type { JobInputs, SealedEvent } from "@/core/formats";
import type { Db } from "./database";
import { documentStore } from "./documents";
import type { JobOrigin } from "./job-summary";
import { insertion } from "./row-writer";
import { jobEvents, jobs, photoPieces, photos } from "./schema";
import { putTogether, takenApart } from "./stored-inputs";

export interface StoredJob {
  readonly inputs: JobInputs;
  readonly events: readonly SealedEvent[];
  readonly closedAt: number | undefined;
}

export interface StoredPhoto {
  readonly job: string;
  readonly id: string;
  readonly mime: string;
  readonly width: number;
  readonly height: number;
  readonly bytes: Buffer;
}

/** The last entry of a log. */
export interface LogHead {
  readonly entries: number;
  readonly hash: string;
}

export function jobRepository(db: Db) {
  const documents = documentStore(db);
  const eventsOf = (job: string, after = 0): SealedEvent[] =>
    db
      .select({ event: jobEvents.event, seal: jobEvents.seal })
      .from(jobEvents)
      .where(and(eq(jobEvents.job, job), gt(jobEvents.seq, after)))
      .orderBy(asc(jobEvents.seq))
      .all();
  // Asked with every entry: read once by the database, not each time.
  const headOf = db
    .select({ seal: jobEvents.seal })
    .from(jobEvents)
    .where(eq(jobEvents.job, sql.placeholder("job")))
    .orderBy(desc(jobEvents.seq))
    .limit(1)
    .prepare();
  const addEvent = insertion(db, jobEvents);
  const provenanceOf = db
    .select({ origin: jobs.origin, doubt: jobs.doubt })
    .from(jobs)
    .where(eq(jobs.id, sql.placeholder("id")))
    .prepare();
  const whole = (row: typeof jobs.$inferSelect): StoredJob => ({
    inputs: putTogether(row.inputs, documents.get),
    events: eventsOf(row.id),
    closedAt: row.closedAt ?? undefined,
  });
  return {
    find(id: string): StoredJob | undefined {
      const row = db.select().from(jobs).where(eq(jobs.id, id)).get();
      return row && whole(row);
    },
    /** Whether anybody of this name has signed an entry of any log. */
    hasEntriesBy: (name: string): boolean =>
      db.get(sql`select 1 as one from ${jobEvents} where ${jobEvents.event} ->> '$.by' = ${name} limit 1`) !==
      undefined,
    has: (id: string): boolean =>
      db.select({ id: jobs.id }).from(jobs).where(eq(jobs.id, id)).get() !== undefined,
    ids: (): string[] =>
      db
        .select({ id: jobs.id })
        .from(jobs)
        .orderBy(asc(jobs.openedAt))
        .all()
        .map(({ id }) => id),
    open: (): StoredJob[] =>
      db.select().from(jobs).where(isNull(jobs.closedAt)).orderBy(desc(jobs.openedAt)).all().map(whole),
    eventsAfter: eventsOf,
    /** The last entry, read without the log; nothing when there is none. */
    head(job: string): LogHead | undefined {
      const last = headOf.get({ job });
      return last && { entries: last.seal.seq, hash: last.seal.hash };
    },
    /** Where a log came from, and what speaks against it. */
    provenance(id: string): { readonly origin: JobOrigin; readonly doubt?: string } {
      const row = provenanceOf.get({ id });
      return { origin: row?.origin ?? "here", ...(row?.doubt && { doubt: row.doubt }) };
    },
    create(
      inputs: JobInputs,
      { origin, doubt }: { readonly origin: JobOrigin; readonly doubt?: string } = { origin: "here" },
    ): void {
      const { row, documents: beside } = takenApart(inputs);
      for (const [hash, document] of beside) documents.put(hash, document);
      db.insert(jobs)
        .values({
          id: inputs.id,
          valve: inputs.valve.tag,
          openedAt: Date.parse(inputs.openedAt),
          inputs: row,
          origin,
          doubt: doubt ?? null,
        })
        .run();
    },
    /** Adds events to the end of a log. The unique keys refuse a second event of the same id or number. */
    append(job: string, events: readonly SealedEvent[]): void {
      for (const { event, seal } of events) addEvent.run({ job, seq: seal.seq, id: event.id, event, seal });
    },
    photo: (job: string, id: string): StoredPhoto | undefined =>
      db
        .select()
        .from(photos)
        .where(and(eq(photos.job, job), eq(photos.id, id)))
        .get(),
    photoIds: (job: string): string[] =>
      db
        .select({ id: photos.id })
        .from(photos)
        .where(eq(photos.job, job))
        .orderBy(asc(photos.id))
        .all()
        .map(({ id }) => id),
    /** Stores a photograph; one that is there already stays as it is. */
    savePhoto(photo: StoredPhoto): void {
      db.insert(photos).values(photo).onConflictDoNothing().run();
    },
    close(job: string, at: number | null): void {
      db.update(jobs).set({ closedAt: at }).where(eq(jobs.id, job)).run();
    },
    /** Takes a job away whole, as the undo of an import does with one that it brought. */
    remove(job: string): void {
      db.delete(photoPieces).where(eq(photoPieces.job, job)).run();
      db.delete(photos).where(eq(photos.job, job)).run();
      db.delete(jobEvents).where(eq(jobEvents.job, job)).run();
      db.delete(jobs).where(eq(jobs.id, job)).run();
    },
    /** Lets go of documents kept in memory, when somebody else may have written to the file. */
    forget: documents.forget,
  };
}
export type JobRepository = ReturnType<typeof jobRepository>;
