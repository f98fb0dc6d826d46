import { type Static, type TObject, type TUnion, Type } from "@sinclair/typebox";

/** A choice of words: `oneOf("open", "shut")`. */
export const oneOf = <const T extends readonly string[]>(...words: T) =>
  Type.Unsafe<T[number]>({ type: "string", enum: [...words] });

/** A union of objects told apart by their `kind`: an error then names the branch that was meant, and only that. */
export const oneKindOf = <T extends TObject[]>(...schemas: [...T]) =>
  Type.Unsafe<Static<TUnion<T>>>({
    type: "object",
    discriminator: { propertyName: "kind" },
    required: ["kind"],
    oneOf: schemas,
  });

/** Short names that join documents: tags, part ids, node ids. */
export const Id = Type.String({ pattern: "^[A-Za-z0-9][A-Za-z0-9._:-]*$", maxLength: 60 });
export const Words = Type.String({ minLength: 1, maxLength: 400 });
export const Instant = Type.String({ format: "date-time", description: "ISO 8601 date and time with zone." });
export const Minutes = Type.Number({ minimum: 0, maximum: 10_000, description: "min" });
export const closed = { additionalProperties: false } as const;
