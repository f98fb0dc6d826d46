import type { Backup } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import { bringUp } from "../bring-up";
import { watched } from "../proof/watch";
import { folders, type Services } from "../services";
import { type Folders, faultOfBackup, listBackups, makeBackup, removeBackup } from "./backups";
import { lostBy, restore } from "./restore";
import { lostWords } from "./words";

const told = (message: string): Result<never, Problem[]> => err([{ path: "", message }]);
const none = told("There is no such backup any more. Load the page again.");

export const backupOf = (id: string, all: Folders = folders()): Backup | undefined =>
  listBackups(all).find((each) => each.id === id);

/** Makes one now, while everybody goes on. */
export async function makeOne(
  { now }: Services,
  all: Folders = folders(),
): Promise<Result<Backup, Problem[]>> {
  const made = await makeBackup(all, "by-hand", now());
  return made.ok ? made : told(made.error);
}

/** Whether it is whole, and what would be lost by it. */
export async function lookAt(id: string, all: Folders = folders()) {
  const backup = backupOf(id, all);
  if (backup === undefined) return none;
  const fault = await faultOfBackup(all, backup);
  return ok({ backup, ...(fault !== undefined && { fault }), lost: lostWords(lostBy(all, backup)) });
}

/** Puts a backup back under those who work: nobody stores meanwhile, and what was read is read again. */
export async function putBack(
  services: Services,
  id: string,
  by: string,
  all: Folders = folders(),
): Promise<Result<{ readonly before: string }, Problem[]>> {
  const backup = backupOf(id, all);
  if (backup === undefined) return none;
  if (backup.publicKey !== services.installation.publicKey)
    return told(
      `${id} is of another installation, which signs with another key. End the server, then: ./loftbell restore ${id}`,
    );
  return services.turns.alone(async () => {
    const { now, newId, edits, live } = services;
    const done = await restore(all, backup, now());
    if (!done.ok) return told(done.error);
    watched(services);
    // One of an older version lacks what lists and the store work with.
    bringUp(services);
    edits.add(
      {
        id: newId(),
        at: now(),
        by,
        what: { kind: "restored", backup: id, made: backup.made },
        undoneAt: null,
        undoneBy: null,
      },
      [],
    );
    live.changed();
    return ok({ before: done.value.before });
  });
}

/** Takes a backup away, unless it is the last good one. */
export async function takeAway(id: string, all: Folders = folders()): Promise<Result<object, Problem[]>> {
  if (backupOf(id, all) === undefined) return none;
  const others = listBackups(all).filter((each) => each.id !== id);
  if (!(await anyGood(all, others))) return told("No other backup is good. Make another one first.");
  removeBackup(all, id);
  return ok({});
}

async function anyGood(all: Folders, backups: readonly Backup[]): Promise<boolean> {
  for (const each of backups) if ((await faultOfBackup(all, each)) === undefined) return true;
  return false;
}
