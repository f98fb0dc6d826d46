import { type Static, Type } from "@sinclair/typebox";
import { isDay } from "./dates";
import { closed, Id, oneOf, Words } from "./shared";

/** Files of rows that foreign columns can be read as. */
export const MAPPED_FILES = ["register", "readings", "crew", "places", "instruments"] as const;
export type MappedFile = (typeof MAPPED_FILES)[number];

const Cell = Type.String({ maxLength: 2000 });

/** How the columns of somebody else's table are read: kept, so that the next table of that kind is read by itself. */
export const MappingSchema = Type.Object(
  {
    id: Id,
    name: Words,
    file: oneOf(...MAPPED_FILES),
    /** How its dates are written: day first, month first, or year first. */
    dates: oneOf("ymd", "dmy", "mdy"),
    decimal: oneOf("point", "comma"),
    columns: Type.Record(Type.String({ maxLength: 200 }), Id, {
      description: "Their column to our field; a column that is not named is left out.",
    }),
    same: Type.Optional(
      Type.Record(Id, Cell, { description: "Fields that are the same in every row: place=Lido." }),
    ),
    words: Type.Optional(
      Type.Record(Id, Type.Record(Cell, Cell), {
        description: "Words of theirs that mean one of ours, by field: a model that is one of our sheets.",
      }),
    ),
  },
  { ...closed, $id: "loftbell.mapping.json", title: "Columns", description: "How foreign columns are read." },
);
export type Mapping = Static<typeof MappingSchema>;

/** What the columns of other lists are often called, by our field. */
const CALLED: Readonly<Record<MappedFile, Readonly<Record<string, readonly string[]>>>> = {
  register: {
    tag: ["tag", "asset", "asset no", "asset number", "asset id", "number", "no", "id", "valve", "valve no"],
    name: ["name", "description", "designation", "what", "title", "where it stands"],
    place: ["place", "location", "site", "building", "area", "room", "plant"],
    sheet: ["sheet", "model", "type", "kind", "product", "article"],
    serial: ["serial", "serial no", "serial number", "sn"],
    installed: ["installed", "install date", "installation date", "date installed", "built in", "year"],
    serviced: ["serviced", "last service", "last serviced", "service date", "date of service", "maintained"],
    line: ["line", "system", "circuit", "network"],
    node: ["node", "position", "point"],
    generation: ["generation", "series", "version"],
    build: ["build", "variant", "execution"],
    note: ["note", "notes", "remark", "remarks", "comment", "comments"],
    lat: ["lat", "latitude"],
    lon: ["lon", "lng", "long", "longitude"],
  },
  readings: {
    tag: ["tag", "asset", "valve", "number"],
    at: ["at", "date", "time", "when", "taken"],
    what: ["what", "quantity", "parameter", "measured"],
    dimension: ["dimension", "kind of quantity"],
    value: ["value", "reading", "result"],
    unit: ["unit", "units"],
    by: ["by", "who", "technician", "taken by"],
  },
  crew: {
    id: ["id", "number", "no", "short", "initials"],
    name: ["name", "full name", "person"],
    may: ["may", "competence", "skills", "trade", "qualified for"],
    phone: ["phone", "mobile", "telephone"],
    base: ["base", "depot", "site"],
  },
  places: {
    name: ["name", "place", "location", "site"],
    within: ["within", "part of", "site", "building"],
    lat: ["lat", "latitude"],
    lon: ["lon", "lng", "long", "longitude"],
    way: ["way", "access", "how to get in"],
    contact: ["contact", "who to tell", "person"],
    phone: ["phone", "telephone", "mobile"],
  },
  instruments: {
    id: ["id", "number", "no", "tag"],
    name: ["name", "description", "instrument"],
    kind: ["kind", "type"],
    serial: ["serial", "serial no", "serial number", "sn"],
    calibrated: ["calibrated", "calibration date", "last calibration", "calibration"],
    certificate: ["certificate", "certificate no"],
    every_months: ["every months", "interval", "months"],
  },
};

