import { and, asc, count, eq, isNotNull, lte, type SQL, sql } from "drizzle-orm";
import type { Valve, ValveSort, ValveState } from "@/core/formats";
import type { Db } from "./database";
import { type KeptDue, NEVER } from "./due";
import { upsert } from "./row-writer";
import { jobSummaries, retiredValves, valves } from "./schema";
import type { Rows } from "./summary-repository";

/** What a list of valves is asked for; what is left out is not held against a row. */
export interface ValveQuery {
  readonly find?: string;
  readonly place?: string;
  readonly sheet?: string;
  readonly family?: string;
  readonly state?: ValveState;
  readonly sort: ValveSort;
  readonly down: boolean;
  readonly from: number;
  readonly most: number;
  /** ms: what is late is late by this clock. */
  readonly now: number;
}

export interface ValveRow extends Omit<typeof valves.$inferSelect, "row"> {
  readonly valve: Valve;
  /** The job that goes on, if any. */
  readonly job: string | null;
}

/** What the sheet says of a valve that its own row does not. */
export interface FromSheet {
  readonly family: string;
  readonly due: KeptDue;
}

/** A fortnight: how far ahead "due" looks. */
const SOON_MS = 14 * 86_400_000;

const openJob = sql`(select ${jobSummaries.job} from ${jobSummaries} where ${jobSummaries.valve} = ${valves.tag} and ${jobSummaries.status} in ('at-work', 'stopped') limit 1)`;
const atWork = sql`${valves.tag} in (select ${jobSummaries.valve} from ${jobSummaries} where ${jobSummaries.status} in ('at-work', 'stopped'))`;

/** The text as a full-text query: every word has to begin some word of the row. */
export function fullText(typed: string): string | undefined {
  const words = typed.match(/[\p{L}\p{N}]+/gu) ?? [];
  return words.length === 0 ? undefined : words.map((word) => `"${word}"*`).join(" ");
}

/** So many rows are sooner found by walking a list's order than by sorting them. */
const MANY = 5000;

/** What is counted over the whole register is counted again after this time, for the clock goes on. */
const COUNTED_FOR_MS = 60_000;

