import { checkSheet } from "@/core/build";
import {
  type JobDocument,
  type Line,
  type Person,
  readDocument,
  readJson,
  type Sheet,
  type Store,
} from "@/core/formats";
import { run, verifyChain } from "@/core/job";
import { checkLine } from "@/core/line";
import { err, ok, type Problem, type Result } from "@/core/result";
import { checkStore } from "@/core/store";
import type { StoredReading } from "@/data";
import type { Services } from "../services";
import { checkTogether } from "./check-together";
import { type RegisterRow, readCsv } from "./read-csv";

/** A file as it arrives: its name and its text. */
export interface IncomingFile {
  readonly name: string;
  readonly text: string;
}

/** What one file holds, read and checked. */
export type Incoming =
  | { readonly kind: "sheet"; readonly value: Sheet }
  | { readonly kind: "line"; readonly value: Line }
  | { readonly kind: "store"; readonly value: Store }
  | { readonly kind: "job"; readonly value: JobDocument }
  | { readonly kind: "register"; readonly value: readonly RegisterRow[] }
  | { readonly kind: "readings"; readonly value: readonly StoredReading[] }
  | { readonly kind: "crew"; readonly value: readonly Person[] };

export interface ReadFile {
  readonly file: string;
  readonly incoming: Incoming;
}

/** Reads and checks files as one set; every problem names its file and its place in it. */
export function readAll(services: Services, files: readonly IncomingFile[]): Result<ReadFile[], Problem[]> {
  if (files.length === 0)
    return err([{ path: "", message: "Choose at least one file: .json in an open format, or .csv." }]);
  const problems: Problem[] = [];
  const read = files.flatMap((file) => {
    const incoming = /\.csv$/i.test(file.name) ? readCsv(file.text) : readDocumentFile(file.text);
    if (incoming.ok) return [{ file: file.name, incoming: incoming.value }];
    problems.push(
      ...incoming.error.map((each) => ({ path: `${file.name}${each.path}`, message: each.message })),
    );
    return [];
  });
  if (problems.length > 0) return err(problems);
  const missing = checkTogether(services, read);
  return missing.length > 0 ? err(missing) : ok(read);
}

function readDocumentFile(text: string): Result<Incoming, Problem[]> {
  const value = readJson(text);
  if (!value.ok) return value;
  const document = readDocument(value.value);
  if (!document.ok) return document;
  switch (document.value.format) {
    case "loftbell.sheet":
      return checked({ kind: "sheet", value: document.value }, checkSheet(document.value));
    case "loftbell.line":
      return checked({ kind: "line", value: document.value }, checkLine(document.value));
    case "loftbell.store":
      return checked({ kind: "store", value: document.value }, checkStore(document.value));
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
  return whole.ok ? [] : [{ path: "/inputs/reach", message: whole.error }];
}