const plain = (header: string) =>
  header
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]+/gu, " ")
    .trim();

/** One id for one set of columns, however they are ordered: by it a mapping is found again. */
export function columnsId(headers: readonly string[]): string {
  let hash = 0x811c9dc5;
  for (const letter of headers.map(plain).toSorted().join("|")) {
    hash ^= letter.codePointAt(0)!;
    hash = Math.imul(hash, 0x01000193) >>> 0;
  }
  return `c${hash.toString(36)}`;
}

/** What the columns are most likely, each field at most once; what nothing is known of is left out. */
export function guessColumns(headers: readonly string[], file: MappedFile): Record<string, string> {
  const found: Record<string, string> = {};
  const taken = new Set<string>();
  // The earlier a name stands in the list of a field, the surer it is.
  for (let rank = 0; rank < 12; rank++)
    for (const [field, names] of Object.entries(CALLED[file])) {
      if (taken.has(field)) continue;
      const header = headers.find((each) => found[each] === undefined && plain(each) === names[rank]);
      if (header === undefined) continue;
      found[header] = field;
      taken.add(field);
    }
  return found;
}

/** The file these columns fit best, by how many of them are known. */
export const guessFile = (headers: readonly string[]): MappedFile =>
  [...MAPPED_FILES].sort(
    (a, b) => Object.keys(guessColumns(headers, b)).length - Object.keys(guessColumns(headers, a)).length,
  )[0]!;

const DATES: ReadonlySet<string> = new Set([
  "installed",
  "serviced",
  "at",
  "calibrated",
  "reported",
  "retired",
]);
const NUMBERS: ReadonlySet<string> = new Set(["value", "lat", "lon", "every_months", "notice_days"]);

const two = (text: string) => text.padStart(2, "0");

/**
 * A date as it is written elsewhere, as a day: 31.12.2018, 12/31/18, 2018. A year alone is its first day, so that what is
 * counted from it rings too early rather than too late. What cannot be read stays as it is, to be told at its row.
 */
export function dayFrom(text: string, order: Mapping["dates"]): string {
  if (/^\d{4}$/.test(text)) return `${text}-01-01`;
  const [, a, b, c, rest] = /^(\d{1,4})[./ -](\d{1,2})[./ -](\d{1,4})(?:[T ](.*))?$/.exec(text) ?? [];
  if (a === undefined || b === undefined || c === undefined) return text;
  const [year, month, day] =
    a.length === 4 || order === "ymd" ? [a, b, c] : order === "dmy" ? [c, b, a] : [c, a, b];
  const made = `${year!.length === 2 ? `20${year}` : year}-${two(month!)}-${two(day!)}`;
  if (!isDay(made)) return text;
  return rest === undefined || !/^\d{2}:\d{2}/.test(rest)
    ? made
    : `${made}T${rest.length === 5 ? `${rest}:00` : rest}${/[Z+]/i.test(rest) ? "" : "Z"}`;
}

const numberFrom = (text: string, decimal: Mapping["decimal"]): string =>
  decimal === "comma" ? text.replaceAll(".", "").replace(",", ".") : text.replaceAll(",", "");

/** Rows of a foreign table as rows of ours; rows keep their order, so that a message at row 7 is theirs at row 7. */
export function mappedRows(
  mapping: Mapping,
  rows: readonly Readonly<Record<string, string>>[],
): Record<string, string>[] {
  return rows.map((row) => {
    const made: Record<string, string> = { ...mapping.same };
    for (const [header, field] of Object.entries(mapping.columns)) {
      const said = (row[header] ?? "").trim();
      const meant = mapping.words?.[field]?.[said] ?? said;
      if (meant === "") continue;
      made[field] =
        DATES.has(field) && meant === said
          ? dayFrom(meant, mapping.dates)
          : NUMBERS.has(field)
            ? numberFrom(meant, mapping.decimal)
            : meant;
    }
    return made;
  });
}
