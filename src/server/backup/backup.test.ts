import {
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Database from "better-sqlite3";
import fc from "fast-check";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { openDatabase } from "@/data";
import { addPerson } from "../own/add-person";
import { installationIn } from "../proof/installation";
import { type Services, servicesOn } from "../services";
import { moveStock } from "../store/move";
import { saveStoreHead } from "../store/own-store";
import { DATABASE, type Folders, faultOfBackup, listBackups, makeBackup, newestGood } from "./backups";
import { lostBy, restore } from "./restore";
import { outlived } from "./rotation";
import { backUpBeforeUpdate, backUpDaily, dailyFault, isBackupDue } from "./schedule";
import { lostWords } from "./words";

const NOW = Date.parse("2027-03-01T09:00:00Z");
const HOUR = 3_600_000;
let folders: Folders;
let open: Services[] = [];

/** Services on the database of the folder, as a server has them. */
function served(): Services {
  const services = servicesOn(
    openDatabase(join(folders.data, DATABASE)),
    () => NOW,
    undefined,
    installationIn(folders.data),
  );
  open.push(services);
  return services;
}
beforeEach(() => {
  const data = mkdtempSync(join(tmpdir(), "loftbell-backup-"));
  folders = { data, backups: join(data, "backups") };
});
afterEach(() => {
  for (const { db } of open) db.$client.close();
  open = [];
  rmSync(folders.data, { recursive: true, force: true });
});

const must = <T>(done: { ok: true; value: T } | { ok: false; error: unknown }): T => {
  if (!done.ok) throw new Error(JSON.stringify(done.error));
  return done.value;
};
const hire = (services: Services, name: string) =>
  must(addPerson(services, { name, may: "Hydrants" } as never, "Ina Lund"));
const names = (services: Services) => services.library.crew().map(({ name }) => name);
const make = async (why: Parameters<typeof makeBackup>[1] = "by-hand", at = NOW) =>
  must(await makeBackup(folders, why, at));

describe("a backup", () => {
  it("is made while the data is worked on, looked through, and has all that was acknowledged", async () => {
    const services = served();
    hire(services, "Ina Lund");
    const backup = await make();
    expect(backup).toMatchObject({ why: "by-hand", counts: { changes: 1, valves: 0 } });
    expect(await faultOfBackup(folders, backup)).toBeUndefined();
    // One file: nothing of it lies in a write-ahead log beside it.
    expect(readdirSync(join(folders.backups, backup.id)).sort()).toEqual([
      "backup.json",
      "installation.key",
      "loftbell.db",
    ]);
    const copy = new Database(join(folders.backups, backup.id, DATABASE), { readonly: true });
    expect(copy.prepare("select count(*) from people").pluck().get()).toBe(1);
    copy.close();
  });

  it("made at the same time as another is another one; neither takes the other away", async () => {
    served();
    const made = await Promise.all([makeBackup(folders, "daily", NOW), makeBackup(folders, "daily", NOW)]);
    expect(new Set(made.map((each) => must(each).id)).size).toBe(2);
    expect(listBackups(folders).length).toBe(2);
    for (const each of listBackups(folders)) expect(await faultOfBackup(folders, each)).toBeUndefined();
  });

  it("of nothing is none, and says so", async () => {
    expect(await makeBackup(folders, "by-hand", NOW)).toMatchObject({ ok: false });
    expect(listBackups(folders)).toEqual([]);
  });

  it("that was changed, cut short or half written is known to be no good", async () => {
    served();
    const [a, b, c] = [await make(), await make(), await make()];
    expect(new Set([a.id, b.id, c.id]).size).toBe(3);
    const path = (id: string) => join(folders.backups, id, DATABASE);
    truncateSync(path(c.id), 10_000);
    const bytes = readFileSync(path(b.id));
    bytes[bytes.length - 50] = bytes[bytes.length - 50]! ^ 1;
    writeFileSync(path(b.id), bytes);
    expect(await faultOfBackup(folders, c)).toBeDefined();
    expect(await faultOfBackup(folders, b)).toBeDefined();
    expect(await newestGood(folders)).toMatchObject({ id: a.id });
    writeFileSync(join(folders.backups, a.id, "backup.json"), "{");
    expect(listBackups(folders).map(({ id }) => id)).not.toContain(a.id);
  });

  it("a day is due when the last daily one is a day old", async () => {
    served();
    expect(isBackupDue(folders, NOW)).toBe(true);
    await make("daily");
    expect(isBackupDue(folders, NOW + 20 * HOUR)).toBe(false);
    expect(isBackupDue(folders, NOW + 24 * HOUR)).toBe(true);
  });

  it("of the day that cannot be made is told until one is", async () => {
    const services = served();
    writeFileSync(folders.backups, "a file where the folder should be");
    const end = backUpDaily(services, folders);
    await vi.waitFor(() => expect(dailyFault(folders)).toContain("No backup was made"));
    end();
    rmSync(folders.backups);
    backUpDaily(services, folders)();
    await vi.waitFor(() => expect(listBackups(folders).length).toBe(1));
    await vi.waitFor(() => expect(dailyFault(folders)).toBeUndefined());
  });

  it("is made before a newer program brings the data up, and not otherwise", async () => {
    expect(await backUpBeforeUpdate(folders, NOW)).toBeUndefined();
    served().db.$client.exec(
      "delete from __drizzle_migrations where created_at = (select max(created_at) from __drizzle_migrations)",
    );
    expect(await backUpBeforeUpdate(folders, NOW)).toBeUndefined();
    expect(listBackups(folders).map(({ why }) => why)).toEqual(["before-update"]);
    open.pop()!.db.$client.close();
    rmSync(join(folders.data, DATABASE));
    served();
    await backUpBeforeUpdate(folders, NOW + HOUR);
    expect(listBackups(folders).length).toBe(1);
  });
});

describe("a backup put back", () => {
  it("gives the state of then to those who go on working, and what was there is kept", async () => {
    const services = served();
    hire(services, "Ina Lund");
    const backup = await make();
    hire(services, "Tam Arkle");
    const lost = lostBy(folders, backup);
    expect(lost).toMatchObject({ kind: "known", counts: { changes: 1 } });
    expect(lostWords(lost)).toContain("1 change of own data");
    const done = must(await restore(folders, backup, NOW + HOUR));
    expect(names(services)).toEqual(["Ina Lund"]);
    // It can be gone on with, and the way back is there, too.
    hire(services, "Bryn Collier");
    expect(names(services)).toEqual(["Bryn Collier", "Ina Lund"]);
    const before = listBackups(folders).find(({ id }) => id === done.before)!;
    must(await restore(folders, before, NOW + 2 * HOUR));
    expect(names(services).sort()).toEqual(["Ina Lund", "Tam Arkle"]);
  });

  it("takes the place of a damaged or missing database, whose files are laid aside", async () => {
    const services = served();
    hire(services, "Ina Lund");
    const backup = await make();
    services.db.$client.close();
    open = [];
    for (const harm of ["damaged", "empty", "missing"] as const) {
      const path = join(folders.data, DATABASE);
      for (const end of ["-wal", "-shm"]) rmSync(`${path}${end}`, { force: true });
      if (harm === "missing") rmSync(path);
      else writeFileSync(path, harm === "empty" ? "" : Buffer.alloc(30_000, 7));
      expect(lostBy(folders, backup).kind).toBe("unreadable");
      const done = must(await restore(folders, backup, NOW + HOUR));
      expect(done.before).toMatch(/^damaged-/);
      const again = served();
      expect(names(again), harm).toEqual(["Ina Lund"]);
      again.db.$client.close();
      open = [];
    }
    expect(existsSync(join(folders.data, "restoring.db"))).toBe(false);
  });

  it("that is no good, or of a newer program, is refused and changes nothing", async () => {
    const services = served();
    hire(services, "Ina Lund");
    const backup = await make();
    expect(await restore(folders, { ...backup, step: 999 }, NOW)).toMatchObject({ ok: false });
    truncateSync(join(folders.backups, backup.id, DATABASE), 5000);
    expect(await restore(folders, backup, NOW)).toMatchObject({ ok: false });
    expect(names(services)).toEqual(["Ina Lund"]);
    expect(listBackups(folders).length).toBe(1);
  });

  it("brings back neither a password nor a session that was ended since: who may come in stays as it is", async () => {
    const services = served();
    hire(services, "Ina Lund");
    const { access } = services;
    const account = { person: "ina-lund", role: "keeper", code: null, codeUntil: null } as const;
    const session = {
      id: "s",
      person: "ina-lund",
      device: "d",
      browser: "",
      how: "password",
      shared: false,
    } as const;
    access.saveAccount({ ...account, password: "old" });
    access.openSession({ ...session, openedAt: NOW, seenAt: NOW });
    access.switch("sign-in", true);
    const backup = await make();
    access.saveAccount({ ...account, password: "new" });
    access.endSession("s");
    must(await restore(folders, backup, NOW + HOUR));
    expect(access.account("ina-lund")?.password).toBe("new");
    expect(access.sessions()).toEqual([]);
    expect(access.isOn("sign-in")).toBe(true);
  });

  it("in place of a damaged database has who might come in then, and everybody signs in anew", async () => {
    const services = served();
    const { access } = services;
    access.saveAccount({ person: "ina", role: "keeper", password: "then", code: null, codeUntil: null });
    access.openSession({
      id: "s",
      person: "ina",
      device: "d",
      browser: "",
      how: "pin",
      shared: true,
      openedAt: NOW,
      seenAt: NOW,
    });
    const backup = await make();
    services.db.$client.close();
    open = [];
    writeFileSync(join(folders.data, DATABASE), "no database at all");
    must(await restore(folders, backup, NOW + HOUR));
    const after = served().access;
    expect(after.account("ina")?.password).toBe("then");
    expect(after.sessions()).toEqual([]);
  });

  it("has the store and its ledger as they were", async () => {
    const services = served();
    const head = {
      format: "loftbell.store" as const,
      version: 1 as const,
      id: "works",
      name: "Works",
      currency: "SHP",
      places: [{ id: "van", name: "Van", kind: "van" as const, days: 0 }],
    };
    must(saveStoreHead(services, "works", { row: head }, "Ina Lund"));
    const tape = { kind: "supply" as const, id: "tape" };
    const come = { kind: "in" as const, item: tape, name: "Tape", place: "van", quantity: 2 };
    must(moveStock(services, "works", [come], "Ina Lund"));
    const backup = await make();
    must(moveStock(services, "works", [come], "Ina Lund"));
    must(await restore(folders, backup, NOW + HOUR));
    expect(services.library.stores()[0]!.stock[0]!.quantity).toBe(2);
    expect(services.movements.all().length).toBe(1);
  });
});

describe("what has outlived its use", () => {
  const day = (n: number, why: "daily" | "by-hand" = "daily") => ({
    id: `${why}-${n}`,
    made: new Date(NOW - n * 24 * HOUR).toISOString(),
    why,
  });

  it("goes: a year of days becomes a fortnight of days, weeks and months", () => {
    const all = Array.from({ length: 365 }, (_, n) => day(n));
    const left = all.length - outlived(all).length;
    expect(left).toBeGreaterThan(14 + 5);
    expect(left).toBeLessThan(14 + 8 + 24);
    expect(outlived([day(300, "by-hand"), ...all])).not.toContain("by-hand-300");
  });

  it("is never one of the newest, and what stayed once stays when nothing is added", () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.nat({ max: 900 }), { maxLength: 60 }), (ages) => {
        const all = ages.map((age) => day(age));
        const gone = new Set(outlived(all));
        const newest = [...all].sort((a, b) => (a.made < b.made ? 1 : -1)).slice(0, 5);
        for (const { id } of newest) expect(gone.has(id)).toBe(false);
        expect(outlived(all.filter(({ id }) => !gone.has(id)))).toEqual([]);
      }),
    );
  });
});
