import { sql } from "drizzle-orm";
import { blob, index, integer, primaryKey, real, sqliteTable, text, unique } from "drizzle-orm/sqlite-core";
import type {
  EditFact,
  JobEvent,
  Line,
  Movement,
  Person,
  Seal,
  Sheet,
  SmallKind,
  Store,
  ThingKind,
  Valve,
} from "@/core/formats";
import type { Portion } from "@/core/store";
import { NEVER } from "./due";
import type { Bell, HeldLink, JobOrigin, JobStatus, LostService, Worked } from "./job-summary";
import type { AnchoredHead, FindableKind } from "./stored";
import type { StoredInputs } from "./stored-inputs";

export * from "./access-schema";

/** Sheets keep every revision: a job stays on the one it began with, and old records can be read. */
export const sheets = sqliteTable(
  "sheets",
  {
    id: text().notNull(),
    revision: integer().notNull(),
    document: text({ mode: "json" }).notNull().$type<Sheet>(),
  },
  (table) => [primaryKey({ columns: [table.id, table.revision] })],
);

/**
 * What a list shows stands beside the document: a town main is megabytes, and lists are read on every screen. The row
 * holds the newest revision; the older ones stay in `lineRevisions`.
 */
export const lines = sqliteTable("lines", {
  id: text().primaryKey(),
  name: text().notNull().default(""),
  medium: text().notNull().default(""),
  nodes: integer().notNull().default(0),
  links: integer().notNull().default(0),
  valves: integer().notNull().default(0),
  revision: integer().notNull().default(1),
  hash: text().notNull().default(""),
  document: text({ mode: "json" }).notNull().$type<Line>(),
});

export const lineRevisions = sqliteTable(
  "line_revisions",
  { id: text().notNull(), revision: integer().notNull(), hash: text().notNull() },
  (table) => [primaryKey({ columns: [table.id, table.revision] })],
);

/** Sheets, lines and stores as jobs and revisions hold them: each text once, by the SHA-256 of its canonical form. */
export const documents = sqliteTable("documents", {
  hash: text().primaryKey(),
  document: text({ mode: "json" }).notNull().$type<unknown>(),
});

export const stores = sqliteTable("stores", {
  id: text().primaryKey(),
  document: text({ mode: "json" }).notNull().$type<Store>(),
});

/** The register. What lists filter and sort stands in columns; `row` is the whole of it. */
export const valves = sqliteTable(
  "valves",
  {
    tag: text().primaryKey(),
    row: text({ mode: "json" }).notNull().$type<Valve>(),
    name: text().notNull().default(""),
    place: text().notNull().default(""),
    sheet: text().notNull().default(""),
    family: text().notNull().default(""),
    line: text(),
    symptom: text(),
    /** ms: `AT_ONCE` when neither service nor installation is known, `NEVER` when its sheet plans nothing. */
    dueAt: integer().notNull().default(NEVER),
    dueWhat: text(),
    dueWhy: text(),
  },
  (table) => [
    index("valves_by_tag").on(sql`tag collate nocase`),
    // Each order of a list holds what it is narrowed by most: a page far down is found without reading a row before it.
    index("valves_in_order").on(table.tag, table.dueAt, table.symptom),
    index("valves_by_name").on(table.name, table.tag, table.dueAt, table.symptom),
    index("valves_by_place").on(table.place, table.tag, table.dueAt, table.symptom),
    index("valves_by_sheet").on(table.sheet, table.tag, table.dueAt, table.symptom),
    index("valves_by_family").on(table.family, table.tag, table.dueAt, table.symptom),
    index("valves_by_due").on(table.dueAt, table.tag, table.symptom),
    index("valves_by_symptom").on(table.symptom, table.dueAt, table.tag),
    index("valves_by_line").on(table.line),
  ],
);

/** Valves that are out of service for good: they ring no more and stand in no list but their own. */
export const retiredValves = sqliteTable("retired_valves", {
  tag: text().primaryKey(),
  row: text({ mode: "json" }).notNull().$type<Valve>(),
});

export const people = sqliteTable("people", {
  id: text().primaryKey(),
  row: text({ mode: "json" }).notNull().$type<Person>(),
});

