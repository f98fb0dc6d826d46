import { blob, index, integer, primaryKey, real, sqliteTable, text, unique } from "drizzle-orm/sqlite-core";
import type { JobEvent, JobInputs, Line, Person, Seal, Sheet, Store, Valve } from "@/core/formats";

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

/** What a list shows stands beside the document: a town main is megabytes, and lists are read on every screen. */
export const lines = sqliteTable("lines", {
  id: text().primaryKey(),
  name: text().notNull().default(""),
  medium: text().notNull().default(""),
  nodes: integer().notNull().default(0),
  links: integer().notNull().default(0),
  valves: integer().notNull().default(0),
  document: text({ mode: "json" }).notNull().$type<Line>(),
});

export const stores = sqliteTable("stores", {
  id: text().primaryKey(),
  document: text({ mode: "json" }).notNull().$type<Store>(),
});

export const valves = sqliteTable("valves", {
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
    inputs: text({ mode: "json" }).notNull().$type<JobInputs>(),
    /** Set with the sign-off event, in its transaction, so that open jobs are found without replaying all. */
    closedAt: integer(),
  },
  (table) => [index("jobs_by_valve").on(table.valve, table.openedAt)],
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
