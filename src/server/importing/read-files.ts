import { checkSheet } from "@/core/build";
import { type JobDocument, readDocument, readJson } from "@/core/formats";
import { run, verifyChain } from "@/core/job";
import { checkLine } from "@/core/line";
import { err, ok, type Problem, type Result } from "@/core/result";
import { checkStore } from "@/core/store";
import { checkTrouble } from "@/core/trouble";
import { speaker, stripMessage } from "@/words";
import { librarySheet } from "../register/library";
import type { Services } from "../services";
import { checkTogether } from "./check-together";
import type { Incoming, IncomingFile, ReadFile } from "./incoming";
import { readCsv } from "./read-csv";
import { readGeoJson } from "./read-geojson";

/** Reads and checks files as one set; every problem names its file and its place in it. */
export function readAll(services: Services, files: readonly IncomingFile[]): Result<ReadFile[], Problem[]> {
  if (files.length === 0)
    return err([{ path: "", message: "Choose at least one file: .json in an open format, or .csv." }]);
  const problems: Problem[] = [];
  const read = files.flatMap((file) => {
    const incoming = readFile(file);
    if (incoming.ok) return incoming.value.map((each) => ({ file: file.name, incoming: each }));
    problems.push(
      ...incoming.error.map((each) => ({ path: `${file.name}${each.path}`, message: each.message })),
    );
    return [];
  });
  if (problems.length > 0) return err(problems);
  const missing = checkTogether(services, read);
  return missing.length > 0 ? err(missing) : ok([...shippedSheets(services, read), ...read]);
}

/** Sheets of the library that a register names: they come in with it. */
function shippedSheets({ library }: Services, read: readonly ReadFile[]): ReadFile[] {
  const brought = new Set(
    read.flatMap(({ incoming }) => (incoming.kind === "sheet" ? [incoming.value.id] : [])),
  );
  const named = new Set(
    read.flatMap(({ incoming }) =>
      incoming.kind === "register" ? incoming.value.flatMap(({ set }) => set.sheet ?? []) : [],
    ),
  );
  return [...named].flatMap((id) => {
    const shipped = brought.has(id) || library.sheet(id) !== undefined ? undefined : librarySheet(id);
    return shipped === undefined
      ? []
      : [{ file: `library/${id}.json`, incoming: { kind: "sheet", value: shipped } }];
  });
}

/** A file holds one thing, or, on a map, several. */
function readFile({ name, text }: IncomingFile): Result<Incoming[], Problem[]> {
  if (/\.csv$/i.test(name)) return one(readCsv(text) as Result<Incoming, Problem[]>);
  const value = readJson(text);
  if (!value.ok) return value;
  return (value.value as { type?: unknown } | null)?.type === "FeatureCollection"
    ? readGeoJson(value.value)
    : one(readDocumentFile(value.value));
}

const one = (read: Result<Incoming, Problem[]>): Result<Incoming[], Problem[]> =>
  read.ok ? ok([read.value]) : read;

function readDocumentFile(value: unknown): Result<Incoming, Problem[]> {
  const document = readDocument(value);
  if (!document.ok) return document;
  switch (document.value.format) {
    case "loftbell.sheet":
      return checked({ kind: "sheet", value: document.value }, checkSheet(document.value));
    case "loftbell.line":
      return checked({ kind: "line", value: document.value }, checkLine(document.value));
    case "loftbell.store":
      return checked({ kind: "store", value: document.value }, checkStore(document.value));
    case "loftbell.house":
      return ok({ kind: "house", value: document.value });
    case "loftbell.trouble":
      return checked({ kind: "trouble", value: document.value }, checkTrouble(document.value));
    case "loftbell.job":
      return checked({ kind: "job", value: document.value }, checkJob(document.value));
  }
}

const checked = (incoming: Incoming, problems: Problem[]): Result<Incoming, Problem[]> =>
  problems.length > 0 ? err(problems) : ok(incoming);

function checkJob({ inputs, events }: JobDocument): Problem[] {
  const within = (part: string) => (each: Problem) => ({
    path: `/inputs/${part}${each.path}`,
    message: each.message,
  });
  const parts = [
    ...checkSheet(inputs.sheet).map(within("sheet")),
    ...(inputs.line === undefined ? [] : checkLine(inputs.line).map(within("line"))),
  ];
  if (parts.length > 0) return parts;
  const chain = verifyChain(inputs, events);
  if (!chain.ok) return [{ path: `/events/${chain.error.seq - 1}`, message: chain.error.message }];
  const ids = new Set(events.map(({ event }) => event.id));
  if (ids.size < events.length)
    return [{ path: "/events", message: "Two entries have the same id. Ask for the original." }];
  const whole = run(
    inputs,
    events.map((each) => each.event),
  );
  return whole.ok
    ? []
    : [{ path: "/inputs/reach", message: stripMessage(speaker(), whole.error, inputs.sheet) }];
}
