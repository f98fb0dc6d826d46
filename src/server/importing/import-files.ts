import { run } from "@/core/job";
import { ok, type Problem, type Result } from "@/core/result";
import type { Services } from "../services";
import { type Incoming, type IncomingFile, readAll } from "./read-files";

export type { IncomingFile } from "./read-files";

export interface ImportLine {
  readonly file: string;
  readonly what: string;
  readonly effect: "new" | "changes" | "same";
}

export interface ImportPreview {
  readonly lines: readonly ImportLine[];
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
  return read.ok
    ? ok({ lines: read.value.map(({ file, incoming }) => describe(services, file, incoming)) })
    : read;
}

/** Brings files in: every one or none. */
export function importFiles(
  services: Services,
  files: readonly IncomingFile[],
): Result<ImportPreview, Problem[]> {
  const read = readAll(services, files);
  if (!read.ok) return read;
  return services.db.transaction(
    () => {
      const lines = read.value.map(({ file, incoming }) => describe(services, file, incoming));
      for (const { incoming } of read.value) store(services, incoming);
      return ok({ lines });
    },
    { behavior: "immediate" },
  );
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

function describe({ library, jobs }: Services, file: string, incoming: Incoming): ImportLine {
  const effect = (known: unknown, value: unknown): ImportLine["effect"] =>
    known === undefined ? "new" : same(known, value) ? "same" : "changes";
  switch (incoming.kind) {
    case "sheet":
      return {
        file,
        what: `Sheet: ${incoming.value.title}, revision ${incoming.value.revision}`,
        effect: effect(library.sheet(incoming.value.id, incoming.value.revision), incoming.value),
      };
    case "line":
      return {
        file,
        what: `Line: ${incoming.value.name}`,
        effect: effect(library.line(incoming.value.id), incoming.value),
      };
    case "store":
      return {
        file,
        what: `Store: ${incoming.value.name}`,
        effect: effect(
          library.stores().find((each) => each.id === incoming.value.id),
          incoming.value,
        ),
      };
    case "job":
      return {
        file,
        what: `Job on ${incoming.value.inputs.valve.tag}, ${incoming.value.events.length} entries`,
        effect: jobs.find(incoming.value.inputs.id) === undefined ? "new" : "same",
      };
    case "register": {
      const known = incoming.value.filter((valve) => library.valve(valve.tag) !== undefined);
      const changed = known.filter((valve) => !same(library.valve(valve.tag), valve));
      return {
        file,
        what: `Register: ${incoming.value.length} valves, ${incoming.value.length - known.length} new, ${changed.length} changed`,
        effect: known.length < incoming.value.length ? "new" : changed.length > 0 ? "changes" : "same",
      };
    }
    case "readings":
      return {
        file,
        what: `Readings: ${incoming.value.length}; those already here stay as they are`,
        effect: "new",
      };
    case "crew":
      return { file, what: `Crew: ${incoming.value.length} people`, effect: "new" };
  }
}

function store({ library, jobs }: Services, incoming: Incoming): void {
  switch (incoming.kind) {
    case "sheet":
      library.saveSheet(incoming.value);
      break;
    case "line":
      library.saveLine(incoming.value);
      break;
    case "store":
      library.saveStore(incoming.value);
      break;
    case "register":
      for (const valve of incoming.value) library.saveValve(valve);
      break;
    case "readings":
      library.saveReadings(incoming.value);
      break;
    case "crew":
      for (const person of incoming.value) library.savePerson(person);
      break;
    case "job": {
      const { inputs, events } = incoming.value;
      // A log that is here already is the truth; a file never overwrites it.
      if (jobs.find(inputs.id) !== undefined) break;
      jobs.create(inputs);
      jobs.append(inputs.id, events);
      const whole = run(
        inputs,
        events.map((each) => each.event),
      );
      const signedOff = whole.ok ? whole.value.progress.signedOff : undefined;
      if (signedOff !== undefined) jobs.close(inputs.id, signedOff.at);
    }
  }
}
