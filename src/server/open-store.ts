import { existsSync, statSync } from "node:fs";
import { err, ok, type Result } from "@/core/result";
import { MIGRATION_COUNT, migrationsIn, throwIfDamaged } from "@/data";
import { bringUp } from "./bring-up";
import { installationIn } from "./proof/installation";
import { doubtOfEnd } from "./proof/verify";
import { watched } from "./proof/watch";
import { databasePath, dataFolder, isDemo, type Services, services } from "./services";
import { storageFault } from "./storage-fault";

/**
 * Opens the database of this process, or says in words why it must not be worked on. A database that is empty where it
 * was not, or has lost its end, is not made anew: what was acknowledged may still be saved.
 */
export function openStore(): Result<Services, string> {
  try {
    const lost = emptied();
    if (lost !== undefined) return err(lost);
    const known = migrationsIn(databasePath());
    if (known > MIGRATION_COUNT)
      return err(
        `This database was written by a newer Loft Bell (step ${known}; this one knows ${MIGRATION_COUNT}). Start the newer one, or put back a copy from before. Nothing was changed.`,
      );
    if (known > 0) throwIfDamaged(databasePath());
    const all = services();
    const doubt = doubtOfEnd(all.installation.witness(), all.anchors.last());
    if (doubt !== undefined) return err(doubt.message);
    bringUp(all);
    watched(all);
    return ok(all);
  } catch (thrown) {
    const fault = storageFault(thrown);
    if (fault !== undefined) return err(fault.message);
    const { code } = (thrown ?? {}) as { code?: string };
    if (code === "EACCES" || code === "EROFS" || code === "EPERM")
      return err(
        `The data folder ${dataFolder()} cannot be written. Give the server's user the right to write into it, or name another with LOFTBELL_DATA.`,
      );
    if (code === "ENOSPC")
      return err("The disk is full. Make room on the disk of the server, then start it again.");
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
  return `The database ${path} is empty, and ${witness.seq} changes were acknowledged in it. Stop the server and put back the newest copy of the whole data folder. To begin with nothing all the same, take newest-anchor.json away.`;
}
