import { holdsBack } from "../build";
import type { Sheet } from "../formats";
import { readProving, readStepId } from "./step-id";

/** What this step proves holds only for as long as somebody stands by it: no pressure, no voltage. */
export const holdsWhileWatched = (id: string): boolean =>
  readProving(id) !== undefined || readStepId(id)?.is === "dead";

/** Whether one of these steps has opened the valve. */
export function openedBy({ parts }: Pick<Sheet, "parts">, done: Iterable<string>): boolean {
  const byId = new Map(parts.map((part) => [part.id, part]));
  for (const id of done) {
    const ref = readStepId(id);
    if (ref?.is === "crack" || (ref?.is === "strip" && holdsBack(byId, ref.of))) return true;
  }
  return false;
}
