import { spawn } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Database from "better-sqlite3";
import { openDatabase } from "@/data";
import {
  DATABASE,
  type Folders,
  faultOfBackup,
  listBackups,
  lookInto,
  makeBackup,
} from "@/server/backup/backups";
import { addPerson } from "@/server/own/add-person";
import { installationIn } from "@/server/proof/installation";
import { doubtOfEnd } from "@/server/proof/verify";
import { type Services, servicesOn } from "@/server/services";
import { makeOlder } from "./load/made-older";
import { row } from "./table";

/**
 * Kills a process that writes, backs up, puts back or brings up, at any moment, and looks what it left: nothing that was
 * acknowledged may be gone, nothing half may pass for whole. LOFTBELL_KILLS says how often; 40 without it.
 */
const KILLS = Number(process.env.LOFTBELL_KILLS ?? 40);
const LONGEST_MS = 260;

const data = mkdtempSync(join(tmpdir(), "loftbell-kills-"));
const folders: Folders = { data, backups: join(data, "backups") };

function opened<T>(look: (services: Services) => T): T {
  const db = openDatabase(join(data, DATABASE));
  try {
    return look(servicesOn(db, undefined, undefined, installationIn(data)));
  } finally {
    db.$client.close();
  }
}
const hired = (services: Services) => services.library.crew().map(({ name }) => Number(name.split(" ")[1]));

/** Lets it work for a moment after it is ready, and ends it as a power cut would. @returns what it said */
function killed(what: string, ms: number, ...more: string[]): Promise<string[]> {
  const child = spawn(process.execPath, ["--import", "tsx", "bench/load/worked-on.ts", data, what, ...more], {
    stdio: ["ignore", "pipe", "inherit"],
  });
  let said = "";
  let ready = false;
  child.stdout.on("data", (piece) => {
    said += piece;
    if (ready || !said.includes("ready\n")) return;
    ready = true;
    setTimeout(() => child.kill("SIGKILL"), ms);
  });
  return new Promise((resolve, reject) => {
    child.once("exit", (code) => {
      // What ended by itself was not killed: only bringing up may be through before.
      if (code !== null && !(what === "bring-up" && code === 0))
        return reject(new Error(`it ended by itself, with ${code}, while it should ${what}`));
      // A line that was cut off was not acknowledged.
      const lines = said.split("\n").slice(0, -1);
      resolve(lines.filter((line) => line !== "ready"));
    });
  });
}

function expect(fits: boolean, says: string): void {
  if (!fits) throw new Error(says);
}
function sound(): void {
  const inside = lookInto(join(data, DATABASE));
  expect(inside.ok, inside.ok ? "" : inside.error);
  const doubt = opened(({ installation, anchors }) => doubtOfEnd(installation.witness(), anchors.last()));
  expect(doubt === undefined, doubt?.message ?? "");
}

opened((services) => addPerson(services, { name: "Hand 0", may: "Hydrants" }, "Ina Lund"));
let acknowledged = 0;
const counts = { write: 0, "back-up": 0, restore: 0, "bring-up": 0 };
const kinds = Object.keys(counts) as (keyof typeof counts)[];
for (let kill = 0; kill < KILLS; kill++) {
  const what = kinds[kill % kinds.length]!;
  const ms = Math.round(Math.random() * LONGEST_MS);
  counts[what] += 1;
  switch (what) {
    case "write": {
      const before = opened(hired);
      const said = await killed("write", ms, String(Math.max(...before) + 1));
      sound();
      const after = new Set(opened(hired));
      for (const number of [...before, ...said.map(Number)])
        expect(after.has(number), `Hand ${number} was acknowledged and is gone`);
      acknowledged += said.length;
      break;
    }
    case "back-up": {
      await killed("back-up", ms);
      sound();
      for (const backup of listBackups(folders)) {
        const fault = await faultOfBackup(folders, backup);
        expect(fault === undefined, `${backup.id}: ${fault}`);
      }
      break;
    }
    case "restore": {
      for (const old of listBackups(folders).filter(({ why }) => why === "by-hand"))
        rmSync(join(folders.backups, old.id), { recursive: true });
      const one = opened(hired).sort((a, b) => a - b);
      await makeBackup(folders, "by-hand", Date.now());
      opened((services) =>
        addPerson(services, { name: `Hand ${Math.max(...one) + 1}`, may: "Hydrants" }, "Ina Lund"),
      );
      const two = opened(hired).sort((a, b) => a - b);
      await makeBackup(folders, "by-hand", Date.now());
      await killed("restore", ms);
      sound();
      const now = opened(hired)
        .sort((a, b) => a - b)
        .join();
      expect(now === one.join() || now === two.join(), "what was put back is neither the one nor the other");
      break;
    }
    case "bring-up": {
      // As an older version left it: what its last step added is not there.
      makeOlder(join(data, DATABASE));
      const before = asItIs(hiredIn);
      await killed("bring-up", Math.round(ms / 10));
      sound();
      expect(opened(hired).sort().join() === before.sort().join(), "bringing up lost somebody");
      break;
    }
  }
}
rmSync(data, { recursive: true, force: true });
const measured = `${KILLS} kills (${kinds.map((kind) => `${counts[kind]} ${kind}`).join(", ")}): ${acknowledged} acknowledged while writing, none lost, nothing half`;
console.log(measured);
row({ bench: "kills", what: "kill -9 while writing, backing up, putting back, bringing up", measured });

/** Who is there, read without bringing the database up. */
function hiredIn(db: Database.Database): number[] {
  return (db.prepare("select row from people").pluck().all() as string[]).map((row) =>
    Number((JSON.parse(row) as { name: string }).name.split(" ")[1]),
  );
}
function asItIs<T>(look: (db: Database.Database) => T): T {
  const db = new Database(join(data, DATABASE), { readonly: true });
  try {
    return look(db);
  } finally {
    db.close();
  }
}
