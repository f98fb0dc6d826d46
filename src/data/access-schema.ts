import { blob, index, integer, primaryKey, sqliteTable, text } from "drizzle-orm/sqlite-core";
import type { AccessFact, Role, SignedInBy } from "@/core/people";

/** Who of the crew may sign in, and as what. */
export const accounts = sqliteTable("accounts", {
  person: text().primaryKey(),
  role: text().notNull().$type<Role>(),
  /** Hash of the password (argon2id, as its own text says); nothing until one was chosen. */
  password: text(),
  /** Hash of a code that lets in once, to choose a password. */
  code: text(),
  codeUntil: integer(),
});

export const passkeys = sqliteTable(
  "passkeys",
  {
    id: text().primaryKey(),
    person: text().notNull(),
    /** What somebody calls it. */
    name: text().notNull(),
    publicKey: blob({ mode: "buffer" }).notNull(),
    counter: integer().notNull(),
    transports: text({ mode: "json" }).notNull().$type<readonly string[]>(),
    madeAt: integer().notNull(),
  },
  (table) => [index("passkeys_by_person").on(table.person)],
);

/** Who is signed in where. One that was ended is gone. */
export const sessions = sqliteTable(
  "sessions",
  {
    id: text().primaryKey(),
    person: text().notNull(),
    device: text().notNull(),
    browser: text().notNull(),
    how: text().notNull().$type<SignedInBy>(),
    /** A device that several people use lets go sooner. */
    shared: integer({ mode: "boolean" }).notNull(),
    openedAt: integer().notNull(),
    seenAt: integer().notNull(),
  },
  (table) => [index("sessions_by_person").on(table.person), index("sessions_by_device").on(table.device)],
);

/** PINs, each for one person on one device that this person signed in on before. */
export const pins = sqliteTable(
  "pins",
  {
    device: text().notNull(),
    person: text().notNull(),
    pin: text().notNull(),
    /** How often a wrong one was typed since the last right one. */
    wrong: integer().notNull().default(0),
  },
  (table) => [primaryKey({ columns: [table.device, table.person] })],
);

/** What happened to who may come in. Append only. */
export const accessLog = sqliteTable("access_log", {
  seq: integer().primaryKey({ autoIncrement: true }),
  at: integer().notNull(),
  /** Who did it, by name; as it was typed where nobody was let in. */
  by: text().notNull(),
  fact: text({ mode: "json" }).notNull().$type<AccessFact>(),
});

/** What is switched on here. */
export const switches = sqliteTable("switches", { name: text().primaryKey() });
