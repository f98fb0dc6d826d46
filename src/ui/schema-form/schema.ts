import type { Dimension } from "@/core/quantity";
import { FIELD_WORDS } from "./field-words";

/** The part of a JSON schema that our formats use, as a form reads it. */
export interface FieldSchema {
  readonly type?: "object" | "array" | "string" | "number" | "integer" | "boolean";
  readonly title?: string;
  readonly description?: string;
  readonly const?: unknown;
  readonly enum?: readonly string[];
  readonly properties?: Readonly<Record<string, FieldSchema>>;
  readonly required?: readonly string[];
  /** Entries by a key that is not known beforehand. */
  readonly patternProperties?: Readonly<Record<string, FieldSchema>>;
  readonly items?: FieldSchema;
  readonly minItems?: number;
  readonly minimum?: number;
  readonly exclusiveMinimum?: number;
  readonly maxLength?: number;
  readonly oneOf?: readonly FieldSchema[];
}

/** The kinds of a union told apart by `kind`. */
export const kindsOf = (schema: FieldSchema): readonly string[] =>
  schema.oneOf?.map((branch) => String(branch.properties?.kind?.const)) ?? [];

/** The branch of a union that a value belongs to; the schema itself when it is none. */
export function branchOf(schema: FieldSchema, value: unknown): FieldSchema {
  if (schema.oneOf === undefined) return schema;
  const kind = (value as { kind?: unknown } | null)?.kind;
  return schema.oneOf.find((branch) => branch.properties?.kind?.const === kind) ?? schema.oneOf[0]!;
}

/** The least that fits a schema: what a new entry begins with. */
export function blankOf(schema: FieldSchema): unknown {
  if (schema.const !== undefined) return schema.const;
  if (schema.oneOf !== undefined) return blankOf(schema.oneOf[0]!);
  if (schema.enum !== undefined) return schema.enum[0];
  switch (schema.type) {
    case "object":
      return Object.fromEntries(
        (schema.required ?? []).map((name) => [name, blankOf(schema.properties?.[name] ?? {})]),
      );
    case "array":
      return Array.from({ length: schema.minItems ?? 0 }, () => blankOf(schema.items ?? {}));
    case "number":
    case "integer":
      return Math.max(schema.minimum ?? 0, schema.exclusiveMinimum === undefined ? 0 : 1);
    case "boolean":
      return true;
    default:
      return "";
  }
}

/** A figure of a document: what it measures, the unit it is stored in, and the one a US reader is used to. */
export interface StoredMeasure {
  readonly dimension: Dimension;
  /** Ids of units. */
  readonly stored: string;
  readonly us: string;
}

const measure = (dimension: Dimension, stored: string, us = stored): StoredMeasure => ({
  dimension,
  stored,
  us,
});

/** A field's name ends in its unit: `depth_mm`. */
const MEASURES: Readonly<Record<string, StoredMeasure>> = {
  mm: measure("length", "mm", "in"),
  m: measure("length", "m", "ft"),
  kg: measure("mass", "kg", "lb"),
  Nm: measure("torque", "N·m", "ft·lbf"),
  min: measure("time", "min"),
  bar: measure("gauge pressure", "bar g", "psi g"),
  L: measure("volume", "L", "US gal"),
  C: measure("temperature", "°C", "°F"),
  deg: measure("angle", "°"),
  turns: measure("turns", "turn"),
  percent: measure("number", "%"),
};

/** What the name of a field says that it measures; nothing when it names no unit. */
export function measureOf(name: string): StoredMeasure | undefined {
  const ending = /_([A-Za-z]+)$/.exec(name)?.[1];
  return ending === undefined ? undefined : MEASURES[ending];
}

/** A field in words: as its schema or the trade calls it, or by its name: `gap_mm` is "Gap". */
export function labelOf(name: string, schema?: FieldSchema): string {
  const said = schema?.title ?? FIELD_WORDS[name];
  if (said !== undefined) return said;
  const bare = measureOf(name) === undefined ? name : name.replace(/_[A-Za-z]+$/, "");
  const words = bare
    .replace(/([a-z])([A-Z])/g, "$1 $2")
    .replaceAll("_", ", ")
    .toLowerCase();
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** What every entry of a map is; nothing where it is none. */
export const entryOf = ({ patternProperties }: FieldSchema): FieldSchema | undefined =>
  patternProperties === undefined ? undefined : Object.values(patternProperties)[0];

/** An object's schema with these fields only. */
export const only = (schema: FieldSchema, fields: readonly string[]): FieldSchema => ({
  type: "object",
  required: schema.required?.filter((name) => fields.includes(name)) ?? [],
  properties: Object.fromEntries(fields.map((name) => [name, schema.properties![name]!])),
});

/** These fields of a document, as far as it has them. */
export const pick = (document: object, fields: readonly string[]): Record<string, unknown> =>
  Object.fromEntries(Object.entries(document).filter(([name]) => fields.includes(name)));

/** The document with these fields as given; one that was taken away is gone. */
export function put<Document extends object>(
  document: Document,
  fields: readonly string[],
  value: object,
): Document {
  const rest = Object.fromEntries(Object.entries(document).filter(([name]) => !fields.includes(name)));
  return { ...rest, ...value } as Document;
}

/** A schema without these fields, in each of its branches. */
export const without = (schema: FieldSchema, fields: readonly string[]): FieldSchema => ({
  ...schema,
  ...(schema.properties !== undefined && {
    properties: Object.fromEntries(
      Object.entries(schema.properties).filter(([name]) => !fields.includes(name)),
    ),
  }),
  ...(schema.oneOf !== undefined && { oneOf: schema.oneOf.map((branch) => without(branch, fields)) }),
});

/** What an entry of a list is called: by its name, or whatever of it says most. */
export function titleOf(value: unknown, index: number): string {
  if (typeof value !== "object" || value === null) return String(value);
  const entry = value as Record<string, unknown>;
  for (const name of ["name", "label", "says", "do", "ask", "can", "tool", "part", "what", "id", "kind"])
    if (typeof entry[name] === "string" && entry[name] !== "")
      return typeof entry.size === "string" ? `${entry[name]}, ${entry.size}` : (entry[name] as string);
  return `Entry ${index + 1}`;
}
