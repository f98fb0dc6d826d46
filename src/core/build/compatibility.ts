import type { Sheet } from "../formats";

/** A supply that does the opposite of what the thread is meant to do: locker that never sets, anti-seize that glues. */
export function threadClash(
  meant: "locker" | "anti-seize" | "sealant",
  supply: Sheet["supplies"][number] | undefined,
): string | undefined {
  if (supply === undefined) return undefined;
  if (meant === "locker" && supply.base !== "anaerobic")
    return `${supply.name} does not lock: locker is anaerobic. Choose a threadlocker, or say anti-seize.`;
  if (meant === "anti-seize" && supply.base === "anaerobic")
    return `${supply.name} locks, and the thread has to release. Choose an anti-seize paste.`;
  return undefined;
}