export function registerRepository(db: Db) {
  const counted = new Map<string, { readonly at: number; readonly value: unknown }>();
  let written = 0;
  const uncount = () => {
    written += 1;
    counted.clear();
  };
  /** Counted once until the register changes, or a minute has gone by. */
  const countedOnce = <T>(name: string, now: number, make: () => T): T => {
    const known = counted.get(name);
    if (known !== undefined && Math.abs(now - known.at) < COUNTED_FOR_MS) return known.value as T;
    const value = make();
    counted.set(name, { at: now, value });
    return value;
  };
  // Asked with nearly every page: read once by the database, not each time.
  const rowOf = db
    .select({ row: valves.row })
    .from(valves)
    .where(eq(valves.tag, sql.placeholder("tag")))
    .prepare();
  const rowsOf = db
    .select({ tag: valves.tag, row: valves.row })
    .from(valves)
    .where(sql`${valves.tag} in (select value from json_each(${sql.placeholder("tags")}))`)
    .prepare();
  const put = upsert(db, valves, valves.tag);
  const putRetired = upsert(db, retiredValves, retiredValves.tag);
  const retiredRowOf = db
    .select({ row: retiredValves.row })
    .from(retiredValves)
    .where(eq(retiredValves.tag, sql.placeholder("tag")))
    .prepare();
  const anyAt = db
    .select({ tag: valves.tag })
    .from(valves)
    .where(eq(valves.place, sql.placeholder("place")))
    .limit(1)
    .prepare();
  const counting = db.select({ total: count() }).from(valves).prepare();
  const nearest = db
    .select({
      tag: valves.tag,
      at: valves.dueAt,
      what: sql<string>`coalesce(${valves.dueWhat}, '')`,
      why: sql<string>`coalesce(${valves.dueWhy}, '')`,
      symptom: valves.symptom,
    })
    .from(valves)
    .where(sql`${valves.dueAt} < ${sql.raw("8640000000000000")} and not ${atWork}`)
    .orderBy(asc(valves.dueAt), asc(valves.tag))
    .limit(sql.placeholder("most"))
    .prepare();
  const columns = {
    place: [valves.place, valves.tag],
    tag: [valves.tag],
    name: [valves.name, valves.tag],
    sheet: [valves.sheet, valves.tag],
    due: [valves.dueAt, valves.tag],
  } as const;
  /** Most rows are: a page of them is found by walking the list's order (the plus says so), not by sorting all that are. */
  const calm = (now: number): SQL => sql`+${valves.dueAt} > ${now + SOON_MS} and +${valves.symptom} is null`;
  const inState = (state: Exclude<ValveState, "retired">, now: number): SQL => {
    switch (state) {
      case "late":
        return sql`${valves.dueAt} <= ${now}`;
      case "due":
        return sql`${valves.dueAt} <= ${now + SOON_MS}`;
      case "at-work":
        return atWork;
      case "reported":
        return isNotNull(valves.symptom);
      case "quiet":
        return sql`${calm(now)} and not ${atWork}`;
    }
  };
  /** Tags of the valves whose words these are, as JSON, and how many: the index is asked once, not for rows and again for their count. */
  const tagsBy = (words: string): { readonly tags: string; readonly many: number } =>
    db.get(
      sql`select json_group_array(f.owner) as tags, count(*) as many from find_words w cross join findables f on f.id = w.rowid where w.head match ${words} and f.kind = 'valve'`,
    );
  /** What narrows a list: as its rows are found, and as they are counted. */
  const where = (query: ValveQuery): { readonly rows: SQL | undefined; readonly total: () => number } => {
    const words = fullText(query.find ?? "");
    const named = words === undefined ? undefined : tagsBy(words);
    const tags = named && sql`(select value from json_each(${named.tags}))`;
    const narrowed = and(
      query.place === undefined ? undefined : eq(valves.place, query.place),
      query.sheet === undefined ? undefined : eq(valves.sheet, query.sheet),
      query.family === undefined ? undefined : eq(valves.family, query.family),
    );
    const state =
      query.state === undefined || query.state === "retired" ? undefined : inState(query.state, query.now);
    return {
      rows: and(
        tags && (named!.many > MANY ? sql`+${valves.tag} in ${tags}` : sql`${valves.tag} in ${tags}`),
        narrowed,
        state,
      ),
      total: () => {
        if (named !== undefined && narrowed === undefined && state === undefined) return named.many;
        const wanted = and(tags && sql`${valves.tag} in ${tags}`, narrowed, state);
        return db.select({ total: count() }).from(valves).where(wanted).get()?.total ?? 0;
      },
    };
  };
  const ordered = ({ sort, down }: Pick<ValveQuery, "sort" | "down">) =>
    columns[sort].map((column) => (down ? sql`${column} desc` : sql`${column} asc`));
  /** Those that are out of service for good: few, and only their own list has them. */
  const listRetired = ({ find = "", place, sheet, from, most }: ValveQuery): Rows<ValveRow> => {
    const words = fullText(find) === undefined ? [] : (find.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []);
    const fits = db
      .select({ row: retiredValves.row })
      .from(retiredValves)
      .orderBy(asc(retiredValves.tag))
      .all()
      .map(({ row }) => row)
      .filter(
        (row) =>
          (place === undefined || row.place === place) &&
          (sheet === undefined || row.sheet === sheet) &&
          words.every((word) => `${row.tag} ${row.name} ${row.serial ?? ""}`.toLowerCase().includes(word)),
      );
    const rows = fits.slice(from, from + most).map((valve) => ({
      tag: valve.tag,
      valve,
      name: valve.name,
      place: valve.place,
      sheet: valve.sheet,
      family: "",
      line: null,
      symptom: null,
      dueAt: NEVER,
      dueWhat: null,
      dueWhy: null,
      job: null,
    }));
    return { rows, total: fits.length };
  };
  const write = (row: Valve, { family, due }: FromSheet): void => {
    uncount();
    if (row.retired !== undefined) {
      db.delete(valves).where(eq(valves.tag, row.tag)).run();
      putRetired.run({ tag: row.tag, row });
      return;
    }
    db.delete(retiredValves).where(eq(retiredValves.tag, row.tag)).run();
    const values = {
      tag: row.tag,
      row,
      name: row.name,
      place: row.place,
      sheet: row.sheet,
      family,
      line: row.line ?? null,
      symptom: row.symptom ?? null,
      dueAt: due.at,
      dueWhat: due.what,
      dueWhy: due.why,
    };
    put.run(values);
  };
  return {
    save: write,
    /** Lets go of what was counted, when somebody else may have written to the file. */
    forget: uncount,
    /** Differs when what was counted before may not be what is stored. */
    era: () => written,
    remove(tag: string): void {
      uncount();
      db.delete(valves).where(eq(valves.tag, tag)).run();
      db.delete(retiredValves).where(eq(retiredValves.tag, tag)).run();
    },
    /** A valve in service. */
    valve: (tag: string): Valve | undefined => rowOf.get({ tag })?.row,
    /** The valve of this tag, in service or retired. */
    anyValve: (tag: string): Valve | undefined => rowOf.get({ tag })?.row ?? retiredRowOf.get({ tag })?.row,
    retired: (): Valve[] =>
      db
        .select({ row: retiredValves.row })
        .from(retiredValves)
        .orderBy(asc(retiredValves.tag))
        .all()
        .map(({ row }) => row),
    /** The valve of this tag, however it is written. */
    tagLike: (typed: string): string | undefined =>
      db.select({ tag: valves.tag }).from(valves).where(sql`${valves.tag} = ${typed} collate nocase`).get()
        ?.tag,
    /** The whole register: only for what has to see all of it, never for a page. */
    valves: (): Valve[] =>
      db
        .select({ row: valves.row })
        .from(valves)
        .orderBy(asc(valves.tag))
        .all()
        .map(({ row }) => row),
    onLine: (line: string): Valve[] =>
      db
        .select({ row: valves.row })
        .from(valves)
        .where(eq(valves.line, line))
        .orderBy(asc(valves.tag))
        .all()
        .map(({ row }) => row),
    at: (place: string): Valve[] =>
      db
        .select({ row: valves.row })
        .from(valves)
        .where(eq(valves.place, place))
        .orderBy(asc(valves.tag))
        .all()
        .map(({ row }) => row),
    /** Valves at a place or in a room that is called after it: "Lido", "Lido, team room". */
    atOrIn: (place: string, most: number): Valve[] =>
      db
        .select({ row: valves.row })
        .from(valves)
        .where(
          sql`${valves.place} = ${place} or substr(${valves.place}, 1, ${place.length + 2}) = ${`${place}, `}`,
        )
        .orderBy(asc(valves.tag))
        .limit(most)
        .all()
        .map(({ row }) => row),
    ofSheet: (sheet: string): Valve[] =>
      db
        .select({ row: valves.row })
        .from(valves)
        .where(eq(valves.sheet, sheet))
        .all()
        .map(({ row }) => row),
    some: (tags: readonly string[]): ReadonlyMap<string, Valve> =>
      new Map(rowsOf.all({ tags: JSON.stringify(tags) }).map(({ tag, row }) => [tag, row])),
    standsAnythingAt: (place: string): boolean => anyAt.get({ place }) !== undefined,
    count: (): number => counting.get()?.total ?? 0,
    list(query: ValveQuery): Rows<ValveRow> {
      if (query.state === "retired") return listRetired(query);
      const wanted = where(query);
      const order = sql.join(ordered(query), sql`, `);
      // The inner query walks an index alone; whole rows are read for one page only.
      const page = sql`${valves}.rowid in (select rowid from ${valves} ${wanted.rows === undefined ? sql`` : sql`where ${wanted.rows}`} order by ${order} limit ${query.most} offset ${query.from})`;
      const rows = db
        .select({
          tag: valves.tag,
          valve: valves.row,
          name: valves.name,
          place: valves.place,
          sheet: valves.sheet,
          family: valves.family,
          line: valves.line,
          symptom: valves.symptom,
          dueAt: valves.dueAt,
          dueWhat: valves.dueWhat,
          dueWhy: valves.dueWhy,
          job: sql<string | null>`${openJob}`,
        })
        .from(valves)
        .where(page)
        .orderBy(...ordered(query))
        .all();
      return { rows, total: wanted.total() };
    },
    counts(now: number): Record<ValveState, number> {
      const those = (wanted: SQL | undefined) =>
        db.select({ total: count() }).from(valves).where(wanted).get()?.total ?? 0;
      // Work begins and ends between two counts of the register; few are at work.
      const { isCalm, ...byCalendar } = countedOnce("states", now, () => ({
        late: those(inState("late", now)),
        due: those(inState("due", now)),
        reported: those(inState("reported", now)),
        isCalm: those(calm(now)),
      }));
      return {
        ...byCalendar,
        quiet: isCalm - those(and(atWork, calm(now))),
        retired: db.select({ total: count() }).from(retiredValves).get()?.total ?? 0,
        "at-work": those(atWork),
      };
    },
    /** Every value of a column a list can be narrowed by, with how many valves have it. */
    facet: (by: "place" | "sheet" | "family", now: number): { value: string; count: number }[] =>
      countedOnce(`facet ${by}`, now, () =>
        db
          .select({ value: valves[by], count: count() })
          .from(valves)
          .groupBy(valves[by])
          .orderBy(asc(valves[by]))
          .all(),
      ),
    /** How many valves are late at each place. */
    lateByPlace: (now: number): { value: string; count: number }[] =>
      countedOnce("late by place", now, () =>
        db
          .select({ value: valves.place, count: count() })
          .from(valves)
          .where(lte(valves.dueAt, now))
          .groupBy(valves.place)
          .all(),
      ),
    /** Valves with a position of their own. */
    withSpot: (): Valve[] =>
      db
        .select({ row: valves.row })
        .from(valves)
        .where(sql`${valves.row} ->> '$.lat' is not null`)
        .all()
        .map(({ row }) => row),
    /** What rings by the calendar, nearest first; a valve that is being worked on does not ring as well. */
    dueNext: (most: number): (KeptDue & { tag: string; symptom: string | null })[] => nearest.all({ most }),
    /** How many valves are due by each of these moments (ms, ascending): what is late counts in the first. */
    dueBy: (moments: readonly number[], now: number): number[] =>
      countedOnce(`due by ${moments[0]}`, now, () =>
        moments.map(
          (moment) =>
            db.select({ total: count() }).from(valves).where(lte(valves.dueAt, moment)).get()?.total ?? 0,
        ),
      ),
    /** Kinds of valve that are due by then, or reported: what the store may have to give. */
    dueKinds: (by: number, now: number): { sheet: string; generation: string | null; count: number }[] =>
      countedOnce("kinds due", now, () =>
        db
          .select({
            sheet: valves.sheet,
            generation: sql<string | null>`json_extract(${valves.row}, '$.generation')`,
            count: count(),
          })
          .from(valves)
          .where(sql`${valves.dueAt} <= ${by} or ${valves.symptom} is not null`)
          .groupBy(valves.sheet, sql`2`)
          .all(),
      ),
  };
}
export type RegisterRepository = ReturnType<typeof registerRepository>;
