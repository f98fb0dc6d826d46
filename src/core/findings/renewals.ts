import type { JobInputs, Sheet } from "../formats";
import type { Finding } from "./judge";

/** A part that goes in new: for a reason that was said or found, or because the policy asks for it. */
export type Renewal =
  | {
      readonly part: string;
      readonly because: "spoiled" | "found" | "chosen" | "due";
      /** In the words of the sheet, or of whoever chose it. */
      readonly why: string;
      /** Of a stack: these pieces alone, by their number from the bottom up. */
      readonly pieces?: readonly number[];
    }
  | { readonly part: string; readonly because: "policy"; readonly policy: JobInputs["policy"] };

/** Some pieces of a stack go in new, and the others go back. */
export const ofPieces = (renewal: Renewal): boolean =>
  renewal.because !== "policy" && renewal.pieces !== undefined;

/**
 * What is renewed and why: what a finding condemns; parts the strip spoils; what the technician chose; what the reason for
 * the job names; what the policy adds. The first reason in that order is kept.
 *
 * @param due parts that the job is for, each with its reason
 */
export function renewals(
  sheet: Sheet,
  removed: readonly string[],
  spoiled: ReadonlyMap<string, string>,
  findings: readonly Finding[],
  policy: JobInputs["policy"],
  chosen: ReadonlyMap<string, string>,
  due: ReadonlyMap<string, string> = new Map(),
): Renewal[] {
  const list = new Map<string, Renewal>();
  const add = (renewal: Renewal) => {
    const had = list.get(renewal.part);
    // A few pieces of a stack are less than all of it.
    if (had === undefined || (ofPieces(had) && !ofPieces(renewal))) list.set(renewal.part, renewal);
  };
  for (const found of findings) {
    if (found.means === "renew" && found.part !== undefined)
      add({
        part: found.part,
        why: found.says,
        because: "found",
        ...(found.bad !== undefined && { pieces: found.bad }),
      });
    for (const part of found.alsoRenew) add({ part, why: found.says, because: "found" });
  }
  for (const [part, why] of spoiled) add({ part, why, because: "spoiled" });
  for (const [part, why] of chosen) add({ part, why, because: "chosen" });
  for (const [part, why] of due) add({ part, why, because: "due" });
  const supplied = new Set([
    ...sheet.singles,
    ...sheet.kits.flatMap((kit) => kit.contents.map((item) => item.part)),
  ]);
  for (const id of removed) {
    const part = sheet.parts.find((each) => each.id === id);
    if (part === undefined || !supplied.has(id)) continue;
    if (policy === "what-was-disturbed" && part.soft === true) add({ part: id, because: "policy", policy });
    if (policy === "everything-open") add({ part: id, because: "policy", policy });
  }
  return [...list.values()];
}
