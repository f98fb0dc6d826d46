import { type Static, type TSchema, Type } from "@sinclair/typebox";
import { LineSchema } from "./line";
import { closed, Id, oneOf } from "./shared";
import { SheetSchema } from "./sheet";
import { TakenWithSchema } from "./taken-with";
import { TroubleSchema } from "./trouble";

const Amount = Type.Number({ minimum: 0, maximum: 1_000_000 });
const Key = Type.String({ minLength: 1, maxLength: 60 });

const Pieces = Type.Record(Key, Type.Integer({ minimum: 1, maximum: 10_000 }));

/** What an end costs on this valve today, and what it takes. */
const Cost = Type.Object(
  {
    minutes: Type.Number({ minimum: 0, maximum: 100_000, description: "Of work, all told." }),
    outage_min: Type.Optional(
      Type.Number({ minimum: 0, maximum: 100_000, description: "For which somebody goes without." }),
    ),
    money: Type.Optional(Type.Number({ minimum: 0, description: "Parts, in the currency of the store." })),
    dead_min: Type.Optional(
      Type.Number({
        minimum: 0,
        maximum: 100_000,
        description: "Of these minutes: to shut off and bring back.",
      }),
    ),
    cover_min: Type.Optional(
      Type.Number({
        minimum: 0,
        maximum: 100_000,
        description: "Of these minutes: to open and to close it.",
      }),
    ),
    parts: Type.Optional({ ...Pieces, description: "Pieces that it takes, by part or by piece of a stack." }),
    maybe: Type.Optional({ ...Pieces, description: "Pieces that it takes if a look at them says so." }),
    tools: Type.Optional(Type.Array(Key, { maxItems: 100, description: "Tools of the sheet, by id." })),
  },
  closed,
);
export type EndCost = Static<typeof Cost>;

/** What is known of the valve, the day and the people before anybody looks. What is not known is left out. */
export const TroubleFactsSchema = Type.Object(
  {
    complaint: Key,
    from: Type.Optional({
      ...oneOf("telephone", "site"),
      description: "On the telephone only what a caller can see is asked. On site when absent.",
    }),
    age_years: Type.Optional(Amount),
    sinceService_months: Type.Optional(Amount),
    worked: Type.Optional(
      Type.Array(Type.Object({ days: Amount, parts: Type.Array(Key, { maxItems: 200 }) }, closed), {
        maxItems: 50,
        description: "Jobs before: how long ago, and which parts were off.",
      }),
    ),
    season: Type.Optional(oneOf("spring", "summer", "autumn", "winter")),
    frost: Type.Optional(Type.Boolean()),
    water: Type.Optional(Type.Array(oneOf("hard", "dirty"), { maxItems: 2 })),
    duty: Type.Optional(oneOf("heavy", "seldom")),
    trends: Type.Optional(Type.Record(Id, oneOf("rises", "falls"))),
    neighbourPasses: Type.Optional(Type.Boolean()),
    heldByJob: Type.Optional(Type.Boolean()),
    found: Type.Optional(
      Type.Record(Id, Type.Integer({ minimum: 0 }), {
        description: "How often signed jobs found each cause, for this complaint.",
      }),
    ),
    costs: Type.Optional(
      Type.Record(Id, Cost, { description: "By end; what the knowledge says when absent." }),
    ),
    setUp: Type.Optional(
      Type.Object(
        {
          "power-off": Type.Optional(Amount),
          dead: Type.Optional(Amount),
          "cover-off": Type.Optional(Amount),
        },
        {
          ...closed,
          description: "min. To make it so for a look and to bring it back; what is usual when absent.",
        },
      ),
    ),
    weigh: Type.Optional(
      Type.Object(
        {
          trip_min: Type.Optional(Amount),
          wrong_min: Type.Optional(Amount),
          outage: Type.Optional(Type.Number({ minimum: 0, maximum: 100 })),
          money_min: Type.Optional(Amount),
        },
        {
          ...closed,
          description:
            "A second trip and somebody called for nothing, in minutes; a minute without service and a unit of money, in minutes of work.",
        },
      ),
    ),
    world: Type.Optional(
      Type.Record(Id, Type.Record(Id, Type.Record(Id, Type.Number({ minimum: 0, maximum: 1 }))), {
        description:
          "How causes answer looks on this line, as it is read in the world: look, cause, answer, chance.",
      }),
    ),
    cannot: Type.Optional(
      Type.Array(Key, {
        maxItems: 100,
        description: "Looks that cannot be done here, or by whoever is here.",
      }),
    ),
  },
  closed,
);
export type TroubleFacts = Static<typeof TroubleFactsSchema>;

/** What somebody saw, or that nobody can tell; typed figures are judged by the look's sum and limits. */
export const TroubleAnswerSchema = Type.Object(
  {
    look: Key,
    answer: Type.Optional(
      Type.String({
        minLength: 1,
        maxLength: 60,
        description:
          'An answer of the look; "below", "within" or "above" of a measure; "unknown"; of an end that was tried "cured" or "not".',
      }),
    ),
    typed: Type.Optional(
      Type.Record(Key, Type.String({ maxLength: 80 }), {
        description:
          "Of a measure: what was read (`reading`) and what the sum asks besides, each with its unit.",
      }),
    ),
    with: Type.Optional(
      Type.Record(Key, TakenWithSchema, {
        maxProperties: 20,
        description: "The figures of `typed` that an instrument handed over.",
      }),
    ),
  },
  closed,
);
export type TroubleAnswer = Static<typeof TroubleAnswerSchema>;

export const TroubleAnswersSchema = Type.Array(TroubleAnswerSchema, { maxItems: 100 });

/** Twice in one document a schema cannot go by its id. */
export const nameless = <S extends TSchema>({ $id: _, ...schema }: S): S => schema as unknown as S;

/** What the judgement is asked: knowledge, facts, answers so far; nothing stored. */
export const TROUBLE_QUESTION = Type.Object(
  {
    knowledge: nameless(TroubleSchema),
    facts: TroubleFactsSchema,
    answers: Type.Optional(TroubleAnswersSchema),
    sheet: Type.Optional({
      ...nameless(SheetSchema),
      description: "Of the valve: limits that its checks have, and what its line is read by.",
    }),
    line: Type.Optional({
      ...nameless(LineSchema),
      description:
        "On which looks are read that ask the world; the standard one where only a sheet is given.",
    }),
    at: Type.Optional(
      Type.String({
        minLength: 1,
        maxLength: 100,
        description: "The valve on that line: its node, or its tag.",
      }),
    ),
  },
  closed,
);
