import { type Static, type TObject, type TSchema, type TUnion, Type } from "@sinclair/typebox";

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

/** Short names that join documents: tags, part ids, node ids. Every one of them can stand in the path of a page. */
export const Id = Type.String({
  pattern: "^[A-Za-z0-9][A-Za-z0-9._:-]*$",
  maxLength: 60,
  says: "Use letters, figures, dots, hyphens, colons and underscores, no spaces; begin with a letter or a figure: CB-T1.",
});
export const Words = Type.String({ minLength: 1, maxLength: 400 });
export const Instant = Type.String({
  format: "instant",
  description: "ISO 8601 date and time with zone.",
  says: "Write date and time with their zone, as 2026-03-12T08:30:00Z.",
});
/** In a register a day is enough: nobody knows the minute a valve was built in. */
export const DayOrInstant = Type.String({
  format: "day-or-instant",
  description: "ISO 8601: a day, or date and time with zone.",
  says: "Write the date as year-month-day: 2018-03-12.",
});
export const Day = Type.String({
  format: "day",
  says: "Write the date as year-month-day: 2018-03-12.",
});
/** Degrees, WGS 84: where something stands, for a map and for the way there. */
export const Latitude = Type.Number({
  minimum: -90,
  maximum: 90,
  description: "Degrees north, WGS 84: 55.6041.",
});
export const Longitude = Type.Number({
  minimum: -180,
  maximum: 180,
  description: "Degrees east, WGS 84: -2.1078.",
});
export const Typed = Type.String({ maxLength: 80, description: "As typed, kept beside the SI value." });
export const Minutes = Type.Number({ minimum: 0, maximum: 10_000 });
/** How the formats say units. */
export const UNITS_BY_NAME =
  "A figure is in the unit that its name ends in: mm, m, kg, L, min, Nm (N·m), C (°C), bar (gauge), deg (degrees).";
/** A schema with the words a form calls it by, where its name in the file says too little. */
export const titled = <T extends TSchema>(title: string, schema: T): T => ({ ...schema, title });
/** Who says a figure: without it, one that is for real equipment is marked wherever it stands. */
export const source = Type.Optional(
  Type.String({
    minLength: 1,
    maxLength: 400,
    title: "Who says this figure",
    description: "Paper, drawing or test. A figure for real equipment without it is marked.",
  }),
);
export const closed = { additionalProperties: false } as const;
