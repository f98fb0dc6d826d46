import { type Static, Type } from "@sinclair/typebox";
import { closed, Id, oneKindOf, titled, Words } from "./shared";

const ended = {
  id: Id,
  says: Words,
  why: Type.Optional(Words),
  minutes: Type.Number({ minimum: 0, maximum: 10_000 }),
  cannotWait: Type.Optional(
    Type.Array(Words, {
      title: "Acts that cannot wait",
      description: "In their order: people first.",
      minItems: 1,
      maxItems: 12,
    }),
  ),
};

/** How trouble ends: on the spot, in a job, or with somebody else. */
export const EndSchema = oneKindOf(
  Type.Object(
    {
      kind: Type.Literal("do-now"),
      ...ended,
      do: Words,
      look: titled("Then looks whether", Words),
      caller: Type.Optional(
        Type.Boolean({ title: "A caller can do it", description: "Nobody has to go there for it." }),
      ),
      hazard: Type.Optional(Type.Object({ can: Words, do: Words }, closed)),
      once: Type.Optional(
        Type.Object(
          { look: Id, answers: Type.Array(Id, { minItems: 1 }) },
          {
            ...closed,
            title: "Only once it was seen",
            description:
              "The look that has to have been answered so: what somebody shut may be shut for a reason.",
          },
        ),
      ),
    },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("job"),
      ...ended,
      symptom: titled("Reason on the sheet", Id),
      reach: Type.Optional(
        Type.Array(Id, { description: "Parts to reach; as the sheet has it for the reason when absent." }),
      ),
      renews: Type.Optional(Type.Array(Id)),
    },
    { ...closed, description: "`minutes` are what it takes where no sheet can be asked." },
  ),
  Type.Object(
    {
      kind: Type.Literal("leak"),
      ...ended,
      grade: Type.Unsafe<1 | 2 | 3>({
        type: "integer",
        enum: [1, 2, 3],
        title: "Provisional grade",
        description: "1: people are in danger now. 2: not now. 3: it can wait.",
      }),
      to: titled("Handed to", Words),
    },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("order"),
      ...ended,
      within_days: titled("Within", Type.Integer({ minimum: 0, maximum: 3650 })),
    },
    { ...closed, description: "A repair order: work for another day, or for others of the house." },
  ),
  Type.Object(
    { kind: Type.Literal("call"), ...ended, who: titled("Whom", Words) },
    { ...closed, description: "A trade or an authority is called." },
  ),
  Type.Object(
    {
      kind: Type.Literal("watch"),
      ...ended,
      days: titled("Looked at again after", Type.Integer({ minimum: 1, maximum: 3650 })),
      look: titled("What is looked at then", Words),
    },
    closed,
  ),
);
export type End = Static<typeof EndSchema>;
