import { spawnSync } from "node:child_process";
import { createHash, generateKeyPairSync } from "node:crypto";
import {
  copyFileSync,
  cpSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Database from "better-sqlite3";
import { filledBy, TestServer } from "./server";
import { expect, test } from "./test";

/**
 * What keeps it from working on its data: known at the start, said on every page and by health, with a way out, and
 * nothing changed by it. Faults that come while it serves are in src/server/faults/faults.test.ts.
 */

const fill = filledBy(async (services) => {
  const { importFiles } = await import("@/server/importing/import-files");
  const files = [
    { name: "s.json", text: readFileSync("library/brae-quaywall-4.json", "utf8") },
    { name: "r.csv", text: "tag,name,place,sheet\nA-1,V,P,brae-quaywall-4" },
    { name: "p.csv", text: "tag,at,what,dimension,value,unit,by\nA-1,2026-01-05,p,gauge pressure,3,bar g,T" },
  ];
  importFiles(services, files, "Test");
});

interface StartFault {
  readonly name: string;
  readonly spoil: (folder: string) => void;
  readonly says: RegExp;
  readonly wayOut: RegExp;
  /** Whether the newest good backup is offered. */
  readonly restore: boolean;
  /** Where it is started instead, and with what. */
  readonly by?: Readonly<Record<string, string>>;
}

const database = (folder: string) => join(folder, "loftbell.db");
const inDatabase = (folder: string, work: (db: Database.Database) => void) => {
  const db = new Database(database(folder));
  work(db);
  db.close();
};
/** No folder can be made there, whoever asks. */
const NOWHERE = "/sys/loftbell";

const FAULTS: readonly StartFault[] = [
  {
    name: "the database is empty",
    spoil: (folder) => truncateSync(database(folder), 0),
    says: /is empty or gone, and 1 changes were acknowledged/,
    wayOut: /put back the newest copy/,
    restore: true,
  },
  {
    name: "the database is gone",
    spoil: (folder) => rmSync(database(folder)),
    says: /is empty or gone, and 1 changes were acknowledged/,
    wayOut: /put back the newest copy/,
    restore: true,
  },
  {
    name: "the database is written over",
    spoil: (folder) => writeFileSync(database(folder), Buffer.alloc(40_000, 7)),
    says: /The database is damaged/,
    wayOut: /keep a copy of the whole data folder as it is, and put back/,
    restore: true,
  },
  {
    name: "the database is cut to half",
    spoil: (folder) =>
      truncateSync(database(folder), Math.floor(statSync(database(folder)).size / 8192) * 4096),
    says: /The database is damaged/,
    wayOut: /put back the newest copy/,
    restore: true,
  },
  {
    name: "pages of the database are blank",
    spoil: (folder) => {
      const bytes = readFileSync(database(folder));
      bytes.fill(0, 4096 * 4, 4096 * 40);
      writeFileSync(database(folder), bytes);
    },
    says: /The database is damaged/,
    wayOut: /put back the newest copy/,
    restore: true,
  },
  {
    name: "the database is of a newer version",
    spoil: (folder) =>
      inDatabase(folder, (db) =>
        db.exec("insert into __drizzle_migrations (hash, created_at) values ('later', 9e15)"),
      ),
    says: /written by a newer Loft Bell/,
    wayOut: /Start the newer one/,
    restore: true,
  },
  {
    name: "the end of the database is lost",
    spoil: (folder) => inDatabase(folder, (db) => db.exec("delete from anchors; delete from heads")),
    says: /has lost its end: 1 of 1 acknowledged changes/,
    wayOut: /put back the newest copy of the whole data folder/,
    restore: true,
  },
  {
    name: "another end stands where the acknowledged one stood",
    spoil: (folder) =>
      writeFileSync(join(folder, "newest-anchor.json"), '{"seq":1,"hash":"another"}'.padEnd(128)),
    says: /not the one that was acknowledged/,
    wayOut: /look for the original/,
    restore: true,
  },
  {
    name: "what remembers the end is damaged",
    spoil: (folder) => writeFileSync(join(folder, "newest-anchor.json"), "\u0000\u0000{"),
    says: /newest-anchor.json .* is damaged/,
    wayOut: /\.\/loftbell doctor .* take newest-anchor.json away/,
    restore: false,
  },
  {
    name: "the key is gone",
    spoil: (folder) => rmSync(join(folder, "installation.key")),
    says: /installation.key is missing/,
    wayOut: /Copy installation.key out of the folder of a backup/,
    restore: false,
  },
  {
    name: "the key is damaged",
    spoil: (folder) => truncateSync(join(folder, "installation.key"), 60),
    says: /installation.key .* is damaged/,
    wayOut: /Copy installation.key out of the folder of a backup/,
    restore: false,
  },
  {
    name: "the key is another one's",
    spoil: (folder) =>
      writeFileSync(
        join(folder, "installation.key"),
        generateKeyPairSync("ed25519").privateKey.export({ type: "pkcs8", format: "pem" }),
      ),
    says: /not the one that this data was signed with/,
    wayOut: /LOFTBELL_NEW_KEY=yes/,
    restore: false,
  },
  {
    name: "it is older, and cannot be backed up before it is brought up",
    spoil: (folder) =>
      inDatabase(folder, (db) =>
        db.exec(
          "delete from __drizzle_migrations where created_at = (select max(created_at) from __drizzle_migrations)",
        ),
      ),
    says: /the data is backed up before it is brought up\. No backup was made/,
    wayOut: /name another folder with LOFTBELL_BACKUPS/,
    restore: false,
    by: { LOFTBELL_BACKUPS: NOWHERE },
  },
  {
    name: "the data folder cannot be made",
    spoil: () => {},
    says: /The data folder \/sys\/loftbell cannot be written/,
    wayOut: /Give the server's user the right|name another with LOFTBELL_DATA/,
    restore: false,
    by: { LOFTBELL_DATA: NOWHERE },
  },
  {
    name: "a file is where the data folder should be",
    spoil: () => {},
    says: /package.json is no folder/,
    wayOut: /Take it away, or name another folder/,
    restore: false,
    by: { LOFTBELL_DATA: join(process.cwd(), "package.json") },
  },
];

const whole = mkdtempSync(join(tmpdir(), "loftbell-whole-"));
test.beforeAll(async () => {
  await fill(whole);
  inDatabase(whole, (db) => db.pragma("wal_checkpoint(truncate)"));
  const env = { ...process.env, LOFTBELL_MODE: "own", LOFTBELL_DATA: whole };
  expect(spawnSync(process.execPath, ["dist/care.mjs", "backup"], { env }).status).toBe(0);
});
test.afterAll(() => rmSync(whole, { recursive: true, force: true }));

for (const { name, spoil, says, wayOut, restore, by } of FAULTS)
  test(`at the start: ${name}`, async ({ request }) => {
    const spoiled = async (folder: string) => {
      cpSync(whole, folder, { recursive: true });
      spoil(folder);
    };
    const server = new TestServer("own", false, undefined, by);
    await spoiled(server.folder);
    const before = filesIn(server.folder);
    try {
      await server.start(0, 503);
      const health = await request.get(`${server.url}/api/health`);
      expect(health.status()).toBe(503);
      const { ok, message } = await health.json();
      expect(ok).toBe(false);
      expect(message).toMatch(says);
      expect(message).toMatch(wayOut);
      expect(message.includes("The newest good backup is")).toBe(restore);
      const page = await (await request.get(`${server.url}/valves`)).text();
      expect(page).toContain("Loft Bell cannot work on this data.");
      expect(page).toContain(message);
      const sent = await request.post(`${server.url}/api/v1/people`, { data: { name: "X", may: "" } });
      expect(sent.status()).toBe(503);
      expect(filesIn(server.folder)).toEqual(before);
    } finally {
      await server.end();
    }
  });

/** Hashes of what the folder holds that counts. */
const filesIn = (folder: string) =>
  ["loftbell.db", "installation.key", "newest-anchor.json"].map((name) => {
    try {
      return createHash("sha256")
        .update(readFileSync(join(folder, name)))
        .digest("hex");
    } catch {
      return undefined;
    }
  });

test("the ways out are ways: the key copied back, the end's memory taken away, a new key by one's word", async ({
  request,
}) => {
  const [backup = ""] = readdirSync(join(whole, "backups"));
  const server = new TestServer("own", false);
  const starts = async () => {
    await server.start();
    expect(await (await request.get(`${server.url}/api/health`)).json()).toMatchObject({
      ok: true,
      faults: [],
    });
    await server.kill();
  };
  try {
    cpSync(whole, server.folder, { recursive: true });
    const key = join(server.folder, "installation.key");
    rmSync(key);
    await server.start(0, 503);
    await server.kill();
    copyFileSync(join(server.folder, "backups", backup, "installation.key"), key);
    await starts();
    writeFileSync(join(server.folder, "newest-anchor.json"), "?");
    await server.start(0, 503);
    await server.kill();
    rmSync(join(server.folder, "newest-anchor.json"));
    await starts();
  } finally {
    await server.end();
  }
  const anew = new TestServer("own", false, undefined, { LOFTBELL_NEW_KEY: "yes" });
  try {
    cpSync(whole, anew.folder, { recursive: true });
    rmSync(join(anew.folder, "installation.key"));
    await anew.start();
    // Nothing that was signed before is passed for whole.
    await expect(async () => {
      const health = await (await request.get(`${anew.url}/api/health`)).json();
      expect(health).toMatchObject({ ok: true, verified: true });
      expect(health.doubts).toBeGreaterThan(0);
    }).toPass();
  } finally {
    await anew.end();
  }
});

test("what is wrong with the server while it serves stands on every page", async ({ page, request }) => {
  const server = new TestServer("demo");
  try {
    await server.start();
    await page.goto(`${server.url}/valves`);
    await expect(page.getByRole("heading", { level: 1, name: "Valves" })).toBeVisible();
    writeFileSync(join(server.folder, "backup-failed.txt"), "There is no room left. Make room.\n");
    // Another program holds the database for as long as it likes.
    const other = new Database(server.database);
    other.exec("begin immediate");
    const sent = await request.post(`${server.url}/api/v1/valves/NQ-H08/fault`, {
      headers: { origin: server.url, "loftbell-person": "tam" },
      data: { says: "Drips" },
    });
    expect(await sent.json()).toMatchObject({ status: 503 });
    await expect(page.getByRole("status").first()).toContainText("Another program holds the database", {
      timeout: 20_000,
    });
    await expect(page.getByRole("status").first()).toContainText("The last backup of the day was not made.");
    other.close();
    await expect(page.getByRole("status").first()).not.toContainText("Another program", { timeout: 30_000 });
  } finally {
    await server.end();
  }
});

test("a port that is taken is said where it is started", async () => {
  const server = new TestServer("own");
  try {
    await server.start();
    const env = {
      ...process.env,
      LOFTBELL_DATA: mkdtempSync(join(tmpdir(), "loftbell-")),
      PORT: new URL(server.url).port,
      DRAWERS: "0",
    };
    const { status, stderr } = spawnSync(process.execPath, ["dist/serve.mjs"], { env, encoding: "utf8" });
    expect(status).toBe(1);
    expect(stderr).toMatch(/Port \d+ is taken.*End it, or choose another with PORT/);
    rmSync(env.LOFTBELL_DATA, { recursive: true, force: true });
  } finally {
    await server.end();
  }
});
