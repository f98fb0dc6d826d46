import { and, asc, count, desc, eq, inArray, isNotNull, lt, ne, type SQL, sql } from "drizzle-orm";
import type { JobSort, JobStatus } from "@/core/formats";
import type { Db } from "./database";
import type { Bell, JobOrigin, Worked } from "./job-summary";
import { upsert } from "./row-writer";
import { jobSummaries, jobs } from "./schema";

export type JobSummary = typeof jobSummaries.$inferSelect;

/** What a list of jobs is asked for; what is left out is not held against a row. */
export interface JobQuery {
  readonly find?: string;
  readonly status?: JobStatus;
  readonly place?: string;
  readonly sort: JobSort;
  readonly down: boolean;
  readonly from: number;
  readonly most: number;
}

export interface Rows<Row> {
  readonly rows: readonly Row[];
  readonly total: number;
}

const OPEN: JobStatus[] = ["at-work", "stopped"];

/** `%` and `_` typed by a person are letters, not patterns. */
const holding = (words: string) => `%${words.replaceAll(/[\\%_]/g, "\\$&")}%`;

export function summaryRepository(db: Db) {
  const put = upsert(db, jobSummaries, jobSummaries.job);
  const statusOf = db
    .select({ status: jobSummaries.status })
    .from(jobSummaries)
    .where(eq(jobSummaries.job, sql.placeholder("job")))
    .prepare();
  const open = inArray(jobSummaries.status, OPEN);
  const ofJob = db
    .select()
    .from(jobSummaries)
    .where(eq(jobSummaries.job, sql.placeholder("job")))
    .prepare();
  const ringing = db.select({ bells: jobSummaries.bells }).from(jobSummaries).where(open).prepare();
  const countingOpen = db.select({ total: count() }).from(jobSummaries).where(open).prepare();
  const holds = and(open, ne(jobSummaries.held, []));
  const holders = db
    .select({ job: jobSummaries.job, valve: jobSummaries.valve, held: jobSummaries.held })
    .from(jobSummaries)
    .where(holds)
    .orderBy(desc(jobSummaries.openedAt))
    .prepare();
  const takers = db
    .select({ job: jobSummaries.job, valve: jobSummaries.valve, takes: jobSummaries.takes })
    .from(jobSummaries)
    .where(and(open, ne(jobSummaries.takes, [])))
    .orderBy(asc(jobSummaries.openedAt))
    .prepare();
  const columns = {
    opened: jobSummaries.openedAt,
    valve: jobSummaries.valve,
    place: jobSummaries.place,
    status: jobSummaries.status,
    left: jobSummaries.minutesLeft,
  };
  const where = (query: Omit<JobQuery, "sort" | "down" | "from" | "most">): SQL | undefined =>
    and(
      query.status && eq(jobSummaries.status, query.status),
      query.place === undefined ? undefined : eq(jobSummaries.place, query.place),
      ...(query.find ?? "")
        .split(/\s+/)
        .filter((word) => word !== "")
        .map(
          (word) =>
            sql`(${jobSummaries.valve} || ' ' || ${jobSummaries.says} || ' ' || ${jobSummaries.sheetTitle} || ' ' || ${jobSummaries.openedBy} || ' ' || ${jobSummaries.place}) like ${holding(word)} escape '\\'`,
        ),
    );
  return {
    save(row: JobSummary): void {
      put.run(row);
    },
    remove(job: string): void {
      db.delete(jobSummaries).where(eq(jobSummaries.job, job)).run();
    },
    statusOf: (job: string): JobStatus | undefined => statusOf.get({ job })?.status,
    of: (job: string): JobSummary | undefined => ofJob.get({ job }),
    /** Jobs that go on, and their valves. */
    open: (): Pick<JobSummary, "job" | "valve">[] =>
      db.select({ job: jobSummaries.job, valve: jobSummaries.valve }).from(jobSummaries).where(open).all(),
    /** What open jobs ring, and nothing else of them. */
    openBells: (): Bell[] => ringing.all().flatMap(({ bells }) => bells),
    countOpen: (): number => countingOpen.get()?.total ?? 0,
    /** Open jobs that hold valves shut, the newest first. */
    holding: (): Pick<JobSummary, "job" | "valve" | "held">[] => holders.all(),
    /** Open jobs that count on something of the store, the oldest first. */
    taking: (): Pick<JobSummary, "job" | "valve" | "takes">[] => takers.all(),
    openOfValve: (tag: string): JobSummary | undefined =>
      db
        .select()
        .from(jobSummaries)
        .where(and(eq(jobSummaries.valve, tag), open))
        .get(),
    ofValve: (tag: string): JobSummary[] =>
      db
        .select()
        .from(jobSummaries)
        .where(eq(jobSummaries.valve, tag))
        .orderBy(desc(jobSummaries.openedAt))
        .all(),
    list(query: JobQuery): Rows<JobSummary> {
      const wanted = where(query);
      const column = columns[query.sort];
      return {
        rows: db
          .select()
          .from(jobSummaries)
          .where(wanted)
          .orderBy(query.down ? desc(column) : asc(column), desc(jobSummaries.openedAt))
          .limit(query.most)
          .offset(query.from)
          .all(),
        total: db.select({ total: count() }).from(jobSummaries).where(wanted).get()?.total ?? 0,
      };
    },
    places: (): string[] =>
      db
        .selectDistinct({ place: jobSummaries.place })
        .from(jobSummaries)
        .orderBy(asc(jobSummaries.place))
        .all()
        .map((row) => row.place),
    /** The newest jobs that were signed before then, with how long they took; none that was not shown to be possible. */
    worked: (before: number, most: number): { readonly sheet: string; readonly worked: Worked }[] =>
      db
        .select({ sheet: jobSummaries.sheet, worked: jobSummaries.worked })
        .from(jobSummaries)
        .where(
          and(
            eq(jobSummaries.status, "signed-off"),
            isNotNull(jobSummaries.worked),
            lt(jobSummaries.closedAt, before),
          ),
        )
        .orderBy(desc(jobSummaries.openedAt))
        .limit(most)
        .all()
        .flatMap(({ sheet, worked }) => (worked === null ? [] : [{ sheet, worked }])),
    countByStatus: (): ReadonlyMap<JobStatus, number> =>
      new Map(
        db
          .select({ status: jobSummaries.status, total: count() })
          .from(jobSummaries)
          .groupBy(jobSummaries.status)
          .all()
          .map((row) => [row.status, row.total]),
      ),
    countByOrigin: (origin: JobOrigin): number =>
      db.select({ total: count() }).from(jobSummaries).where(eq(jobSummaries.origin, origin)).get()?.total ??
      0,
    /** Jobs whose summary is missing, or was made by an older program. */
    stale: (made: number): string[] =>
      db
        .select({ id: jobs.id })
        .from(jobs)
        .leftJoin(jobSummaries, eq(jobSummaries.job, jobs.id))
        .where(sql`${jobSummaries.job} is null or ${ne(jobSummaries.made, made)}`)
        .all()
        .map((row) => row.id),
  };
}
export type SummaryRepository = ReturnType<typeof summaryRepository>;
