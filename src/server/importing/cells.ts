import type { TObject, TSchema } from "@sinclair/typebox";
import { datesFromCell } from "@/core/formats";

/** What one entry of a record is written as: the record's own value schema, whichever way it names its keys. */
function entryOf(schema: TSchema): TSchema | undefined {
  const { patternProperties = {}, properties = {} } = schema as {
    patternProperties?: Record<string, TSchema>;
    properties?: Record<string, TSchema>;
  };
  return Object.values(patternProperties)[0] ?? Object.values(properties)[0];
}

const isNumber = ({ type }: TSchema) => type === "number" || type === "integer";

/** Whether a column holds several entries, each by what it is of: `five=2022-04-26 look=2026-03-27`. */
export const isRecord = (schema: TSchema | undefined): boolean => schema?.type === "object";

/** A cell as its field has it; the words of the cell as they stand where it is not written so, to be told at its row. */
export function cellOf({ properties }: TObject, field: string, text: string): unknown {
  const schema = properties[field];
  if (schema === undefined) return text;
  if (isNumber(schema)) return Number.isFinite(Number(text)) ? Number(text) : text;
  if (!isRecord(schema)) return text;
  const read = datesFromCell(text);
  const entry = entryOf(schema);
  if (read === undefined || entry === undefined || !isNumber(entry)) return read ?? text;
  return Object.fromEntries(Object.entries(read).map(([of, figure]) => [of, Number(figure)]));
}
