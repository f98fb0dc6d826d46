import Papa from "papaparse";

/** A table as it came: its heads and its rows, every cell as words. */
export interface Table {
  readonly name: string;
  readonly columns: readonly string[];
  readonly rows: readonly Readonly<Record<string, string>>[];
}

/** Reads a table of any delimiter: a CSV, or rows copied from a spreadsheet. */
export function readTable(name: string, text: string): Table {
  const read = Papa.parse<Record<string, string>>(text.trim(), {
    header: true,
    skipEmptyLines: "greedy",
    transformHeader: (head) => head.trim(),
  });
  return { name, columns: (read.meta.fields ?? []).filter((field) => field !== ""), rows: read.data };
}

/** Pasted rows with commas between their cells, however they were copied. */
export function asTable(text: string): string {
  const { columns, rows } = readTable("pasted.csv", text);
  return asCsv(columns, rows);
}

/** The different words that stand in a column, the most frequent first. */
export function wordsIn({ rows }: Table, column: string): string[] {
  const count = new Map<string, number>();
  for (const row of rows) {
    const said = (row[column] ?? "").trim();
    if (said !== "") count.set(said, (count.get(said) ?? 0) + 1);
  }
  return [...count].sort((a, b) => b[1] - a[1]).map(([said]) => said);
}

/** Rows of ours as a file that is brought in. */
export const asCsv = (
  columns: readonly string[],
  rows: readonly Readonly<Record<string, string>>[],
): string =>
  Papa.unparse({ fields: [...columns], data: rows.map((row) => columns.map((column) => row[column] ?? "")) });
