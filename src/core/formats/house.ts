import { type Static, Type } from "@sinclair/typebox";
import { closed, Id, oneOf, Words } from "./shared";

export const WEEKDAYS = ["mon", "tue", "wed", "thu", "fri", "sat", "sun"] as const;

const Hour = Type.String({
  pattern: "^([01]\\d|2[0-3]):[0-5]\\d$",
  says: "Write hours and minutes: 07:30.",
});

/** When somebody works: days of the week, from an hour to an hour. */
export const ShiftSchema = Type.Object(
  {
    id: Id,
    name: Words,
    days: Type.Array(oneOf(...WEEKDAYS), { minItems: 1, maxItems: 7, uniqueItems: true }),
    from: Hour,
    to: Hour,
  },
  closed,
);
export type Shift = Static<typeof ShiftSchema>;

/** People who go out together. */
export const CrewSchema = Type.Object(
  {
    id: Id,
    name: Words,
    people: Type.Array(Id, {
      minItems: 1,
      maxItems: 20,
      uniqueItems: true,
      description: "Of the crew, by id.",
    }),
  },
  closed,
);
export type Crew = Static<typeof CrewSchema>;

/** What holds for the whole department: its name, when it works, who goes out with whom. */
export const HouseSchema = Type.Object(
  {
    format: Type.Literal("loftbell.house"),
    version: Type.Literal(1),
    id: Type.Literal("house"),
    name: Words,
    shifts: Type.Optional(Type.Array(ShiftSchema, { maxItems: 60 })),
    crews: Type.Optional(
      Type.Array(CrewSchema, {
        maxItems: 60,
        description: "Who goes out with whom: rounds are planned for them.",
      }),
    ),
    closed: Type.Optional(
      Type.Record(Type.String({ pattern: "^\\d{4}-\\d{2}-\\d{2}$" }), Words, {
        description: "Days on which nobody works, each with what it is.",
        additionalProperties: false,
      }),
    ),
    anotherProves: Type.Optional(
      Type.Boolean({
        title: "Another proves zero",
        description: "Zero is proven by another person than shut it off.",
      }),
    ),
  },
  { ...closed, $id: "loftbell.house.json", title: "House", description: "What holds for the department." },
);
export type House = Static<typeof HouseSchema>;
