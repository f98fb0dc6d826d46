import Papa from "papaparse";
import { columnsOf, type ReadingRow, ROW_SCHEMAS, readAs, rowFileOf } from "@/core/formats";
import { toSI, unitNamed } from "@/core/quantity";
import { err, ok, type Problem, type Result } from "@/core/result";
import type { StoredReading } from "@/data";
import { type OverFile, type RowOver, toRowOver } from "./row-over";

export type CsvFile =
  | { readonly kind: OverFile; readonly value: readonly RowOver[] }
  | { readonly kind: "readings"; readonly value: readonly StoredReading[] };

/** Reads a CSV; it is told by its columns what it is. */
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
  const kind = rowFileOf(columns);
  if (kind === undefined)
    return err([
      {
        path: "/row 1",
        message:
          "The columns are not known. A register has tag and what is to change (name, place, sheet …); readings have tag, at, what, dimension, value, unit, by; a crew has id, name, may; places have name and lat, lon, way or contact; instruments have id, name, kind, calibrated. Columns of other names can be matched below.",
      },
    ]);
  if (kind === "readings") {
    const readings = readRows(rows, (row, at) =>
      toReading(readAs(ROW_SCHEMAS.readings, { ...row, value: Number(row.value) }, at), at),
    );
    return readings.ok ? ok({ kind, value: readings.value }) : readings;
  }
  const known = columnsOf(kind);
  const unknown = [...columns].filter((column) => !known.includes(column));
  if (unknown.length > 0)
    return err([
      {
        path: "/row 1",
        message: `No column of ${NAMES[kind]} is called ${unknown.map((each) => `"${each}"`).join(", ")}. There are: ${known.join(", ")}.`,
      },
    ]);
  const read = readRows(rows, (row, at) => toRowOver(kind, row, at));
  return read.ok ? ok({ kind, value: read.value }) : read;
}

const NAMES: Readonly<Record<OverFile, string>> = {
  register: "a register",
  crew: "a crew",
  places: "a list of places",
  instruments: "a list of instruments",
};

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
  const { tag, what, dimension, value, unit = "", by } = row.value;
  const found = unitNamed(unit, dimension);
  if (found === undefined)
    return err([
      {
        path: `${at}/unit`,
        message:
          unit === ""
            ? `Which unit of ${dimension}? Fill it in.`
            : `"${unit}" is not a unit of ${dimension}.`,
      },
    ]);
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
