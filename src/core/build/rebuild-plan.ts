import type { Sheet } from "../formats";
import type { StripMove } from "./strip-plan";

export type RebuildMove =
  | { readonly kind: "fit"; readonly part: string; readonly loose: boolean }
  /** Tighten what was left loose, now that what it waited for is in. */
  | { readonly kind: "tighten"; readonly part: string; readonly waitedFor: string }
  | { readonly kind: "position"; readonly to: string; readonly minutes: number };

/**
 * How it goes back: the strip backwards, with joints left loose until what they wait for is in, the valve moved where
 * a fit asks for a position, and left as the sheet says at the end.
 *
 * @param surely the last position is looked at even where nothing has moved the valve since it was found
 */
export function planRebuild(sheet: Sheet, strip: readonly StripMove[], surely = false): RebuildMove[] {
  const parts = new Map(sheet.parts.map((part) => [part.id, part]));
  const removed = strip.flatMap((move) => (move.kind === "remove" ? [move.part] : []));
  const last = strip.findLast((move) => move.kind === "position" || move.way.position?.after !== undefined);
  let position =
    last === undefined
      ? sheet.position?.start
      : last.kind === "position"
        ? last.to
        : last.way.position?.after;
  const out = new Set(removed);
  const moves: RebuildMove[] = [];
  const waiting: { part: string; until: string }[] = [];
  const canMove = () => sheet.position !== undefined && !out.has(sheet.position.movedBy);
  let known = !surely || last !== undefined;
  const moveTo = (to: string | undefined) => {
    if (to === undefined || sheet.position === undefined || !canMove()) return;
    if (to === position && known) return;
    moves.push({ kind: "position", to, minutes: sheet.position.minutes });
    position = to;
    known = true;
  };
  const tightenWaiting = (fitted: string) => {
    for (const each of waiting.filter((one) => one.until === fitted)) {
      moves.push({ kind: "tighten", part: each.part, waitedFor: fitted });
      waiting.splice(waiting.indexOf(each), 1);
    }
  };
  for (const id of fittingOrder(sheet, removed)) {
    const fit = parts.get(id)?.fit;
    const until = fit?.looseUntil;
    const loose = until !== undefined && out.has(until);
    moveTo(fit?.position?.before);
    // Under its cover nobody can move it any more.
    if (sheet.position?.under?.includes(id)) moveTo(sheet.position.finish);
    out.delete(id);
    moves.push({ kind: "fit", part: id, loose });
    if (fit?.position?.after !== undefined) {
      position = fit.position.after;
      known = true;
    }
    if (loose && until !== undefined) waiting.push({ part: id, until });
    tightenWaiting(id);
  }
  if (removed.length > 0) moveTo(sheet.position?.finish);
  return moves;
}

/** The strip backwards; what the sheet builds in another order keeps the places of its parts and changes them round. */
export function fittingOrder({ rebuild = [] }: Sheet, removed: readonly string[]): string[] {
  const order = removed.toReversed();
  const own = rebuild.filter((part) => removed.includes(part));
  const inOwn = new Set(own);
  let next = 0;
  return order.map((part) => (inOwn.has(part) ? own[next++]! : part));
}
