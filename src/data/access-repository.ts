import { and, desc, eq, gt, lt, ne, sql } from "drizzle-orm";
import type { AccessFact } from "@/core/people";
import { accessLog, accounts, passkeys, pins, sessions, switches } from "./access-schema";
import type { Db } from "./database";

export type Account = typeof accounts.$inferSelect;
export type Passkey = typeof passkeys.$inferSelect;
export type Session = typeof sessions.$inferSelect;
export type Pin = typeof pins.$inferSelect;
export type AccessEntry = typeof accessLog.$inferSelect;

/** Tables that say who may come in: they stay as they are when a backup is put back. */
export const ACCESS_TABLES = ["accounts", "passkeys", "sessions", "pins", "access_log", "switches"] as const;

/** Who may sign in, who is signed in, and what happened to it. */
export function accessRepository(db: Db) {
  const switched = db
    .select({ name: switches.name })
    .from(switches)
    .where(eq(switches.name, sql.placeholder("name")))
    .prepare();
  const session = db
    .select()
    .from(sessions)
    .where(eq(sessions.id, sql.placeholder("id")))
    .prepare();
  const account = db
    .select()
    .from(accounts)
    .where(eq(accounts.person, sql.placeholder("person")))
    .prepare();
  const ofDevice = (device: string, person: string) => and(eq(pins.device, device), eq(pins.person, person));
  return {
    isOn: (name: string): boolean => switched.get({ name }) !== undefined,
    switch(name: string, on: boolean): void {
      if (on) db.insert(switches).values({ name }).onConflictDoNothing().run();
      else db.delete(switches).where(eq(switches.name, name)).run();
    },

    accounts: (): Account[] => db.select().from(accounts).all(),
    account: (person: string): Account | undefined => account.get({ person }),
    saveAccount(row: Account): void {
      db.insert(accounts).values(row).onConflictDoUpdate({ target: accounts.person, set: row }).run();
    },
    /** Takes somebody's account away with all that lets this person in. */
    removeAccount(person: string): void {
      db.delete(accounts).where(eq(accounts.person, person)).run();
      db.delete(passkeys).where(eq(passkeys.person, person)).run();
      db.delete(pins).where(eq(pins.person, person)).run();
      db.delete(sessions).where(eq(sessions.person, person)).run();
    },

    passkey: (id: string): Passkey | undefined => db.select().from(passkeys).where(eq(passkeys.id, id)).get(),
    passkeysOf: (person: string): Passkey[] =>
      db.select().from(passkeys).where(eq(passkeys.person, person)).all(),
    savePasskey(row: Passkey): void {
      db.insert(passkeys).values(row).onConflictDoUpdate({ target: passkeys.id, set: row }).run();
    },
    removePasskey(id: string): void {
      db.delete(passkeys).where(eq(passkeys.id, id)).run();
    },

    session: (id: string): Session | undefined => session.get({ id }),
    /** The one seen last first. */
    sessions: (): Session[] => db.select().from(sessions).orderBy(desc(sessions.seenAt)).all(),
    sessionsOn: (device: string): Session[] =>
      db.select().from(sessions).where(eq(sessions.device, device)).all(),
    openSession(row: Session): void {
      db.insert(sessions).values(row).run();
    },
    seen(id: string, at: number): void {
      db.update(sessions).set({ seenAt: at }).where(eq(sessions.id, id)).run();
    },
    endSession(id: string): void {
      db.delete(sessions).where(eq(sessions.id, id)).run();
    },
    endSessionsOf(person: string, except = ""): void {
      db.delete(sessions)
        .where(and(eq(sessions.person, person), ne(sessions.id, except)))
        .run();
    },
    /** Ends those that were not seen since. */
    endUnseen(before: number, shared: boolean): void {
      db.delete(sessions)
        .where(and(lt(sessions.seenAt, before), eq(sessions.shared, shared)))
        .run();
    },

    pin: (device: string, person: string): Pin | undefined =>
      db.select().from(pins).where(ofDevice(device, person)).get(),
    pinsOn: (device: string): Pin[] => db.select().from(pins).where(eq(pins.device, device)).all(),
    savePin(row: Pin): void {
      db.insert(pins)
        .values(row)
        .onConflictDoUpdate({ target: [pins.device, pins.person], set: row })
        .run();
    },
    removePin(device: string, person: string): void {
      db.delete(pins).where(ofDevice(device, person)).run();
    },
    removePinsOf(person: string): void {
      db.delete(pins).where(eq(pins.person, person)).run();
    },

    note(at: number, by: string, fact: AccessFact): void {
      db.insert(accessLog).values({ at, by, fact }).run();
    },
    /** The newest first; those before a place in the log, to page further back. */
    log: (most: number, before?: number): AccessEntry[] =>
      db
        .select()
        .from(accessLog)
        .where(before === undefined ? gt(accessLog.seq, 0) : lt(accessLog.seq, before))
        .orderBy(desc(accessLog.seq))
        .limit(most)
        .all(),
  };
}
export type AccessRepository = ReturnType<typeof accessRepository>;
