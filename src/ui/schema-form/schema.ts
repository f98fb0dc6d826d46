/** The part of a JSON schema that our formats use, as a form reads it. */
export interface FieldSchema {
  readonly type?: "object" | "array" | "string" | "number" | "integer" | "boolean";
  readonly description?: string;
  readonly const?: unknown;
  readonly enum?: readonly string[];
  readonly properties?: Readonly<Record<string, FieldSchema>>;
  readonly required?: readonly string[];
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

const UNITS: readonly (readonly [RegExp, string])[] = [
  [/_mm$/, "mm"],
  [/_kg$/, "kg"],
  [/_Nm$/, "N·m"],
  [/_min$/, "min"],
  [/_bar$/, "bar g"],
  [/_deg$/, "degrees"],
  [/_turns$/, "turns"],
  [/_months$/, "months"],
  [/_percent$/, "%"],
];

/** A field's name in words, with its unit: `backOff_turns` is "Back off, turns". */
export function labelOf(name: string): string {
  const unit = UNITS.find(([ending]) => ending.test(name));
  const bare = unit === undefined ? name : name.replace(unit[0], "");
  const words = bare.replace(/([a-z])([A-Z])/g, "$1 $2").toLowerCase();
  const said = words.charAt(0).toUpperCase() + words.slice(1);
  return unit === undefined ? said : `${said}, ${unit[1]}`;
}

/** What an entry of a list is called: by its name, or whatever of it says most. */
export function titleOf(value: unknown, index: number): string {
  if (typeof value !== "object" || value === null) return String(value);
  const entry = value as Record<string, unknown>;
  for (const name of ["name", "label", "says", "do", "ask", "can", "tool", "part", "what", "id", "kind"])
    if (typeof entry[name] === "string" && entry[name] !== "") return entry[name] as string;
  return `Entry ${index + 1}`;
}
