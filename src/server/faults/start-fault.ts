import { existsSync } from "node:fs";
import { unreachable } from "@/core/result";

/** Why the files beside the database cannot be relied on. */
export type FileFault = "no-key" | "key-damaged" | "key-of-another" | "witness-damaged";

/** Thrown where one of them is read: nothing is made anew in its place. */
export class DamagedFile extends Error {
  constructor(
    readonly fault: FileFault,
    readonly folder: string,
  ) {
    super(fileFaultWords(fault, folder));
  }
}

/** Why this data must not be worked on, in words, with the way out. */
export interface StartFault {
  readonly message: string;
  /** Whether putting a backup back would help. */
  readonly restore: boolean;
}

/** Said once by whoever starts it: the old key is nowhere, and a new one is to be made. */
export const mayMakeNewKey = (): boolean => process.env.LOFTBELL_NEW_KEY === "yes";

const KEY_BACK =
  "Copy installation.key out of the folder of a backup into the data folder, and start again. If it is nowhere any more, start once with LOFTBELL_NEW_KEY=yes: everything can be read, and what was signed before stands in doubt.";

export function fileFaultWords(fault: FileFault, folder: string): string {
  switch (fault) {
    case "no-key":
      return `installation.key is missing from ${folder}, and what is stored was signed with it. ${KEY_BACK}`;
    case "key-damaged":
      return `installation.key in ${folder} is damaged. ${KEY_BACK}`;
    case "key-of-another":
      return `installation.key in ${folder} is not the one that this data was signed with. ${KEY_BACK}`;
    case "witness-damaged":
      return `newest-anchor.json in ${folder} is damaged: it says where the database has to end. Look with ./loftbell doctor whether the database is whole and has your newest work. If so, take newest-anchor.json away and start again; it is written anew.`;
    default:
      return unreachable(fault);
  }
}

/** Faults of the folder itself, by the code that the system gives. */
export function folderFault(thrown: unknown, folder: string): string | undefined {
  const { code } = (thrown ?? {}) as { code?: string };
  if (code === "EACCES" || code === "EROFS" || code === "EPERM")
    return `The data folder ${folder} cannot be written. Give the server's user the right to write into it, or name another with LOFTBELL_DATA.`;
  if (code === "ENOTDIR" || code === "EEXIST")
    return `${folder} is no folder: a file is in its way. Take it away, or name another folder with LOFTBELL_DATA.`;
  if (code === "ENOSPC") return "The disk is full. Make room on the disk of the server, then start it again.";
  if (code === "EIO")
    return `The disk of ${folder} does not answer as it should. Look at the disk of the server.`;
  // A folder above it was taken away, or a disk is not mounted.
  return code === "ENOENT" && !existsSync(folder)
    ? `The data folder ${folder} is not there and cannot be made. Look whether its disk is mounted, or name another with LOFTBELL_DATA.`
    : undefined;
}
