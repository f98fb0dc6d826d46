import { type Line, ROW_SCHEMAS, readAs, type Sheet, type Store, type Valve } from "@/core/formats";
import { canonical } from "@/core/job";
import { pointNames } from "@/core/line";
import type { Problem } from "@/core/result";
import { otherCurrency } from "@/core/store";
import { checkTrouble } from "@/core/trouble";
import type { StoredReading } from "@/data";
import type { Things } from "../book/kind";
import { kindOf } from "../book/kinds";
import { PERSON } from "../book/kinds/person";
import { leftWithoutPlace } from "../lines/left-without-place";
import { librarySheet } from "../register/library";
import { type Named, recordFaults, retiredAtWork, valveFaults } from "../register/valve-faults";
import type { Services } from "../services";
import type { Incoming, ReadFile } from "./incoming";
import { OVER, type OverFile, type RowOver, rowOver } from "./row-over";

/** How far a reading may be dated ahead: two clocks differ. */
const CLOCKS_DIFFER_MS = 5 * 60_000;

/** What only shows when the set is seen whole: a register that names a sheet nobody has, a reading of no valve. */
export function checkTogether(services: Services, read: readonly ReadFile[]): Problem[] {
  const { library, register } = services;
  const sheets = new Map<string, Sheet>();
  const lines = new Map<string, Line>();
  const rows = new Map<string, RowOver<Valve>>();
  const stores = new Map(library.stores().map((store) => [store.id, store]));
  for (const { incoming } of read) {
    if (incoming.kind === "sheet") sheets.set(incoming.value.id, incoming.value);
    if (incoming.kind === "line") lines.set(incoming.value.id, incoming.value);
    if (incoming.kind === "store") stores.set(incoming.value.id, incoming.value);
    if (incoming.kind === "register") for (const row of incoming.value) rows.set(row.key, row);
  }
  const set: WholeSet = {
    sheet: remember((id) => sheets.get(id) ?? library.sheet(id) ?? librarySheet(id)),
    line: remember((id) => {
      const line = lines.get(id) ?? library.line(id);
      return line && { name: line.name, places: pointNames(line) };
    }),
    stores: () => [...stores.values()],
    valve: (tag) => {
      const known = register.anyValve(tag);
      const row = rows.get(tag);
      return row === undefined ? known : (rowOver("register", known, row) as Valve);
    },
  };
  return read.flatMap(({ file, incoming }) =>
    faultsOf(services, set, incoming).map(({ path, message }) => ({ path: `${file}${path}`, message })),
  );
}

function faultsOf(services: Services, set: WholeSet, incoming: Incoming): readonly Problem[] {
  switch (incoming.kind) {
    case "line":
      return leftWithoutPlace(
        services.register.onLine(incoming.value.id).flatMap(({ tag }) => set.valve(tag) ?? []),
        incoming.value,
      );
    case "register":
      return registerFaults(services, set, incoming.value);
    case "readings":
      return incoming.value.flatMap((reading, index) =>
        readingFaults(services, set, reading, `/row ${index + 2}`),
      );
    case "sheet":
      return sheetFaults(services, incoming.value);
    case "crew":
      return [
        ...rowFaults(services, "crew", "person", incoming.value),
        ...twice(
          incoming.value.map(({ key, set }) => set.name ?? PERSON.find(services, key)?.name ?? ""),
          "name",
          (name) => `Two people are called "${name}". Add what tells them apart: entries are signed by name.`,
        ),
      ];
    case "places":
      return rowFaults(services, "places", "place", incoming.value);
    case "instruments":
      return rowFaults(services, "instruments", "instrument", incoming.value);
    case "store":
      return otherCurrency(set.stores(), incoming.value);
    case "trouble":
      return checkTrouble(
        incoming.value,
        services.library.sheets().filter(({ family }) => family === incoming.value.family),
      );
    case "job":
    case "house":
    case "ground":
      return [];
  }
}

function readingFaults(
  services: Services,
  set: WholeSet,
  { valve, at }: StoredReading,
  row: string,
): Problem[] {
  const problems: Problem[] = [];
  if (set.valve(valve) === undefined)
    problems.push({
      path: `${row}/tag`,
      message: `No valve "${valve}" is in the register. Bring it in first.`,
    });
  if (at > services.now() + CLOCKS_DIFFER_MS)
    problems.push({ path: `${row}/at`, message: "This is dated in the future. Nobody has read it yet." });
  return problems;
}

interface WholeSet extends Named {
  readonly valve: (tag: string) => Valve | undefined;
  readonly stores: () => readonly Store[];
}

function remember<T>(find: (id: string) => T): (id: string) => T {
  const known = new Map<string, T>();
  return (id) => {
    if (!known.has(id)) known.set(id, find(id));
    return known.get(id) as T;
  };
}

function twice(values: readonly string[], field: string, says: (value: string) => string): Problem[] {
  const seen = new Set<string>();
  return values.flatMap((value, index) => {
    const known = seen.has(value.trim().toLowerCase());
    seen.add(value.trim().toLowerCase());
    return known ? [{ path: `/row ${index + 2}/${field}`, message: says(value) }] : [];
  });
}

function sheetFaults({ library }: Services, sheet: Sheet): Problem[] {
  const known = library.sheet(sheet.id, sheet.revision);
  return known === undefined || canonical(known) === canonical(sheet)
    ? []
    : [
        {
          path: "/revision",
          message: `Revision ${sheet.revision} of "${sheet.title}" is stored already and is another one. Jobs and records count on it: give yours the next number, ${(library.revisions(sheet.id).at(-1) ?? 0) + 1}.`,
        },
      ];
}

function registerFaults(services: Services, set: WholeSet, rows: readonly RowOver<Valve>[]): Problem[] {
  return [
    ...rowFaults(services, "register", "valve", rows),
    ...rows.flatMap((row, index): Problem[] => {
      const at = `/row ${index + 2}`;
      const valve = rowOver("register", services.register.anyValve(row.key), row) as Valve;
      return readAs(ROW_SCHEMAS.register, valve).ok
        ? [
            ...valveFaults(set, valve, at),
            ...recordFaults(set.sheet(valve.sheet), row.set, at),
            ...retiredAtWork(services, valve, at),
          ]
        : [];
    }),
  ];
}

/** Each row makes something whole, and none stands twice. */
function rowFaults<K extends "valve" | "person" | "place" | "instrument">(
  services: Services,
  file: OverFile,
  kind: K,
  rows: readonly RowOver<Things[K]>[],
): Problem[] {
  const doubled = twice(
    rows.map(({ key }) => key),
    OVER[file],
    (key) => `"${key}" stands twice in this file. Each once.`,
  );
  const broken = rows.flatMap((row, index) => {
    const whole = rowOver(file, kindOf(kind).find(services, row.key), row);
    const read = readAs(ROW_SCHEMAS[file], whole, `/row ${index + 2}`);
    return read.ok ? [] : read.error;
  });
  return [...doubled, ...broken];
}
