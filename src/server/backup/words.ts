import type { Backup, BackupReason } from "@/core/formats";
import { grouped } from "@/core/quantity";
import type { Lost } from "./restore";

const NAMES: Readonly<Record<keyof Backup["counts"], readonly [one: string, many: string]>> = {
  valves: ["valve", "valves"],
  jobs: ["job", "jobs"],
  entries: ["entry of a job", "entries of jobs"],
  readings: ["reading", "readings"],
  changes: ["change of own data", "changes of own data"],
  movements: ["movement of the store", "movements of the store"],
  photographs: ["photograph or paper", "photographs and papers"],
};

/** What putting a backup back would lose, in words. */
export function lostWords(lost: Lost): string {
  if (lost.kind === "unreadable")
    return `What is there now cannot be read (${lost.why}) What came since the backup is lost with it; its files are laid aside as they are.`;
  const some = (Object.keys(NAMES) as (keyof Backup["counts"])[]).flatMap((key) => {
    const count = lost.counts[key];
    return count === 0 ? [] : [`${grouped(count)} ${NAMES[key][count === 1 ? 0 : 1]}`];
  });
  return some.length === 0
    ? "Nothing that was added since would be gone. What was changed since would be as it was then."
    : `Gone would be what came since: ${some.join(", ")}. What was changed since would be as it was then. All of it is backed up before.`;
}

export const BACKUP_WHY: Readonly<Record<BackupReason, string>> = {
  "by-hand": "by hand",
  daily: "daily",
  "before-update": "before an update",
  "before-restore": "before one was put back",
};
