import { Type } from "@sinclair/typebox";
import { closed, Id, Instant, Typed, Words } from "./shared";

/** What a job has from the case it came of. */
export const CaseBroughtSchema = Type.Object(
  {
    case: Id,
    says: Type.String({ minLength: 1, maxLength: 400 }),
    found: Type.Array(
      Type.Object(
        {
          check: Id,
          answer: Type.Optional(Words),
          si: Type.Optional(Type.Number()),
          typed: Type.Optional(Typed),
          at: Instant,
          by: Words,
        },
        closed,
      ),
      {
        maxItems: 60,
        description: "Checks that were answered before the job: they are not asked again.",
      },
    ),
  },
  { ...closed, description: "The case it came of, and what was found there." },
);
