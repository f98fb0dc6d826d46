import { accessSync, constants, existsSync } from "node:fs";
import { join } from "node:path";
import { err, ok, type Result } from "@/core/result";
import { MIGRATION_COUNT } from "@/data";
import { makeKeeper } from "@/server/access/accounts";
import {
  DATABASE,
  faultOfBackup,
  listBackups,
  lookInto,
  makeBackup,
  newestGood,
} from "@/server/backup/backups";
import { lostBy, restore } from "@/server/backup/restore";
import { lostWords } from "@/server/backup/words";
import { roomIn } from "@/server/faults/running";
import { DamagedFile, fileFaultWords } from "@/server/faults/start-fault";
import { personNamed } from "@/server/people";
import { installationIn, type Witness } from "@/server/proof/installation";
import { allDoubts, signedByAnother } from "@/server/proof/verify";
import { folders, ownServices } from "@/server/services";
import { serving } from "@/server/serving";

/** Looks after the data of this folder: ./loftbell backup | restore [ID] [--yes] | doctor | keeper NAME. */
const [what, ...rest] = process.argv.slice(2);
const all = folders();
const mega = (bytes: number) => `${(bytes / 1e6).toFixed(1)} MB`;

function fail(message: string): never {
  console.error(message);
  process.exit(1);
}

async function backup(): Promise<void> {
  const made = await makeBackup(all, "by-hand", Date.now());
  if (!made.ok) fail(made.error);
  const { id, bytes, counts } = made.value;
  console.log(
    `Backed up, opened and found whole: ${id}, ${mega(bytes)}, ${counts.valves} valves, ${counts.entries} entries of ${counts.jobs} jobs.`,
  );
  console.log(
    `It lies in ${join(all.backups, id)}. Keep a copy of that folder on another disk: the key in it is secret.`,
  );
}

async function putBack(id: string | undefined, sure: boolean): Promise<void> {
  const known = listBackups(all);
  if (known.length === 0) fail(`There is no backup in ${all.backups}.`);
  const chosen = known.find((each) => each.id === id);
  if (chosen === undefined) {
    for (const each of known)
      console.log(
        `${each.id}  ${mega(each.bytes)}  ${each.counts.valves} valves, ${each.counts.entries} entries`,
      );
    if (id === undefined) return;
    fail(`There is no backup "${id}". Choose one of these.`);
  }
  const url = serving();
  if (url !== undefined)
    fail(`A server works on this folder now (${url}). Put it back in its Loft, or end the server first.`);
  console.log(lostWords(lostBy(all, chosen)));
  if (!sure) fail(`Nothing was changed. To put it back: ./loftbell restore ${chosen.id} --yes`);
  const done = await restore(all, chosen, Date.now());
  if (!done.ok) fail(done.error);
  console.log(`Put back: ${chosen.id}. What was there before is kept: ${done.value.before}.`);
}

/** The files beside the database: the key, and what remembers where the database has to end. */
function besideDatabase(): Result<Witness | undefined, string> {
  try {
    return ok(existsSync(all.data) ? installationIn(all.data).witness() : undefined);
  } catch (thrown) {
    if (thrown instanceof DamagedFile) return err(thrown.message);
    throw thrown;
  }
}

/** Everything that can be wrong with a folder, each with a way out. @returns how many are */
async function doctor(): Promise<number> {
  let wrong = 0;
  const good = (says: string) => console.log(`good   ${says}`);
  const bad = (says: string) => {
    wrong += 1;
    console.log(`WRONG  ${says}`);
  };
  try {
    accessSync(all.data, constants.W_OK);
    good(`The data folder ${all.data} can be written.`);
  } catch {
    bad(
      `The data folder ${all.data} cannot be written. Give the server's user the right, or name another with LOFTBELL_DATA.`,
    );
  }
  const path = join(all.data, DATABASE);
  const best = await newestGood(all);
  const offer =
    best === undefined
      ? "There is no good backup."
      : `Put back the newest good backup: ./loftbell restore ${best.id} --yes`;
  const inside = existsSync(path) ? lookInto(path) : undefined;
  const beside = besideDatabase();
  if (!beside.ok) bad(beside.error);
  if (inside === undefined) {
    const witness = beside.ok ? beside.value : undefined;
    if (witness !== undefined)
      bad(`The database is missing, and ${witness.seq} changes were acknowledged in it. ${offer}`);
    else if (beside.ok) good("There is no database yet: the first start makes it.");
  } else if (!inside.ok) bad(`The database is damaged. ${inside.error} ${offer}`);
  else {
    const { step, counts } = inside.value;
    good(
      `The database is whole: ${counts.valves} valves, ${counts.entries} entries, ${counts.readings} readings.`,
    );
    if (step > MIGRATION_COUNT)
      bad(
        `It was written by a newer Loft Bell (step ${step}; this one knows ${MIGRATION_COUNT}). Start the newer one.`,
      );
    else if (step < MIGRATION_COUNT)
      good("It is of an older Loft Bell: the next start backs it up and brings it up.");
    else if (beside.ok) {
      const services = ownServices();
      if (signedByAnother(services)) bad(fileFaultWords("key-of-another", all.data));
      const doubts = allDoubts(services);
      if (doubts.length === 0) good("Everything stored is as it was acknowledged.");
      for (const { subject, id, message } of doubts) bad(`${subject} ${id}: ${message}`);
    }
  }
  for (const each of listBackups(all)) {
    const fault = await faultOfBackup(all, each);
    if (fault === undefined) good(`Backup ${each.id}, ${mega(each.bytes)}.`);
    else bad(`Backup ${each.id}: ${fault} Take its folder away.`);
  }
  if (best === undefined && inside?.ok === true) bad("There is no good backup. Make one: ./loftbell backup");
  const room = roomIn(existsSync(all.data) ? all.data : process.cwd());
  const needed = 3 * (best?.bytes ?? 50e6);
  if (room === undefined) bad("The system does not say how much room is free on this disk.");
  else if (room < needed)
    bad(`Only ${mega(room)} are free on this disk. Make room: ${mega(needed)} are wanted.`);
  else good(`${mega(room)} are free on this disk.`);
  return wrong;
}

/** Whoever can read this folder can let a keeper in: where the last one forgot the password. */
async function keeper(name: string): Promise<void> {
  const services = ownServices();
  const person = personNamed(services, name);
  if (person === undefined) {
    const crew = services.library.crew().map((each) => each.name);
    fail(`Nobody of the crew is called "${name}": ${crew.join(", ") || "nobody is in it yet"}.`);
  }
  const made = await makeKeeper(services, person, "./loftbell keeper");
  if (!made.ok) fail(made.error.map(({ message }) => message).join(" "));
  console.log(
    `${person.name} comes in as keeper by this code, once, until ${new Date(made.value.until).toISOString()}: ${made.value.code}`,
  );
}

switch (what) {
  case "backup":
    await backup();
    break;
  case "restore":
    await putBack(
      rest.find((each) => !each.startsWith("--")),
      rest.includes("--yes"),
    );
    break;
  case "doctor":
    process.exitCode = (await doctor()) > 0 ? 1 : 0;
    break;
  case "keeper":
    await keeper(rest.join(" "));
    break;
  default:
    fail("usage: ./loftbell backup | restore [ID] [--yes] | doctor | keeper NAME");
}