/** Readings in SI, with what was typed; `job` names where it came from. */
export const readings = sqliteTable(
  "readings",
  {
    id: integer().primaryKey({ autoIncrement: true }),
    valve: text().notNull(),
    at: integer().notNull(),
    what: text().notNull(),
    dimension: text().notNull(),
    si: real().notNull(),
    typed: text().notNull(),
    by: text().notNull(),
    job: text(),
  },
  (table) => [
    index("readings_by_valve").on(table.valve, table.what, table.at),
    unique("readings_once").on(table.valve, table.what, table.at),
  ],
);

/** What a job began with. It never changes; all that happens is in `job_events`. */
export const jobs = sqliteTable(
  "jobs",
  {
    id: text().primaryKey(),
    valve: text().notNull(),
    openedAt: integer().notNull(),
    inputs: text({ mode: "json" }).notNull().$type<StoredInputs>(),
    /** Set with the event that closes it, in its transaction, so that open jobs are found without replaying all. */
    closedAt: integer(),
    origin: text().notNull().default("here").$type<JobOrigin>(),
    /** Of a foreign log: what could not have been. */
    doubt: text(),
  },
  (table) => [index("jobs_by_valve").on(table.valve, table.openedAt)],
);

/**
 * How a job stands, written in the transaction that changes it: no screen replays a log to draw a list. It is worked
 * out from the log and can be made anew from it.
 */
export const jobSummaries = sqliteTable(
  "job_summaries",
  {
    job: text()
      .primaryKey()
      .references(() => jobs.id),
    valve: text().notNull(),
    place: text().notNull(),
    sheet: text().notNull(),
    sheetTitle: text().notNull(),
    says: text().notNull(),
    openedAt: integer().notNull(),
    openedBy: text().notNull(),
    closedAt: integer(),
    status: text().notNull().$type<JobStatus>(),
    origin: text().notNull().$type<JobOrigin>(),
    /** Why it was stopped, or why it is foreign. */
    because: text(),
    phase: text().notNull(),
    step: text().notNull(),
    /** The step after the one in hand: what a running wait is waited for. */
    afterwards: text().notNull(),
    done: integer().notNull(),
    steps: integer().notNull(),
    minutesLeft: real().notNull(),
    entries: integer().notNull(),
    bells: text({ mode: "json" }).notNull().$type<readonly Bell[]>(),
    held: text({ mode: "json" }).notNull().$type<readonly HeldLink[]>(),
    lost: text({ mode: "json" }).notNull().$type<readonly LostService[]>(),
    /** What of the store it counts on. */
    takes: text({ mode: "json" }).notNull().default([]).$type<readonly Portion[]>(),
    /** How long a signed one took, and who was at it. */
    worked: text({ mode: "json" }).$type<Worked>(),
    /** Of which making; a newer program makes the row anew. */
    made: integer().notNull(),
  },
  (table) => [
    index("summaries_by_status").on(table.status, table.openedAt),
    index("summaries_by_opening").on(table.openedAt),
    index("summaries_by_valve").on(table.valve, table.openedAt),
    index("summaries_by_place").on(table.place),
  ],
);

/** Append only: no row is ever updated or deleted. */
export const jobEvents = sqliteTable(
  "job_events",
  {
    job: text()
      .notNull()
      .references(() => jobs.id),
    seq: integer().notNull(),
    id: text().notNull(),
    event: text({ mode: "json" }).notNull().$type<JobEvent>(),
    seal: text({ mode: "json" }).notNull().$type<Seal>(),
  },
  (table) => [
    primaryKey({ columns: [table.job, table.seq] }),
    unique("job_event_once").on(table.job, table.id),
  ],
);

/** Photographs of a job, as stored: turned upright, at most 2000 px, without anything the camera wrote into them. */
export const photos = sqliteTable(
  "photos",
  {
    job: text()
      .notNull()
      .references(() => jobs.id),
    id: text().notNull(),
    mime: text().notNull(),
    width: integer().notNull(),
    height: integer().notNull(),
    bytes: blob({ mode: "buffer" }).notNull(),
  },
  (table) => [primaryKey({ columns: [table.job, table.id] })],
);

