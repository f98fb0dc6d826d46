import { type TLiteral, type TSchema, type TUnion, Type } from "@sinclair/typebox";

/** A choice of words, as one schema: `oneOf("open", "shut")`. */
export function oneOf<const T extends readonly string[]>(...words: T) {
  return Type.Union(words.map((word) => Type.Literal(word))) as unknown as TUnion<
    { [K in keyof T]: TLiteral<T[K]> } & TSchema[]
  >;
}

/** Short names that join documents: tags, part ids, node ids. */
export const Id = Type.String({ pattern: "^[A-Za-z0-9][A-Za-z0-9._:-]*$", maxLength: 60 });
export const Words = Type.String({ minLength: 1, maxLength: 400 });
export const Instant = Type.String({ format: "date-time", description: "ISO 8601 date and time with zone." });
export const Minutes = Type.Number({ minimum: 0, maximum: 10_000, description: "min" });
export const closed = { additionalProperties: false } as const;
