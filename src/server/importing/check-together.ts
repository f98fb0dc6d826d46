import { type Line, ROW_SCHEMAS, readAs, type Sheet, type Store, type Valve } from "@/core/formats";
import { canonical } from "@/core/job";
import { pointNames } from "@/core/line";
import type { Problem } from "@/core/result";
import type { StoredReading } from "@/data";
import { leftWithoutPlace } from "../lines/save-line";
import type { Services } from "../services";
import type { Incoming, ReadFile } from "./incoming";
import type { RegisterRow } from "./read-csv";

/** How far a reading may be dated ahead: two clocks differ. */
const CLOCKS_DIFFER_MS = 5 * 60_000;

/** The valve a row of a register makes of the one that is there, or of nothing. */
export function rowOver(known: Valve | undefined, row: RegisterRow): Partial<Valve> {
  const valve: Record<string, unknown> = {
    ...known,
    ...row.set,
    // A row that names one interval leaves the dates of the others alone.
    ...Object.fromEntries(
      (["last", "dueSince", "shorter", "recheck", "fitted", "served"] as const).flatMap((column) =>
        row.set[column] === undefined ? [] : [[column, { ...known?.[column], ...row.set[column] }]],
      ),
    ),
  };
  for (const field of row.clear) delete valve[field];
  return valve as Partial<Valve>;
}

/** What only shows when the set is seen whole: a register that names a sheet nobody has, a reading of no valve. */
export function checkTogether(services: Services, read: readonly ReadFile[]): Problem[] {
  const { library, register } = services;
  const sheets = new Map<string, Sheet>();
  const lines = new Map<string, Line>();
  const rows = new Map<string, RegisterRow>();
  const stores = new Map(library.stores().map((store) => [store.id, store]));
  for (const { incoming } of read) {
    if (incoming.kind === "sheet") sheets.set(incoming.value.id, incoming.value);
    if (incoming.kind === "line") lines.set(incoming.value.id, incoming.value);
    if (incoming.kind === "store") stores.set(incoming.value.id, incoming.value);
    if (incoming.kind === "register") for (const row of incoming.value) rows.set(row.tag, row);
  }
  const set: WholeSet = {
    sheet: remember((id) => sheets.get(id) ?? library.sheet(id)),
    line: remember((id) => {
      const line = lines.get(id) ?? library.line(id);
      return line && { name: line.name, places: pointNames(line) };
    }),
    stores: () => [...stores.values()],
    valve: (tag) => {
      const known = register.valve(tag);
      const row = rows.get(tag);
      return row === undefined ? known : (rowOver(known, row) as Valve);
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
      return twice(
        incoming.value.map((person) => person.name),
        "name",
        (name) => `Two people are called "${name}". Add what tells them apart: entries are signed by name.`,
      );
    case "store":
      return currencyFaults(set.stores(), incoming.value);
    case "job":
      return [];
  }
}

/** Prices of two currencies cannot be added up or compared. */
function currencyFaults(stores: readonly Store[], { id, currency }: Store): Problem[] {
  const other = stores.find((each) => each.id !== id && each.currency !== currency);
  return other === undefined
    ? []
    : [
        {
          path: "/currency",
          message: `"${other.name}" counts in ${other.currency}. Give the prices of this store in ${other.currency}, too: kits are chosen by price from all stores.`,
        },
      ];
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

interface WholeSet {
  readonly sheet: (id: string) => Sheet | undefined;
  readonly line: (id: string) => { readonly name: string; readonly places: ReadonlySet<string> } | undefined;
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

function registerFaults({ register }: Services, set: WholeSet, rows: readonly RegisterRow[]): Problem[] {
  const doubled = twice(
    rows.map((row) => row.tag),
    "tag",
    (tag) => `"${tag}" stands twice in this file. Each tag once.`,
  );
  return [
    ...doubled,
    ...rows.flatMap((row, index): Problem[] => {
      const at = `/row ${index + 2}`;
      const whole = readAs(ROW_SCHEMAS.register, rowOver(register.valve(row.tag), row), at);
      return whole.ok
        ? [...valveFaults(set, whole.value, at), ...intervalFaults(set, whole.value, row, at)]
        : whole.error;
    }),
  ];
}

/** What a valve names has to be there. */
function valveFaults(set: WholeSet, valve: Valve, at: string): Problem[] {
  const problems: Problem[] = [];
  const sheet = set.sheet(valve.sheet);
  if (sheet === undefined)
    problems.push({
      path: `${at}/sheet`,
      message: `There is no sheet "${valve.sheet}". Bring it in with the register, or correct the name.`,
    });
  else if (valve.build !== undefined && !sheet.builds.some((build) => build.id === valve.build))
    problems.push({
      path: `${at}/build`,
      message: `The sheet has no build "${valve.build}": ${sheet.builds.map((build) => build.id).join(", ")}.`,
    });
  if (valve.line === undefined) return problems;
  const line = set.line(valve.line);
  if (line === undefined)
    problems.push({
      path: `${at}/line`,
      message: `There is no line "${valve.line}". Bring it in with the register, or leave the column empty.`,
    });
  else if (!line.places.has(valve.node ?? valve.tag))
    problems.push({
      path: `${at}/node`,
      message: `The line "${line.name}" has no place "${valve.node ?? valve.tag}".`,
    });
  return problems;
}

/** Dates that this row gives are of intervals of the sheet; what stands there already may be of an older revision. */
function intervalFaults(
  set: WholeSet,
  { sheet: of }: Valve,
  { set: given }: RegisterRow,
  at: string,
): Problem[] {
  const sheet = set.sheet(of);
  if (sheet === undefined) return [];
  const ids = (list: readonly { readonly id: string }[] = []) => list.map(({ id }) => id);
  const intervals = { what: "interval", known: ids(sheet.intervals) };
  const named = {
    last: intervals,
    dueSince: intervals,
    shorter: intervals,
    recheck: { what: "look once more", known: ids(sheet.rechecks) },
    fitted: { what: "option", known: ids(sheet.options) },
    served: { what: "part", known: ids(sheet.parts) },
  } as const;
  return (Object.keys(named) as (keyof typeof named)[]).flatMap((column) => {
    const { what, known } = named[column];
    return Object.keys(given[column] ?? {}).flatMap((id) =>
      known.includes(id)
        ? []
        : [
            {
              path: `${at}/${column}/${id}`,
              message: `The sheet has no ${what} "${id}": ${known.join(", ") || "it has none"}.`,
            },
          ],
    );
  });
}
