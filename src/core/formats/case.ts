import { type Static, Type } from "@sinclair/typebox";
import { closed, Day, Id, Instant, oneOf, Words } from "./shared";
import { TroubleAnswersSchema } from "./trouble-question";

/** How a case came to its end. */
export const CASE_OUTCOMES = ["cured", "job", "handed-over", "watched"] as const;

/** Trouble with one valve, from the complaint to its end: what was looked at, what it came to. */
export const CaseSchema = Type.Object(
  {
    id: Id,
    valve: Id,
    at: Instant,
    by: Words,
    family: Id,
    revision: Type.Integer({ minimum: 1, description: "Of the knowledge it was judged by." }),
    with: Type.Optional(
      Type.String({
        minLength: 1,
        maxLength: 200,
        description: "Who was there, and may do what the first may not.",
      }),
    ),
    complaint: Id,
    says: Type.String({ minLength: 1, maxLength: 400, description: "In the customer's words." }),
    from: oneOf("telephone", "site"),
    answers: TroubleAnswersSchema,
    odds: Type.Record(Id, Type.Number({ minimum: 0, maximum: 1 }), {
      description: "How likely each cause was in the end; `else:` stands for none of them.",
    }),
    end: Type.String({ minLength: 1, maxLength: 60, description: "The end of the knowledge it came to." }),
    ended: Type.String({ minLength: 1, maxLength: 400, description: "What that end said." }),
    outcome: oneOf(...CASE_OUTCOMES),
    minutes: Type.Number({ minimum: 0, maximum: 100_000, description: "That the looks took." }),
    job: Type.Optional(Id),
    to: Type.Optional(Type.String({ minLength: 1, maxLength: 200, description: "Who took it on." })),
    due: Type.Optional(Day),
    note: Type.Optional(Type.String({ minLength: 1, maxLength: 2000 })),
    closed: Type.Optional(
      Type.Object(
        { at: Instant, by: Words, says: Words },
        { ...closed, description: "What came of it, where others had it or it was watched." },
      ),
    ),
  },
  {
    ...closed,
    $id: "loftbell.case-row.json",
    title: "Case",
    description: "Trouble with a valve, and its end.",
  },
);
export type Case = Static<typeof CaseSchema>;
