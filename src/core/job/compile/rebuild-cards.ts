import type { Check, Task } from "../../formats";
import type { Step } from "../step";
import { isFollowedUp } from "./checks";
import type { Context } from "./context";
import { checkAt } from "./sheet-card";
import { taskSteps } from "./tasks";

/** Where a card of the rebuild stands: before a part goes in, while it is in and loose, or once it is in and tight. */
export interface RebuildCard {
  readonly part: string;
  readonly when: "before" | "loose" | "after";
  readonly steps: readonly Step[];
}

/** Looks and work of the sheet between the parts that go in, each where what it needs holds. */
export function rebuildCards(context: Context): { between: RebuildCard[]; atTheEnd: Step[] } {
  const { sheet, rules, rebuild } = context;
  if (rules < 3) return { between: [], atTheEnd: [] };
  const order = rebuild.flatMap((move) => (move.kind === "fit" ? [move.part] : []));
  const checks = sheet.checks
    .filter(
      (check) => check.phase === "rebuild" && check.afterFit === undefined && isFollowedUp(context, check),
    )
    .map((check) => ({ card: check, steps: () => checkAt(context, check, "rebuild") }));
  const work = (sheet.tasks ?? [])
    .filter((task) => task.when === "before-restore" && isFollowedUp(context, task))
    .map((task) => ({ card: task, steps: () => taskSteps(context, task) }));
  const placed = [...checks, ...work]
    .filter(({ card }) => comesOff(context, card))
    .map(({ card, steps }) => ({ place: placeOf(card, order), steps: steps() }));
  return {
    between: placed.flatMap(({ place, steps }) => (place === undefined ? [] : [{ ...place, steps }])),
    atTheEnd: placed.flatMap(({ place, steps }) => (place === undefined ? steps : [])),
  };
}

/** What it needs off or loose does come off in this job. */
function comesOff({ removed }: Context, { needsOff = [], needs }: Check | Task): boolean {
  const wanted = [...needsOff, ...(needs?.off ?? []), ...(needs?.loose ?? [])];
  return wanted.every((part) => removed.includes(part));
}

/** @param order parts in the order in which they go in */
function placeOf({ needs }: Check | Task, order: readonly string[]): Omit<RebuildCard, "steps"> | undefined {
  const among = (parts: readonly string[] = []) => order.filter((part) => parts.includes(part));
  const [first] = among(needs?.off);
  if (first !== undefined) return { part: first, when: "before" };
  const loose = among(needs?.loose).at(-1);
  if (loose !== undefined) return { part: loose, when: "loose" };
  const last = among(needs?.fitted).at(-1);
  return last === undefined ? undefined : { part: last, when: "after" };
}
