import Papa from "papaparse";
import { checkSheet } from "@/core/build";
import {
  type JobDocument,
  type Line,
  type Person,
  type ReadingRow,
  ROW_SCHEMAS,
  readAs,
  readDocument,
  type Sheet,
  type Store,
  type Valve,
} from "@/core/formats";
import { run, verifyChain } from "@/core/job";
import { checkLine, holdsPlace } from "@/core/line";
import { toSI, unitNamed } from "@/core/quantity";
import { err, ok, type Problem, type Result } from "@/core/result";
import type { StoredReading } from "@/data";
import { leftWithoutPlace } from "../lines/save-line";
import type { Services } from "../services";

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
  | { readonly kind: "register"; readonly value: readonly Valve[] }
  | { readonly kind: "readings"; readonly value: readonly StoredReading[] }
  | { readonly kind: "crew"; readonly value: readonly Person[] };

/** Reads and checks files as one set; every problem names its file and its place in it. */
export function readAll(
  services: Services,
  files: readonly IncomingFile[],
): Result<{ file: string; incoming: Incoming }[], Problem[]> {
  if (files.length === 0)
    return err([{ path: "", message: "Choose at least one file: .json in an open format, or .csv." }]);
  const problems: Problem[] = [];
  const read = files.flatMap((file) => {
    const incoming = /\.csv$/i.test(file.name) ? readCsv(file.text) : readJson(file.text);
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

function readJson(text: string): Result<Incoming, Problem[]> {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    return err([
      {
        path: "",
        message: `Not readable as JSON: ${error instanceof Error ? error.message : error}. Export it again.`,
      },
    ]);
  }
  const document = readDocument(value);
  if (!document.ok) return document;
  switch (document.value.format) {
    case "loftbell.sheet":
      return checked({ kind: "sheet", value: document.value }, checkSheet(document.value));
    case "loftbell.line":
      return checked({ kind: "line", value: document.value }, checkLine(document.value));
    case "loftbell.store":
      return ok({ kind: "store", value: document.value });
    case "loftbell.job":
      return checked({ kind: "job", value: document.value }, checkJob(document.value));
  }
}

const checked = (incoming: Incoming, problems: Problem[]): Result<Incoming, Problem[]> =>
  problems.length > 0 ? err(problems) : ok(incoming);

function checkJob({ inputs, events }: JobDocument): Problem[] {
  const sheet = checkSheet(inputs.sheet).map((each) => ({
    path: `/inputs/sheet${each.path}`,
    message: each.message,
  }));
  if (sheet.length > 0) return sheet;
  const chain = verifyChain(inputs, events);
  if (!chain.ok) return [{ path: `/events/${chain.error.seq - 1}`, message: chain.error.message }];
  const whole = run(
    inputs,
    events.map((each) => each.event),
  );
  return whole.ok ? [] : [{ path: "/inputs/reach", message: whole.error }];
}

/** A CSV is told by its columns: tag+sheet is a register, tag+what readings, id+may the crew. */
function readCsv(text: string): Result<Incoming, Problem[]> {
  const parsed = Papa.parse<Record<string, string>>(text, {
    header: true,
    skipEmptyLines: "greedy",
    transformHeader: (header) => header.trim(),
  });
  const columns = new Set(parsed.meta.fields ?? []);
  const broken = parsed.errors.find((each) => each.type === "Quotes" || each.code === "TooManyFields");
  if (broken !== undefined)
    return err([
      {
        path: `/row ${(broken.row ?? 0) + 2}`,
        message: `${broken.message}. Look at the commas and quotes of this row.`,
      },
    ]);
  const rows = parsed.data.map((row) =>
    Object.fromEntries(Object.entries(row).filter(([, value]) => (value ?? "").trim() !== "")),
  );
  if (columns.has("tag") && columns.has("sheet")) {
    const valves = readRows(rows, (row, at) => readAs(ROW_SCHEMAS.register, row, at));
    return valves.ok ? ok({ kind: "register", value: valves.value }) : valves;
  }
  if (columns.has("tag") && columns.has("what")) {
    const readings = readRows(rows, (row, at) =>
      toReading(readAs(ROW_SCHEMAS.readings, { ...row, value: Number(row.value) }, at), at),
    );
    return readings.ok ? ok({ kind: "readings", value: readings.value }) : readings;
  }
  if (columns.has("id") && columns.has("may")) {
    const crew = readRows(rows, (row, at) => readAs(ROW_SCHEMAS.crew, row, at));
    return crew.ok ? ok({ kind: "crew", value: crew.value }) : crew;
  }
  return err([
    {
      path: "/row 1",
      message:
        "The columns are not known. A register has tag, name, place, sheet; readings have tag, at, what, dimension, value, unit, by; a crew has id, name, may.",
    },
  ]);
}

function readRows<T>(
  rows: readonly Record<string, string>[],
  read: (row: Record<string, string>, at: string) => Result<T, Problem[]>,
): Result<T[], Problem[]> {
  const made = rows.map((row, index) => read(row, `/row ${index + 2}`));
  const problems = made.flatMap((each) => (each.ok ? [] : each.error));
  return problems.length > 0 ? err(problems) : ok(made.flatMap((each) => (each.ok ? [each.value] : [])));
}

function toReading(row: Result<ReadingRow, Problem[]>, at: string): Result<StoredReading, Problem[]> {
  if (!row.ok) return row;
  const { tag, what, dimension, value, unit, by } = row.value;
  const found = unitNamed(unit, dimension);
  if (found === undefined)
    return err([{ path: `${at}/unit`, message: `"${unit}" is not a unit of ${dimension}.` }]);
  return ok({
    valve: tag,
    at: Date.parse(row.value.at),
    what,
    dimension,
    si: toSI(value, found),
    typed: `${value} ${found.label}`.trim(),
    by,
  });
}

/** What only shows when the set is seen whole: a register that names a sheet nobody has. */
function checkTogether(
  { library }: Services,
  read: readonly { file: string; incoming: Incoming }[],
): Problem[] {
  const sheets = new Map(library.sheets().map((sheet) => [sheet.id, sheet]));
  const lines = new Map<string, Line | undefined>();
  const lineOf = (id: string) => {
    if (!lines.has(id)) lines.set(id, library.line(id));
    return lines.get(id);
  };
  for (const { incoming } of read) {
    if (incoming.kind === "sheet") sheets.set(incoming.value.id, incoming.value);
    if (incoming.kind === "line") lines.set(incoming.value.id, incoming.value);
  }
  const moved = new Map(
    read.flatMap(({ incoming }) =>
      incoming.kind === "register" ? incoming.value.map((valve) => [valve.tag, valve] as const) : [],
    ),
  );
  return read.flatMap(({ file, incoming }) => {
    if (incoming.kind === "line")
      return leftWithoutPlace(
        library.valves().map((valve) => moved.get(valve.tag) ?? valve),
        incoming.value,
      ).map((each) => ({ ...each, path: `${file}${each.path}` }));
    if (incoming.kind !== "register") return [];
    const seen = new Set<string>();
    return incoming.value.flatMap((valve, index): Problem[] => {
      const at = `${file}/row ${index + 2}`;
      const problems: Problem[] = [];
      if (seen.has(valve.tag))
        problems.push({
          path: `${at}/tag`,
          message: `"${valve.tag}" stands twice in this file. Each tag once.`,
        });
      seen.add(valve.tag);
      const sheet = sheets.get(valve.sheet);
      if (sheet === undefined)
        problems.push({
          path: `${at}/sheet`,
          message: `There is no sheet "${valve.sheet}". Bring it in with the register, or correct the name.`,
        });
      if (
        valve.build !== undefined &&
        sheet !== undefined &&
        !sheet.builds.some((build) => build.id === valve.build)
      )
        problems.push({
          path: `${at}/build`,
          message: `The sheet has no build "${valve.build}": ${sheet.builds.map((build) => build.id).join(", ")}.`,
        });
      if (valve.line !== undefined) {
        const line = lineOf(valve.line);
        if (line === undefined)
          problems.push({
            path: `${at}/line`,
            message: `There is no line "${valve.line}". Bring it in with the register, or leave the column empty.`,
          });
        else if (!holdsPlace(line, valve.node ?? valve.tag))
          problems.push({
            path: `${at}/node`,
            message: `The line "${line.name}" has no place "${valve.node ?? valve.tag}".`,
          });
      }
      return problems;
    });
  });
}