/** A photograph that comes in pieces, over a line that is cut again and again: what has arrived of it so far. */
export const photoPieces = sqliteTable(
  "photo_pieces",
  {
    job: text()
      .notNull()
      .references(() => jobs.id),
    photo: text().notNull(),
    /** Which byte of the photograph is its first. */
    from: integer().notNull(),
    bytes: blob({ mode: "buffer" }).notNull(),
  },
  (table) => [primaryKey({ columns: [table.job, table.photo, table.from] })],
);

/**
 * The installation's own chain: each transaction that adds to a log or to readings is anchored by one signed row, which
 * names the heads as they are after it. A log cut short or sealed anew no longer fits its newest anchor.
 */
export const anchors = sqliteTable("anchors", {
  seq: integer().primaryKey(),
  at: text().notNull(),
  heads: text({ mode: "json" }).notNull().$type<readonly AnchoredHead[]>(),
  previous: text().notNull(),
  hash: text().notNull(),
  signature: text().notNull(),
});

/** The newest anchored head of each log, found without walking the chain. */
export const heads = sqliteTable(
  "heads",
  {
    subject: text().notNull().$type<AnchoredHead["subject"]>(),
    id: text().notNull(),
    entries: integer().notNull(),
    head: text().notNull(),
    anchor: integer().notNull(),
  },
  (table) => [primaryKey({ columns: [table.subject, table.id] })],
);

/** Own data of which there is little: places, instruments, the house, papers, how columns were read. By kind and id. */
export const things = sqliteTable(
  "things",
  {
    kind: text().notNull().$type<SmallKind>(),
    id: text().notNull(),
    row: text({ mode: "json" }).notNull().$type<unknown>(),
  },
  (table) => [primaryKey({ columns: [table.kind, table.id] })],
);

/** The store's ledger. Append only: what was wrong is taken back by a contrary entry. */
export const movements = sqliteTable(
  "movements",
  {
    seq: integer().primaryKey({ autoIncrement: true }),
    id: text().notNull().unique(),
    at: integer().notNull(),
    store: text().notNull(),
    item: text().notNull(),
    job: text(),
    order: text(),
    /** The entry that this one takes back. */
    undoes: text().unique(),
    row: text({ mode: "json" }).notNull().$type<Movement>(),
  },
  (table) => [
    index("movements_by_item").on(table.store, table.item, table.at),
    index("movements_by_time").on(table.at),
    index("movements_by_job").on(table.job),
    index("movements_by_order").on(table.order),
  ],
);

/** Photographs and papers, each once, by the SHA-256 of its bytes. */
export const blobs = sqliteTable("blobs", {
  sha256: text().primaryKey(),
  bytes: blob({ mode: "buffer" }).notNull(),
});

/** The book of changes: what somebody changed of the own data at one time, so that it can be seen and undone as one. */
export const edits = sqliteTable(
  "edits",
  {
    id: text().primaryKey(),
    at: integer().notNull(),
    by: text().notNull(),
    what: text({ mode: "json" }).notNull().$type<EditFact>(),
    undoneAt: integer(),
    undoneBy: text(),
  },
  (table) => [index("edits_by_time").on(table.at)],
);

export const editChanges = sqliteTable(
  "edit_changes",
  {
    edit: text()
      .notNull()
      .references(() => edits.id),
    seq: integer().notNull(),
    kind: text().notNull().$type<ThingKind>(),
    id: text().notNull(),
    /** As it was; nothing when it was not there. */
    before: text({ mode: "json" }).$type<unknown>(),
    /** As it is since; nothing when it is gone. */
    after: text({ mode: "json" }).$type<unknown>(),
  },
  (table) => [
    primaryKey({ columns: [table.edit, table.seq] }),
    index("edit_changes_by_thing").on(table.kind, table.id),
  ],
);

/** What find can lead to; its words stand in the full-text index `find_words` under the same number. */
export const findables = sqliteTable(
  "findables",
  {
    id: integer().primaryKey({ autoIncrement: true }),
    kind: text().notNull().$type<FindableKind>(),
    owner: text().notNull(),
    name: text().notNull(),
    says: text().notNull(),
    href: text().notNull(),
  },
  (table) => [index("findables_by_owner").on(table.kind, table.owner)],
);
