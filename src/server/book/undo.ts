import type { ThingKind } from "@/core/formats";
import { alike, merged } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import type { EditChange } from "@/data";
import { store } from "../proof/ledger";
import type { Services } from "../services";
import type { BroughtJob } from "./brought-job";
import { type Change, faultsAfter, note, put } from "./edit";
import type { Wanted } from "./kind";
import { kindOf } from "./kinds";

/**
 * Takes a whole edit back: what it changed is again as it was before it. Fields that were changed since, and that it did
 * not touch, stay as they are. Refused whole where something else was made of what it changed, or hangs on it now.
 */
export function undoEdit(
  services: Services,
  id: string,
  by: string,
): Result<{ readonly changes: number }, Problem[]> {
  const { edits } = services;
  const entry = edits.find(id);
  if (entry === undefined) return err([{ path: "", message: "There is no such change here." }]);
  if (entry.undoneAt !== null) return err([{ path: "", message: "This was undone already." }]);
  const changes = edits.changes(id).toReversed();
  return store(services, (ledger): Result<{ readonly changes: number }, Problem[]> => {
    const problems: Problem[] = [];
    const done: Change[] = [];
    for (const change of changes) {
      const back = takenBack(services, change);
      if (back.ok) done.push(put(services, ledger, back.value));
      else problems.push({ path: `/${change.kind}/${change.id}`, message: back.error });
    }
    if (problems.length === 0) problems.push(...faultsAfter(services, done));
    if (problems.length > 0) return err(problems);
    note(services, done, by);
    edits.undone(id, services.now(), by);
    return ok({ changes: changes.length });
  });
}

/** The thing as it is without this change. */
function takenBack(services: Services, { kind, id, before, after }: EditChange): Result<Wanted, string> {
  const { find, whole, merge = merged } = kindOf<ThingKind>(kind);
  const now = find(services, id);
  const back = (to: unknown): Result<Wanted, string> => ok({ kind, id, after: to ?? undefined } as Wanted);
  if (kind === "job" && now !== undefined) return jobTakenBack(id, now, after);
  if (now === undefined && after !== null)
    return err(`${id} is not here any more. Undo what was done since first.`);
  if (alike(now ?? null, after)) return back(before);
  const changed = `${id} was changed since. Undo that first, or change it by hand.`;
  if (whole || before === null || after === null || now === undefined) return err(changed);
  const joined = (merge as typeof merged<unknown>)(after, before, now);
  return joined.ok ? back(joined.value) : err(changed);
}

function jobTakenBack(id: string, now: unknown, after: unknown): Result<Wanted, string> {
  return (now as BroughtJob).entries === (after as BroughtJob).entries
    ? ok({ kind: "job", id, after: undefined, gone: after as BroughtJob })
    : err(`The job ${id} was gone on with since. It has to stay.`);
}
