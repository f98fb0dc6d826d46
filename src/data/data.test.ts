import { copyFileSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Database from "better-sqlite3";
import { sql } from "drizzle-orm";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { chainStart, seal } from "@/core/job";
import { wetJob } from "@/core/job/job.fixtures";
import {
  editRepository,
  jobRepository,
  libraryRepository,
  migrationsIn,
  openDatabase,
  openToLook,
  throwIfDamaged,
} from ".";

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), "loftbell-data-"));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));
const path = () => join(folder, "deep", "loftbell.db");

const inputs = wetJob();
const event = (id: string) =>
  ({ v: 1, id, at: inputs.openedAt, by: "Tam", kind: "note-added", text: "hello" }) as const;
const first = seal(event("a"), 1, inputs.openedAt, chainStart(inputs));

describe("a database file", () => {
  it("is made with its folder, writes ahead and synchronously", () => {
    const db = openDatabase(path());
    expect(db.get<{ journal_mode: string }>(sql`pragma journal_mode`)?.journal_mode).toBe("wal");
    expect(db.get<{ synchronous: number }>(sql`pragma synchronous`)?.synchronous).toBe(2);
  });

  it("opened again holds what was acknowledged, and migrations do not run twice", () => {
    const jobs = jobRepository(openDatabase(path()));
    jobs.create(inputs);
    jobs.append(inputs.id, [first]);
    // A second connection, as after a killed process: nothing was closed.
    const again = jobRepository(openDatabase(path())).find(inputs.id);
    expect(again).toEqual({ inputs, events: [first], closedAt: undefined });
  });
});

describe("what a killed process left half done", () => {
  it("is taken back by whoever only looks", () => {
    const path = join(folder, "half.db");
    const writing = new Database(path);
    writing.exec("create table things (text); insert into things values ('acknowledged')");
    // So little room that pages go to the disk before they are acknowledged, as in a great transaction.
    writing.pragma("cache_size = 2");
    writing.exec("begin");
    const add = writing.prepare("insert into things values (?)");
    for (let more = 0; more < 200; more++) add.run("x".repeat(2000));
    const killed = join(folder, "killed.db");
    for (const end of ["", "-journal"]) copyFileSync(`${path}${end}`, `${killed}${end}`);
    writing.close();
    const look = openToLook(killed);
    expect(look.prepare("select text from things").pluck().all()).toEqual(["acknowledged"]);
    expect(() => look.exec("delete from things")).toThrow(/readonly/);
    look.close();
    expect(() => throwIfDamaged(killed)).not.toThrow();
    expect(migrationsIn(killed)).toBe(0);
  });
});

describe("what was brought in before there was a book of changes", () => {
  it("stands in the book when an older database is opened", () => {
    mkdirSync(join(folder, "old"), { recursive: true });
    const old = join(folder, "old", "loftbell.db");
    const raw = new Database(old);
    const { entries } = JSON.parse(readFileSync("src/data/migrations/meta/_journal.json", "utf8"));
    const before = entries.filter(({ idx }: { idx: number }) => idx < 5);
    for (const { tag } of before)
      raw.exec(
        readFileSync(`src/data/migrations/${tag}.sql`, "utf8").replaceAll("--> statement-breakpoint", ""),
      );
    raw.exec(
      "create table __drizzle_migrations (id integer primary key autoincrement, hash text not null, created_at numeric)",
    );
    for (const { when } of before)
      raw.prepare("insert into __drizzle_migrations (hash, created_at) values ('had', ?)").run(when);
    raw
      .prepare("insert into imports values ('i-1', 5, 'Tam', ?, null)")
      .run(JSON.stringify(["a.csv", "b.json"]));
    raw
      .prepare("insert into import_changes values ('i-1', 0, 'valve', 'A-1', null, ?)")
      .run(JSON.stringify({ tag: "A-1" }));
    raw.close();
    const edits = editRepository(openDatabase(old));
    expect(edits.recent(9)).toEqual([
      {
        id: "i-1",
        at: 5,
        by: "Tam",
        what: { kind: "import", files: ["a.csv", "b.json"] },
        undoneAt: null,
        undoneBy: null,
        changes: 1,
      },
    ]);
    expect(edits.changes("i-1")).toEqual([
      { edit: "i-1", seq: 0, kind: "valve", id: "A-1", before: null, after: { tag: "A-1" } },
    ]);
  });
});

