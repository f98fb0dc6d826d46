import { existsSync, statSync } from "node:fs";
import { err, ok, type Result } from "@/core/result";
import { MIGRATION_COUNT, migrationsIn, throwIfDamaged } from "@/data";
import { bringUp } from "../bring-up";
import { installationIn } from "../proof/installation";
import { doubtOfEnd, signedByAnother } from "../proof/verify";
import { watched } from "../proof/watch";
import { databasePath, dataFolder, isDemo, type Services, services } from "../services";
import { DamagedFile, folderFault, mayMakeNewKey, type StartFault } from "./start-fault";
import { storageFault } from "./storage-fault";

const fault = (message: string, restore = false) => err<StartFault>({ message, restore });

/**
 * Opens the database of this process, or says in words why it must not be worked on. A database that is empty where it
 * was not, or has lost its end, is not made anew: what was acknowledged may still be saved.
 */
export function openStore(): Result<Services, StartFault> {
  const folder = dataFolder();
  try {
    const lost = emptied();
    if (lost !== undefined) return fault(lost, true);
    const known = migrationsIn(databasePath());
    if (known > MIGRATION_COUNT)
      return fault(
        `This database was written by a newer Loft Bell (step ${known}; this one knows ${MIGRATION_COUNT}). Start the newer one, or put back a copy from before. Nothing was changed.`,
        true,
      );
    if (known > 0) throwIfDamaged(databasePath());
    const all = services();
    if (signedByAnother(all) && !mayMakeNewKey()) throw new DamagedFile("key-of-another", folder);
    const doubt = doubtOfEnd(all.installation.witness(), all.anchors.last());
    if (doubt !== undefined) return fault(doubt.message, true);
    bringUp(all);
    watched(all);
    return ok(all);
  } catch (thrown) {
    if (thrown instanceof DamagedFile) return fault(thrown.message);
    const stored = storageFault(thrown);
    if (stored !== undefined) return fault(stored.message, stored.restore);
    const message = folderFault(thrown, folder);
    if (message !== undefined) return fault(message);
    throw thrown;
  }
}

/** There was something here once: the witness beside the database remembers it. */
function emptied(): string | undefined {
  const path = databasePath();
  const empty = !existsSync(path) || statSync(path).size === 0;
  if (!empty || !existsSync(dataFolder())) return undefined;
  const witness = installationIn(dataFolder()).witness();
  if (witness === undefined || isDemo()) return undefined;
  return `The database ${path} is empty or gone, and ${witness.seq} changes were acknowledged in it. Stop the server and put back the newest copy of the whole data folder. To begin with nothing all the same, take newest-anchor.json away.`;
}
