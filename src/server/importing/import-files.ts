import { type Difference, differences, type Valve } from "@/core/formats";
import { mayAs, type Role, roleToChange } from "@/core/people";
import { err, ok, type Problem, type Result } from "@/core/result";
import { alongWith, faultsAfter, note, put, putAll } from "../book/edit";
import type { Wanted } from "../book/kind";
import { store } from "../proof/ledger";
import type { Services } from "../services";
import type { IncomingFile } from "./incoming";
import { plan } from "./plan-import";
import { type Planned, type Step, same } from "./planned";
import { readAll } from "./read-files";

export type { IncomingFile } from "./incoming";

/** One thing that a file would change, field by field. */
export interface ImportChange {
  readonly id: string;
  readonly isNew: boolean;
  readonly fields: readonly Difference[];
  /** What the file says and the log knows better: it stays. */
  readonly stays: readonly Difference[];
}

export interface ImportLine {
  readonly file: string;
  readonly what: string;
  readonly effect: "new" | "changes" | "same";
  readonly changes: readonly ImportChange[];
  /** How many changes there are; only the first are listed. */
  readonly total: number;
  /** What a person has to know of it before bringing it in. */
  readonly caution?: string;
  /** Of a line: valves of the register that stand on it, the first sixty. */
  readonly valves?: readonly Valve[];
  /** How many stand on it in all. */
  readonly valvesInAll?: number;
}

export interface ImportPreview {
  readonly lines: readonly ImportLine[];
  /** Of a done import: by this it can be undone. */
  readonly id?: string;
}

/** Changes that are listed of one file; the rest is counted. */
const MOST_LISTED = 200;

/** Valves of a line that a device tries while it comes in; each is tried again when a job on it begins. */
const MOST_TRIED = 60;

/**
 * Reads a set of files and says what bringing them in would change; nothing is stored. Files may lean on each other
 * (a register on its sheets), so they are checked as one set.
 */
export function previewImport(
  services: Services,
  files: readonly IncomingFile[],
  role: Role = "keeper",
): Result<ImportPreview, Problem[]> {
  const read = readAll(services, files);
  if (!read.ok) return read;
  const planned = read.value.map((each) => plan(services, each));
  const faults = [...notFor(role, planned), ...foreseen(services, planned)];
  return faults.length > 0 ? err(faults) : ok({ lines: planned.map((each) => lineOf(services, each)) });
}

/** What bringing it in would refuse once all of it is in: it is brought in, looked at, and taken out again. */
function foreseen(services: Services, planned: readonly Planned[]): Problem[] {
  if (!planned.some(({ steps }) => steps.some(isJudgedByKind))) return [];
  const tried = store(services, (ledger): Result<never, Problem[]> => {
    for (const each of planned)
      for (const step of changing(each).filter(isJudgedByKind)) put(services, ledger, step as Wanted);
    return err(planned.flatMap((each) => faultsOf(services, each)));
  });
  return tried.ok ? [] : tried.error;
}

/** What is wrong with rows that lean on each other, now that all of them are in. */
const faultsOf = (services: Services, { file, steps }: Planned): Problem[] =>
  steps.filter(isJudgedByKind).flatMap(({ kind, id, before, after }) =>
    faultsAfter(services, [{ kind, id, before: before ?? null, after }]).map(({ path, message }) => ({
      path: `${file}/${id}${path}`,
      message,
    })),
  );

/** Brings files in: every one or none; what was before is kept, so that all of it can be undone as one. */
export function importFiles(
  services: Services,
  files: readonly IncomingFile[],
  by: string,
  role: Role = "keeper",
): Result<ImportPreview, Problem[]> {
  const read = readAll(services, files);
  if (!read.ok) return read;
  const id = services.newId();
  return store(services, (ledger) => {
    const done = read.value.map((each) => {
      // Planned one after the other: a register may lean on a sheet of the same set.
      const planned = plan(services, each);
      for (const step of changing(planned))
        if (step.store === undefined) put(services, ledger, step as Wanted);
        else step.store(ledger);
      return planned;
    });
    const brought = done.flatMap((each) =>
      changing(each).map(({ kind, id, before, after }) => ({ kind, id, before: before ?? null, after })),
    );
    const faults = [...notFor(role, done), ...done.flatMap((each) => faultsOf(services, each))];
    if (faults.length > 0) return err(faults);
    const changes = [...brought, ...putAll(services, ledger, alongWith(services, brought))];
    note(services, changes, by);
    const what = { kind: "import", files: files.map(({ name }) => name) } as const;
    services.edits.add({ id, at: services.now(), by, what, undoneAt: null, undoneBy: null }, changes);
    return ok({ lines: done.map((each) => lineOf(services, each)), id });
  });
}

/** Files that change what this role may not. */
const notFor = (role: Role, planned: readonly Planned[]): Problem[] =>
  planned.flatMap((each) =>
    changing(each).every(({ kind }) => mayAs(role, roleToChange(kind)))
      ? []
      : [
          {
            path: each.file,
            message: `${each.file} changes who may do what, or a rule of the house: a keeper brings it in. Leave this file out, or ask one.`,
          },
        ],
  );

/** What these rows lean on is looked at once all of them are in. */
const JUDGED_BY_KIND: ReadonlySet<string> = new Set(["house", "place", "person", "instrument"]);
const isJudgedByKind = ({ kind }: Step): boolean => JUDGED_BY_KIND.has(kind);

const changing = ({ steps }: Planned): readonly Step[] =>
  steps.filter((step) => !same(step.before, step.after));

function lineOf({ register }: Services, planned: Planned): ImportLine {
  const { file, what, caution, steps } = planned;
  const changes = steps.flatMap((step): ImportChange[] => {
    const isNew = step.before === undefined;
    const fields = same(step.before, step.after) ? [] : isNew ? [] : differences(step.before, step.after);
    const stays = step.stays ?? [];
    return isNew || fields.length > 0 || stays.length > 0 ? [{ id: step.id, isNew, fields, stays }] : [];
  });
  const valves = steps.flatMap(({ kind, id }) => (kind === "line" ? register.onLine(id) : []));
  return {
    file,
    what,
    effect: changes.some((each) => each.isNew)
      ? "new"
      : changes.some((each) => each.fields.length > 0)
        ? "changes"
        : "same",
    changes: changes.slice(0, MOST_LISTED),
    total: changes.length,
    ...(caution !== undefined && { caution }),
    ...(valves.length > 0 && { valves: valves.slice(0, MOST_TRIED), valvesInAll: valves.length }),
  };
}
