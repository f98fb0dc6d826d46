import { and, asc, desc, eq, isNull } from "drizzle-orm";
import type { JobInputs, SealedEvent } from "@/core/formats";
import type { Db } from "./database";
import { jobEvents, jobs, photos } from "./schema";

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

export function jobRepository(db: Db) {
  const eventsOf = (job: string): SealedEvent[] =>
    db
      .select({ event: jobEvents.event, seal: jobEvents.seal })
      .from(jobEvents)
      .where(eq(jobEvents.job, job))
      .orderBy(asc(jobEvents.seq))
      .all();
  const whole = (row: typeof jobs.$inferSelect): StoredJob => ({
    inputs: row.inputs,
    events: eventsOf(row.id),
    closedAt: row.closedAt ?? undefined,
  });
  return {
    find(id: string): StoredJob | undefined {
      const row = db.select().from(jobs).where(eq(jobs.id, id)).get();
      return row && whole(row);
    },
    open: (): StoredJob[] =>
      db.select().from(jobs).where(isNull(jobs.closedAt)).orderBy(desc(jobs.openedAt)).all().map(whole),
    all: (): StoredJob[] => db.select().from(jobs).orderBy(desc(jobs.openedAt)).all().map(whole),
    ofValve: (tag: string): StoredJob[] =>
      db.select().from(jobs).where(eq(jobs.valve, tag)).orderBy(desc(jobs.openedAt)).all().map(whole),
    openOfValve: (tag: string): StoredJob | undefined => {
      const row = db
        .select()
        .from(jobs)
        .where(and(eq(jobs.valve, tag), isNull(jobs.closedAt)))
        .get();
      return row && whole(row);
    },
    create(inputs: JobInputs): void {
      db.insert(jobs)
        .values({ id: inputs.id, valve: inputs.valve.tag, openedAt: Date.parse(inputs.openedAt), inputs })
        .run();
    },
    /** Adds events to the end of a log. The unique keys refuse a second event of the same id or number. */
    append(job: string, events: readonly SealedEvent[]): void {
      for (const { event, seal } of events)
        db.insert(jobEvents).values({ job, seq: seal.seq, id: event.id, event, seal }).run();
    },
    photo: (job: string, id: string): StoredPhoto | undefined =>
      db
        .select()
        .from(photos)
        .where(and(eq(photos.job, job), eq(photos.id, id)))
        .get(),
    /** Stores a photograph; one that is there already stays as it is. */
    savePhoto(photo: StoredPhoto): void {
      db.insert(photos).values(photo).onConflictDoNothing().run();
    },
    close(job: string, at: number): void {
      db.update(jobs).set({ closedAt: at }).where(eq(jobs.id, job)).run();
    },
  };
}
export type JobRepository = ReturnType<typeof jobRepository>;
