import { statfsSync } from "node:fs";
import { dailyFault } from "../backup/schedule";
import { folders, type Services } from "../services";

/** What is wrong with a server that serves all the same. */
export type Fault =
  | { readonly kind: "cannot-store"; readonly message: string }
  | { readonly kind: "clock-behind"; readonly message: string }
  | { readonly kind: "no-backup"; readonly message: string }
  | { readonly kind: "little-room"; readonly message: string };

const CLOCKS_DIFFER_MS = 60_000;
/** Photographs of a day, and a backup beside them, want so much. */
const LITTLE_ROOM_BYTES = 200e6;

/** The newest entry that was stored is dated later than it is now, by this clock. */
export function isClockBehind({ anchors, now }: Services): boolean {
  const last = anchors.last();
  return last !== undefined && Date.parse(last.at) > now() + CLOCKS_DIFFER_MS;
}

/** Bytes free where the data lies; nothing where the system does not say. */
export function roomIn(folder: string): number | undefined {
  try {
    const { bavail, bsize } = statfsSync(folder);
    return bavail * bsize;
  } catch {
    return undefined;
  }
}

/** What is wrong now, the worst first, each with its way out. @param room bytes free where the data lies */
export function faultsNow(services: Services, room = roomIn(folders().data)): Fault[] {
  const daily = dailyFault(folders());
  const faults: Fault[] = [];
  if (services.live.fault !== undefined) faults.push({ kind: "cannot-store", message: services.live.fault });
  if (isClockBehind(services))
    faults.push({
      kind: "clock-behind",
      message:
        "The clock of the server shows less than the newest entry it stored. Set it right: devices wait until it is.",
    });
  if (room !== undefined && room < LITTLE_ROOM_BYTES)
    faults.push({
      kind: "little-room",
      message: `Only ${Math.floor(room / 1e6)} MB are free on the disk of the server. Make room before it is full.`,
    });
  if (daily !== undefined)
    faults.push({ kind: "no-backup", message: `The last backup of the day was not made. ${daily}` });
  return faults;
}
