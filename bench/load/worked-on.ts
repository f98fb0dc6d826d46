import { join } from "node:path";
import { openDatabase } from "@/data";
import { DATABASE, type Folders, listBackups, makeBackup } from "@/server/backup/backups";
import { restore } from "@/server/backup/restore";
import { addPerson } from "@/server/own/add-person";
import { installationIn } from "@/server/proof/installation";
import { servicesOn } from "@/server/services";

/** Works on a folder until it is killed, and says what was acknowledged: bench/kills.bench.ts kills it. */
const [data = "", what = ""] = process.argv.slice(2);
const folders: Folders = { data, backups: join(data, "backups") };
const say = (text: string) => process.stdout.write(`${text}\n`);

/** Numbers of those who were hired, each said once it is stored. */
function hire(from: number): void {
  const services = servicesOn(openDatabase(join(data, DATABASE)), undefined, undefined, installationIn(data));
  for (let number = from; ; number++) {
    const done = addPerson(services, { name: `Hand ${number}`, may: "Hydrants" }, "Ina Lund");
    if (!done.ok) throw new Error(JSON.stringify(done.error));
    say(String(number));
  }
}

say("ready");
switch (what) {
  case "write":
    hire(Number(process.argv[4]));
    break;
  case "back-up":
    for (;;) if ((await makeBackup(folders, "daily", Date.now())).ok) say("made");
  case "restore":
    for (;;)
      for (const backup of listBackups(folders).filter(({ why }) => why === "by-hand"))
        if ((await restore(folders, backup, Date.now())).ok) say(backup.id);
  case "bring-up":
    // An older database, brought up.
    openDatabase(join(data, DATABASE)).$client.close();
    say("up");
    break;
  default:
    throw new Error(`what to do with the folder is not known: ${what}`);
}
