import type { Line, Person, Sheet, Store, Valve } from "@/core/formats";
import { canonical } from "@/core/job";
import { err, ok, type Problem, type Result } from "@/core/result";
import type { ImportChange, StoredReading } from "@/data";
import { type Ledger, store } from "../proof/ledger";
import {
  keepLine,
  keepPerson,
  keepStore,
  removeLine,
  removePerson,
  removeSheet,
} from "../register/keep-documents";
import { keepValve, removeValve } from "../register/keep-valve";
import type { Services } from "../services";
import type { BroughtJob } from "./plan-job";

/** What a removed job's log is anchored as: nothing is left of it, and that is known. */
const REMOVED = "removed";

/**
 * Takes a whole import back: everything is again as it was before it. Refused whole when something it brought was
 * changed since, or something else now hangs on it.
 */
export function undoImport(services: Services, id: string): Result<{ readonly changes: number }, Problem[]> {
  const { imports } = services;
  const entry = imports.find(id);
  if (entry === undefined) return err([{ path: "", message: "There is no such import here." }]);
  if (entry.undoneAt !== null) return err([{ path: "", message: "This import was undone already." }]);
  const changes = imports.changes(id).toReversed();
  const since = changes.flatMap((change) => {
    const message = changedSince(services, change);
    return message === undefined ? [] : [{ path: `/${change.kind}/${change.id}`, message }];
  });
  if (since.length > 0) return err(since);
  return store(services, (ledger) => {
    for (const change of changes) takeBack(services, ledger, change);
    const hanging = left(services, changes);
    if (hanging.length > 0) return err(hanging);
    imports.undone(id, services.now());
    return ok({ changes: changes.length });
  });
}

function now(services: Services, { kind, id, after }: ImportChange): unknown {
  const { library, register, jobs, summaries } = services;
  switch (kind) {
    case "valve":
      return register.valve(id);
    case "line":
      return library.line(id);
    case "store":
      return library.stores().find((each) => each.id === id);
    case "person":
      return library.people().find((each) => each.id === id);
    case "sheet": {
      const sheet = after as Sheet;
      return library.sheet(sheet.id, sheet.revision);
    }
    case "reading": {
      const reading = after as StoredReading;
      return library
        .readings(reading.valve)
        .find((each) => each.what === reading.what && each.at === reading.at);
    }
    case "job":
      return jobs.has(id) ? { entries: summaries.of(id)?.entries ?? 0 } : undefined;
  }
}

function changedSince(services: Services, change: ImportChange): string | undefined {
  const there = now(services, change);
  if (change.kind === "job" && there !== undefined)
    return (there as BroughtJob).entries === (change.after as BroughtJob).entries
      ? undefined
      : `The job ${change.id} was gone on with since. It has to stay.`;
  if (there === undefined) return `${change.id} is not here any more. Undo what was done since first.`;
  return canonical(there) === canonical(change.after)
    ? undefined
    : `${change.id} was changed since it was brought in. Undo that first, or change it by hand.`;
}

function takeBack(services: Services, ledger: Ledger, { kind, id, before, after }: ImportChange): void {
  const { library, jobs, summaries, find } = services;
  switch (kind) {
    case "valve":
      if (before === null) removeValve(services, id);
      else keepValve(services, before as Valve);
      break;
    case "line":
      if (before === null) removeLine(services, id);
      else keepLine(services, before as Line);
      break;
    case "store":
      if (before === null) library.removeStore(id);
      else keepStore(services, before as Store);
      break;
    case "person":
      if (before === null) removePerson(services, id);
      else keepPerson(services, before as Person);
      break;
    case "sheet":
      removeSheet(services, after as Sheet);
      break;
    case "reading": {
      const reading = after as StoredReading;
      library.removeReadingLike(reading);
      ledger.readings(reading.valve);
      break;
    }
    case "job": {
      const { valveBefore } = after as BroughtJob;
      if (valveBefore !== undefined) {
        keepValve(services, valveBefore);
        library.removeReadingsOfJob(id);
        ledger.readings(valveBefore.tag);
      }
      summaries.remove(id);
      find.remove("job", id);
      jobs.remove(id);
      services.inHand.forget();
      ledger.job(id, 0, REMOVED);
    }
  }
}

/** What would hang in the air: a valve whose sheet is gone, a job of a valve that is gone. */
function left({ library, register, summaries }: Services, changes: readonly ImportChange[]): Problem[] {
  return changes.flatMap(({ kind, id, after }) => {
    if (kind === "sheet") {
      const sheet = (after as Sheet).id;
      const [valve] = library.sheet(sheet) === undefined ? register.ofSheet(sheet) : [];
      return valve === undefined
        ? []
        : [
            {
              path: `/sheet/${id}`,
              message: `${valve.tag} is registered under this sheet. Take the valve away first.`,
            },
          ];
    }
    if (kind === "line") {
      const [valve] = library.line(id) === undefined ? register.onLine(id) : [];
      return valve === undefined
        ? []
        : [{ path: `/line/${id}`, message: `${valve.tag} stands on this line. Move the valve first.` }];
    }
    if (kind === "valve" && register.valve(id) === undefined && summaries.ofValve(id).length > 0)
      return [{ path: `/valve/${id}`, message: `A job was opened on ${id} since. The valve has to stay.` }];
    return [];
  });
}