describe("lines", () => {
  const quay = wetJob().line!;

  it("are listed with what a list shows", () => {
    const library = libraryRepository(openDatabase(":memory:"));
    library.saveLine(quay);
    expect(library.lineSummaries()).toEqual([
      {
        id: "north-quay",
        name: quay.name,
        medium: "water",
        nodes: quay.nodes.length,
        links: quay.links.length,
        valves: quay.links.filter((link) => link.kind === "valve").length,
      },
    ]);
  });

  it("stored before the summaries were kept open with theirs filled in", () => {
    mkdirSync(join(folder, "old"), { recursive: true });
    const old = join(folder, "old", "loftbell.db");
    const raw = new Database(old);
    raw.exec(
      readFileSync("src/data/migrations/0000_foundations.sql", "utf8").replaceAll(
        "--> statement-breakpoint",
        "",
      ),
    );
    raw.prepare("insert into lines (id, document) values (?, ?)").run(quay.id, JSON.stringify(quay));
    // What the migrator notes down after the first migration.
    const [first] = JSON.parse(readFileSync("src/data/migrations/meta/_journal.json", "utf8")).entries;
    raw.exec(
      "create table __drizzle_migrations (id integer primary key autoincrement, hash text not null, created_at numeric)",
    );
    raw.prepare("insert into __drizzle_migrations (hash, created_at) values ('first', ?)").run(first.when);
    raw.close();
    const library = libraryRepository(openDatabase(old));
    expect(library.lineSummaries()[0]).toMatchObject({
      name: quay.name,
      medium: "water",
      links: quay.links.length,
    });
    expect(library.line(quay.id)).toEqual(quay);
  });
});

describe("the job log", () => {
  it("refuses a second event of the same id or number", () => {
    const jobs = jobRepository(openDatabase(":memory:"));
    jobs.create(inputs);
    jobs.append(inputs.id, [first]);
    expect(() => jobs.append(inputs.id, [first])).toThrow();
    expect(() => jobs.append(inputs.id, [{ ...first, seal: { ...first.seal, seq: 2 } }])).toThrow();
    expect(jobs.find(inputs.id)?.events.length).toBe(1);
  });

  it("belongs to a job that is there", () => {
    expect(() => jobRepository(openDatabase(":memory:")).append("none", [first])).toThrow();
  });
});

describe("the library", () => {
  it("keeps every revision of a sheet and gives the newest", () => {
    const library = libraryRepository(openDatabase(":memory:"));
    expect(library.isEmpty()).toBe(true);
    library.saveSheet({ ...inputs.sheet, revision: 2, summary: "second" });
    library.saveSheet({ ...inputs.sheet, revision: 10, summary: "tenth" });
    expect(library.sheet(inputs.sheet.id)?.summary).toBe("tenth");
    expect(library.sheet(inputs.sheet.id, 2)?.summary).toBe("second");
    expect(library.sheets().map((sheet) => sheet.revision)).toEqual([10]);
    expect(library.isEmpty()).toBe(false);
  });

  it("takes a reading once", () => {
    const library = libraryRepository(openDatabase(":memory:"));
    const reading = {
      valve: "X",
      at: 1,
      what: "static-pressure",
      dimension: "gauge pressure",
      si: 4e5,
      typed: "4 bar",
      by: "Tam",
    };
    library.saveReadings([reading, reading]);
    library.saveReadings([{ ...reading, si: 9e5 }]);
    expect(library.readings("X")).toEqual([reading]);
  });
});
