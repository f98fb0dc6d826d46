import type { TObject } from "@sinclair/typebox";
import { ROW_SCHEMAS, readAs } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import { cellOf, isRecord } from "./cells";

/** Files whose rows change what is there, by the field that each row goes by. */
export const OVER = { register: "tag", crew: "id", places: "name", instruments: "id" } as const;
export type OverFile = keyof typeof OVER;

/** One row as it was written: the fields it changes, and those it clears. */
export interface RowOver<T = Record<string, unknown>> {
  readonly key: string;
  readonly set: Partial<T>;
  readonly clear: readonly string[];
}

/** Written into a cell to empty the field; an empty cell leaves it as it is. */
export const CLEAR = "-";

/** What a row makes of the thing that is there, or of nothing; a record is changed entry by entry. */
export function rowOver<T extends object>(file: OverFile, known: T | undefined, row: RowOver<T>): Partial<T> {
  const was = (known ?? {}) as Record<string, unknown>;
  const made: Record<string, unknown> = { ...was };
  for (const [field, value] of Object.entries(row.set))
    made[field] = isRecord(ROW_SCHEMAS[file].properties[field as never])
      ? { ...(was[field] as object), ...(value as object) }
      : value;
  for (const field of row.clear) delete made[field];
  return made as Partial<T>;
}

/** Fields that a row leaves alone are filled with something sound, so that only what it says can be wrong. */
const SOUND: Readonly<Record<OverFile, object>> = {
  register: { tag: "T", name: "T", place: "T", sheet: "T" },
  crew: { id: "T", name: "T", may: "" },
  places: { name: "T" },
  instruments: { id: "T", name: "T", kind: "gauge" },
};

/** Each cell is held against its field; what the row does not speak of is nobody's business here. */
export function toRowOver(
  file: OverFile,
  row: Record<string, string>,
  at: string,
): Result<RowOver, Problem[]> {
  const schema: TObject = ROW_SCHEMAS[file];
  const key = OVER[file];
  const clear = Object.keys(row).filter((field) => row[field] === CLEAR);
  const needed = clear.filter((field) => schema.required?.includes(field));
  const set = Object.fromEntries(
    Object.entries(row)
      .filter(([, text]) => text !== CLEAR)
      .map(([field, text]) => [field, cellOf(schema, field, text)]),
  );
  const read = readAs(schema, { ...SOUND[file], ...set }, at);
  const problems = [
    ...(row[key] === undefined ? [{ path: `${at}/${key}`, message: "Missing: fill this in." }] : []),
    ...needed.map((field) => ({
      path: `${at}/${field}`,
      message: "It cannot be without this: write what it is.",
    })),
    ...(read.ok ? [] : read.error),
  ];
  return problems.length > 0 ? err(problems) : ok({ key: row[key]!, set, clear });
}
