import { workAgain } from "@/core/calculators";
import { type Difference, differences, type Valve } from "@/core/formats";
import { canonical, chainStart, judgeLog, run } from "@/core/job";
import { ok, type Problem, type Result } from "@/core/result";
import type { ImportedKind, StoredReading } from "@/data";
import { finish } from "../jobs/append-events";
import { keepSummary, type Provenance } from "../jobs/summary";
import { type Ledger, store } from "../proof/ledger";
import { verifyDocument } from "../proof/prove";
import { keepLine, keepPerson, keepSheet, keepStore } from "../register/keep-documents";
import { keepValve } from "../register/keep-valve";
import type { Services } from "../services";
import { rowOver } from "./check-together";
import type { Incoming, IncomingFile, ReadFile } from "./incoming";
import type { RegisterRow } from "./read-csv";
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
}

export interface ImportPreview {
  readonly lines: readonly ImportLine[];
  /** Of a done import: by this it can be undone. */
  readonly id?: string;
}

/** Changes that are listed of one file; the rest is counted. */
const MOST_LISTED = 200;

/** One thing to store: how it stands, how it will, and the storing of it. */
interface Step {
  readonly kind: ImportedKind;
  readonly id: string;
  readonly before: unknown;
  readonly after: unknown;
  readonly stays?: readonly Difference[];
  readonly store: (ledger: Ledger) => void;
}

interface Planned {
  readonly file: string;
  readonly what: string;
  readonly steps: readonly Step[];
  readonly caution?: string;
}

/**
 * Reads a set of files and says what bringing them in would change; nothing is stored. Files may lean on each other
 * (a register on its sheets), so they are checked as one set.
 */
export function previewImport(
  services: Services,
  files: readonly IncomingFile[],
): Result<ImportPreview, Problem[]> {
  const read = readAll(services, files);
  return read.ok ? ok({ lines: read.value.map((each) => lineOf(plan(services, each))) }) : read;
}

/** Brings files in: every one or none; what was before is kept, so that all of it can be undone as one. */
export function importFiles(
  services: Services,
  files: readonly IncomingFile[],
  by: string,
): Result<ImportPreview, Problem[]> {
  const read = readAll(services, files);
  if (!read.ok) return read;
  const id = services.newId();
  return store(services, (ledger) => {
    const done = read.value.map((each) => {
      // Planned one after the other: a register may lean on a sheet of the same set.
      const planned = plan(services, each);
      for (const step of changing(planned)) step.store(ledger);
      return planned;
    });
    const changes = done.flatMap((each) =>
      changing(each).map(({ kind, id, before, after }) => ({ kind, id, before: before ?? null, after })),
    );
    services.imports.add(
      { id, at: services.now(), by, files: files.map((file) => file.name), undoneAt: null },
      changes,
    );
    return ok({ lines: done.map(lineOf), id });
  });
}

const changing = ({ steps }: Planned): readonly Step[] =>
  steps.filter((step) => !same(step.before, step.after));

const same = (a: unknown, b: unknown): boolean =>
  a === b || (a !== undefined && b !== undefined && canonical(a) === canonical(b));

function lineOf(planned: Planned): ImportLine {
  const { file, what, caution, steps } = planned;
  const changes = steps.flatMap((step): ImportChange[] => {
    const isNew = step.before === undefined;
    const fields = same(step.before, step.after) ? [] : isNew ? [] : differences(step.before, step.after);
    const stays = step.stays ?? [];
    return isNew || fields.length > 0 || stays.length > 0 ? [{ id: step.id, isNew, fields, stays }] : [];
  });
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
  };
}

function plan(services: Services, { file, incoming }: ReadFile): Planned {
  return { file, ...planOf(services, incoming) };
}

function planOf(services: Services, incoming: Incoming): Omit<Planned, "file"> {
  const { library } = services;
  switch (incoming.kind) {
    case "sheet": {
      const { value } = incoming;
      const before = library.sheet(value.id, value.revision);
      return {
        what: `Sheet: ${value.title}, revision ${value.revision}`,
        steps: [
          {
            kind: "sheet",
            id: `${value.id}@${value.revision}`,
            before,
            after: value,
            store: () => keepSheet(services, value),
          },
        ],
      };
    }
    case "line": {
      const { value } = incoming;
      return {
        what: `Line: ${value.name}`,
        steps: [
          {
            kind: "line",
            id: value.id,
            before: library.line(value.id),
            after: value,
            store: () => keepLine(services, value),
          },
        ],
      };
    }
    case "store": {
      const { value } = incoming;
      return {
        what: `Store: ${value.name}`,
        steps: [
          {
            kind: "store",
            id: value.id,
            before: library.stores().find((each) => each.id === value.id),
            after: value,
            store: () => keepStore(services, value),
          },
        ],
      };
    }
    case "register":
      return planRegister(services, incoming.value);
    case "readings":
      return planReadings(services, incoming.value);
    case "crew": {
      const known = new Map(library.people().map((person) => [person.id, person]));
      return {
        what: `Crew: ${incoming.value.length} people`,
        steps: incoming.value.map((person) => ({
          kind: "person",
          id: person.id,
          before: known.get(person.id),
          after: person,
          store: () => keepPerson(services, person),
        })),
      };
    }
    case "job":
      return planJob(services, incoming);
  }
}

