import { ROW_SCHEMAS, type RowFile } from "./read";

/** What a table of rows is by its columns, as long as they bear our names; nothing when they say too little. */
export function rowFileOf(columns: ReadonlySet<string>): RowFile | undefined {
  const has = (...names: readonly string[]) => names.every((name) => columns.has(name));
  if (has("tag", "what")) return "readings";
  if (has("tag")) return columns.size > 1 ? "register" : undefined;
  if (has("id", "may") || has("id", "competent")) return "crew";
  if (has("id", "kind") || has("id", "calibrated")) return "instruments";
  return has("name") && ["within", "lat", "way", "hazard", "contact"].some((name) => columns.has(name))
    ? "places"
    : undefined;
}

/** The columns of a file of rows, in their order. */
export const columnsOf = (file: RowFile): string[] => Object.keys(ROW_SCHEMAS[file].properties);

/** Whether every column of a table bears one of our names, so that nobody has to say what it is. */
export function bearsOurNames(columns: readonly string[]): boolean {
  const file = rowFileOf(new Set(columns));
  return file !== undefined && columns.every((column) => columnsOf(file).includes(column));
}

/** A row of each file to begin with: what stands in its columns, made up. */
const EXAMPLES: Readonly<Record<RowFile, Readonly<Record<string, string>>>> = {
  register: {
    tag: "H-12",
    name: "Hydrant by the gate",
    place: "North yard",
    sheet: "brae-quaywall-4",
    serial: "BF-1000",
    installed: "2015-03-12",
    serviced: "2026-04-02",
  },
  readings: {
    tag: "H-12",
    at: "2026-04-02T09:30:00Z",
    what: "static-pressure",
    dimension: "gauge pressure",
    value: "4.2",
    unit: "bar g",
    by: "Ina Lund",
  },
  crew: {
    id: "ina",
    name: "Ina Lund",
    may: "Hydrants; gas",
    competent: "gas=2027-05-01 steam=open",
    proof: "gas=GC-100",
  },
  places: {
    name: "North yard",
    lat: "57.1042",
    lon: "2.3117",
    way: "Key 7, the gate is on the left",
    contact: "Porter",
  },
  instruments: {
    id: "IN-1",
    name: "Test gauge 0 to 16 bar",
    kind: "gauge",
    serial: "QG-1",
    calibrated: "2026-01-14",
    every_months: "12",
  },
};

/** The heads of a file of rows and one row as an example. */
export function rowTemplate(file: RowFile): {
  readonly columns: readonly string[];
  readonly example: readonly string[];
} {
  const columns = columnsOf(file);
  return { columns, example: columns.map((column) => EXAMPLES[file][column] ?? "") };
}
