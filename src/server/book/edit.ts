import { alike, type EditFact, readAs, type ThingKind } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import type { EditChange } from "@/data";
import { type Ledger, store } from "../proof/ledger";
import type { Services } from "../services";
import type { Wanted } from "./kind";
import { kindOf } from "./kinds";

/** What came of a change: the entry of the book it stands in; none where all was so already. */
export interface Edited {
  readonly edit: string | undefined;
  readonly changes: number;
}

/** One thing as it was and as it is. */
export type Change = Pick<EditChange, "kind" | "id" | "before" | "after">;

const hangs = ({ kind, id }: Pick<Change, "kind" | "id">, what: readonly string[]): Problem => ({
  path: `/${kind}/${id}`,
  message: `It has to stay: ${what.join(", ")} ${what.length > 1 || what[0]!.includes("s ") ? "hang" : "hangs"} on it.`,
});

/** Keeps or lets go of one thing, and says what it was. */
export function put(services: Services, ledger: Ledger, { kind, id, after, gone }: Wanted): Change {
  const { find, keep, remove } = kindOf<ThingKind>(kind);
  const before = find(services, id);
  if (!alike(before, after)) {
    if (after !== undefined) keep(services, after, ledger);
    else if (before !== undefined) remove(services, id, ledger, gone ?? before);
  }
  return { kind, id, before: before ?? null, after: after ?? null };
}

/** What of the changed things cannot be, as everything stands now. */
export function faultsAfter(services: Services, changes: readonly Change[]): Problem[] {
  return changes.flatMap((change): readonly Problem[] => {
    const { faults, hanging, find } = kindOf<ThingKind>(change.kind);
    const now = find(services, change.id);
    if (now !== undefined) return faults?.(services, now) ?? [];
    const what = change.before === null ? [] : (hanging?.(services, change.id, change.before as never) ?? []);
    return what.length > 0 ? [hangs(change, what)] : [];
  });
}

/** Writes down elsewhere what is to be known there of these changes. */
export function note(services: Services, changes: readonly Change[], by: string): void {
  for (const { kind, before, after } of changes)
    kindOf<ThingKind>(kind).noted?.(
      services,
      (before ?? undefined) as never,
      (after ?? undefined) as never,
      by,
    );
}

/** What has to change along with these, so that nothing is half. */
export const alongWith = (services: Services, changes: readonly Change[]): Wanted[] =>
  changes.flatMap(({ kind, before, after }) => {
    const { along } = kindOf<ThingKind>(kind);
    return along?.(services, (before ?? undefined) as never, (after ?? undefined) as never) ?? [];
  });

/** Puts all that is wanted, and what has to change along with it, so that nothing is half. */
export function putAll(services: Services, ledger: Ledger, wanted: readonly Wanted[]): Change[] {
  const made = new Map<string, Change>();
  const queue = [...wanted];
  for (let next = queue.shift(); next !== undefined; next = queue.shift()) {
    const change = put(services, ledger, next);
    if (alike(change.before, change.after)) continue;
    const key = `${change.kind} ${change.id}`;
    // What was changed twice in one act was before it as it was first.
    const first = made.get(key);
    made.set(key, first === undefined ? change : { ...change, before: first.before });
    // At once, before what is wanted next: that may take away what has to change along here.
    queue.unshift(...alongWith(services, [change]));
  }
  return [...made.values()].filter(({ before, after }) => !alike(before, after));
}

/**
 * Changes own data in one act: all or nothing. It is first done and then looked at as a whole, so that what leans on
 * each other may change together; where something cannot be, all of it is taken back. It stands in the book of changes.
 */
export function edit(
  services: Services,
  { by, what }: { readonly by: string; readonly what: EditFact },
  wanted: readonly Wanted[],
): Result<Edited, Problem[]> {
  const broken = wanted.flatMap(({ kind, after }) => {
    const { shape } = kindOf<ThingKind>(kind);
    const read = shape === undefined || after === undefined ? ok(after) : readAs(shape, after);
    return read.ok ? [] : read.error;
  });
  if (broken.length > 0) return err(broken);
  return store(services, (ledger): Result<Edited, Problem[]> => {
    const changes = putAll(services, ledger, wanted);
    const faults = faultsAfter(services, changes);
    if (faults.length > 0) return err(faults);
    if (changes.length === 0) return ok({ edit: undefined, changes: 0 });
    note(services, changes, by);
    const id = services.newId();
    services.edits.add({ id, at: services.now(), by, what, undoneAt: null, undoneBy: null }, changes);
    return ok({ edit: id, changes: changes.length });
  });
}