function planRegister(services: Services, rows: readonly RegisterRow[]): Omit<Planned, "file"> {
  const sheets = new Map<string, ReturnType<Services["library"]["sheet"]>>();
  const sheet = (id: string) => {
    if (!sheets.has(id)) sheets.set(id, services.library.sheet(id));
    return sheets.get(id);
  };
  const steps = rows.map((row): Step => {
    const before = services.register.valve(row.tag);
    const { valve, stays } = withoutWindingBack(services, before, rowOver(before, row) as Valve);
    return {
      kind: "valve",
      id: row.tag,
      before,
      after: valve,
      stays,
      store: () => keepValve(services, valve, sheet(valve.sheet)),
    };
  });
  const fresh = steps.filter((step) => step.before === undefined).length;
  const changed = steps.filter((step) => step.before !== undefined && !same(step.before, step.after)).length;
  return { what: `Register: ${rows.length} valves, ${fresh} new, ${changed} changed`, steps };
}

/** A service that was signed off here is known better than by any list. */
function withoutWindingBack(
  { summaries }: Services,
  before: Valve | undefined,
  after: Valve,
): { readonly valve: Valve; readonly stays: readonly Difference[] } {
  const [known, said] = [before?.serviced, after.serviced];
  if (known === undefined || known === said || (said !== undefined && Date.parse(said) >= Date.parse(known)))
    return { valve: after, stays: [] };
  const signed = summaries
    .ofValve(after.tag)
    .some((job) => job.status === "signed-off" && job.closedAt === Date.parse(known));
  return signed
    ? { valve: { ...after, serviced: known }, stays: [{ path: "/serviced", before: known, after: said }] }
    : { valve: after, stays: [] };
}

function planReadings(services: Services, readings: readonly StoredReading[]): Omit<Planned, "file"> {
  const { library } = services;
  const there = new Map<string, ReadonlySet<string>>();
  const key = (reading: StoredReading) => `${reading.what} ${reading.at}`;
  const known = (valve: string) => {
    if (!there.has(valve)) there.set(valve, new Set(library.readings(valve).map(key)));
    return there.get(valve)!;
  };
  const fresh = readings.filter((reading) => !known(reading.valve).has(key(reading)));
  const stay = readings.length - fresh.length;
  return {
    what: `Readings: ${fresh.length} new${stay > 0 ? `; ${stay} already here stay as they are` : ""}`,
    steps: fresh.map((reading) => ({
      kind: "reading",
      id: `${reading.valve} ${reading.what} ${new Date(reading.at).toISOString()}`,
      before: undefined,
      after: reading,
      store: (ledger) => {
        library.saveReadings([reading]);
        ledger.readings(reading.valve);
      },
    })),
  };
}

/** What the undo of a brought-in job has to know. */
export interface BroughtJob {
  readonly entries: number;
  /** The valve before the job's signature changed it. */
  readonly valveBefore?: Valve;
}

/** Where a file's log came from: from here, from elsewhere and possible, or not shown to have been possible. */
function provenanceOf(services: Services, { value }: Extract<Incoming, { kind: "job" }>): Provenance {
  const signed = verifyDocument(value);
  if (!signed.ok) return { origin: "foreign", doubt: signed.error };
  if (signed.value.kind === "signed" && signed.value.publicKey === services.installation.publicKey)
    return { origin: "here" };
  const judged = judgeLog(value, { now: services.now(), workAgain });
  if (judged.ok) return { origin: "elsewhere" };
  const { seq, message } = judged.error;
  return { origin: "foreign", doubt: `Entry ${seq} could not have been made then: ${message}` };
}

const CAUTION: Record<Provenance["origin"], string | undefined> = {
  here: undefined,
  elsewhere: "It was made elsewhere. Every entry was possible when it was made; it is marked as brought in.",
  foreign:
    "It is foreign: it cannot be shown to have happened so. It is kept to be read, and closes nothing.",
};

function planJob(services: Services, incoming: Extract<Incoming, { kind: "job" }>): Omit<Planned, "file"> {
  const { jobs } = services;
  const { inputs, events } = incoming.value;
  const what = `Job on ${inputs.valve.tag}, ${events.length} entries`;
  // A log that is here already is the truth; a file never overwrites it.
  if (jobs.has(inputs.id)) return { what: `${what}; it is here already and stays as it is`, steps: [] };
  const provenance = provenanceOf(services, incoming);
  const caution = [CAUTION[provenance.origin], provenance.doubt].filter(Boolean).join(" ");
  return {
    what,
    ...(caution !== "" && { caution }),
    steps: [
      {
        kind: "job",
        id: inputs.id,
        before: undefined,
        after: {
          entries: events.length,
          ...(services.register.valve(inputs.valve.tag) !== undefined && {
            valveBefore: services.register.valve(inputs.valve.tag),
          }),
        } satisfies BroughtJob,
        store: (ledger) => storeJob(services, ledger, incoming, provenance),
      },
    ],
  };
}

function storeJob(
  services: Services,
  ledger: Ledger,
  { value: { inputs, events } }: Extract<Incoming, { kind: "job" }>,
  provenance: Provenance,
): void {
  const { jobs, register } = services;
  jobs.create(inputs, provenance);
  jobs.append(inputs.id, events);
  ledger.job(inputs.id, events.length, events.at(-1)?.seal.hash ?? chainStart(inputs));
  const whole = run(
    inputs,
    events.map((each) => each.event),
  );
  if (!whole.ok) throw new Error(`a checked job does not run: ${whole.error}`);
  const { closedAt } = keepSummary(services, whole.value, provenance);
  if (provenance.origin === "foreign") {
    jobs.close(inputs.id, closedAt ?? services.now());
    return;
  }
  if (closedAt !== null) jobs.close(inputs.id, closedAt);
  if (whole.value.status.kind === "signed-off" && register.valve(inputs.valve.tag) !== undefined)
    finish(services, ledger, whole.value);
}
