import Papa from "papaparse";
import { datesFromCell, type Person, type ReadingRow, ROW_SCHEMAS, readAs, type Valve } from "@/core/formats";
import { toSI, unitNamed } from "@/core/quantity";
import { err, ok, type Problem, type Result } from "@/core/result";
import type { StoredReading } from "@/data";

/** One row of a register as it was written: the fields it changes, and those it clears. */
export interface RegisterRow {
  readonly tag: string;
  readonly set: Partial<Valve>;
  readonly clear: readonly string[];
}

export type CsvFile =
  | { readonly kind: "register"; readonly value: readonly RegisterRow[] }
  | { readonly kind: "readings"; readonly value: readonly StoredReading[] }
  | { readonly kind: "crew"; readonly value: readonly Person[] };

/** Written into a cell to empty the field; an empty cell leaves it as it is. */
export const CLEAR = "-";
const REGISTER_COLUMNS = Object.keys(ROW_SCHEMAS.register.properties);
/** What a valve cannot do without, so that no cell can clear it. */
const NEEDED: ReadonlySet<string> = new Set(ROW_SCHEMAS.register.required);

/** Columns of several dates or words, each by what it is of: `five=2022-04-26 look=2026-03-27`. */
const NAMED: ReadonlySet<string> = new Set(["last", "dueSince", "recheck", "fitted"]);
/** Columns of several figures: `yearly=6`. */
const FIGURES: ReadonlySet<string> = new Set(["shorter", "served"]);

/** A cell of several entries, read; the cell as it stands where it is not written so. */
function cellOf(key: string, value: string): unknown {
  if (!NAMED.has(key) && !FIGURES.has(key)) return value;
  const read = datesFromCell(value);
  if (read === undefined || NAMED.has(key)) return read ?? value;
  return Object.fromEntries(Object.entries(read).map(([of, figure]) => [of, Number(figure)]));
}

/** Reads a CSV; it is told by its columns: tag+what are readings, id+may the crew, tag with any other column a register. */
export function readCsv(text: string): Result<CsvFile, Problem[]> {
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
    Object.fromEntries(
      Object.entries(row).flatMap(([key, value]) => {
        const trimmed = (value ?? "").trim();
        return trimmed === "" ? [] : [[key, trimmed] as const];
      }),
    ),
  );
  if (columns.has("tag") && columns.has("what")) {
    const readings = readRows(rows, (row, at) =>
      toReading(readAs(ROW_SCHEMAS.readings, { ...row, value: Number(row.value) }, at), at),
    );
    return readings.ok ? ok({ kind: "readings", value: readings.value }) : readings;
  }
  if (columns.has("tag") && columns.size > 1) {
    const unknown = [...columns].filter((column) => !REGISTER_COLUMNS.includes(column));
    if (unknown.length > 0)
      return err([
        {
          path: "/row 1",
          message: `No column of a register is called ${unknown.map((each) => `"${each}"`).join(", ")}. There are: ${REGISTER_COLUMNS.join(", ")}.`,
        },
      ]);
    const valves = readRows(rows, toRegisterRow);
    return valves.ok ? ok({ kind: "register", value: valves.value }) : valves;
  }
  if (columns.has("id") && columns.has("may")) {
    const crew = readRows(rows, (row, at) => readAs(ROW_SCHEMAS.crew, row, at));
    return crew.ok ? ok({ kind: "crew", value: crew.value }) : crew;
  }
  return err([
    {
      path: "/row 1",
      message:
        "The columns are not known. A register has tag and what is to change (name, place, sheet …); readings have tag, at, what, dimension, value, unit, by; a crew has id, name, may.",
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

/** Each cell is held against its field; what the row does not speak of is nobody's business here. */
function toRegisterRow(row: Record<string, string>, at: string): Result<RegisterRow, Problem[]> {
  const clear = Object.keys(row).filter((key) => row[key] === CLEAR);
  const needed = clear.filter((key) => NEEDED.has(key));
  const set = Object.fromEntries(
    Object.entries(row)
      .filter(([, value]) => value !== CLEAR)
      .map(([key, value]) => [key, cellOf(key, value)]),
  );
  // Fields that the row leaves alone are filled with something sound, so that only what it says can be wrong.
  const sound = { tag: "T", name: "T", place: "T", sheet: "T" };
  const read = readAs(ROW_SCHEMAS.register, { ...sound, ...set }, at);
  const problems = [
    ...(row.tag === undefined ? [{ path: `${at}/tag`, message: "Missing: fill this in." }] : []),
    ...needed.map((key) => ({
      path: `${at}/${key}`,
      message: "A valve cannot be without it: write what it is.",
    })),
    ...(read.ok ? [] : read.error),
  ];
  return problems.length > 0 ? err(problems) : ok({ tag: row.tag!, set: set as Partial<Valve>, clear });
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
