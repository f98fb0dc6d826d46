import { type Static, Type } from "@sinclair/typebox";
import { closed, Instant, Words } from "./shared";

const Tag = Type.String({ minLength: 1, maxLength: 100 });

const Visit = Type.Object(
  {
    task: { ...Tag, description: "A valve that rings." },
    stretch: Type.Integer({ minimum: 1, maximum: 6 }),
    from: Instant,
    to: Instant,
  },
  closed,
);

/** One crew on one day, as it was planned: in the order of its visits. */
const KeptShift = Type.Object(
  { crew: Words, from: Instant, to: Instant, visits: Type.Array(Visit, { minItems: 1, maxItems: 200 }) },
  closed,
);
export type KeptShift = Static<typeof KeptShift>;

const Slot = Type.Object({ crew: Words, from: Instant }, closed);
export type RoundsSlot = Static<typeof Slot>;

/** What is another than people were told before. */
const Changed = Type.Object({ task: Tag, was: Type.Optional(Slot), is: Type.Optional(Slot) }, closed);
export type RoundsChanged = Static<typeof Changed>;

const Shifts = Type.Array(KeptShift, { maxItems: 400 });

/** What a crew said of its day while it was out: all that is planned after it goes by it. */
const Report = Type.Union([
  Type.Object(
    {
      kind: Type.Literal("runs-over"),
      task: Tag,
      at: Instant,
      by: Words,
      min: Type.Integer({ minimum: 5, maximum: 600, description: "Longer than planned." }),
    },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("no-way-in"),
      task: Tag,
      at: Instant,
      by: Words,
      until: { ...Instant, description: "Nobody can get in before." },
      why: Type.Optional(Words),
    },
    closed,
  ),
]);
export type RoundsReport = Static<typeof Report>;

/** The plan of one week: as it stands, what of it was put by hand, and what people were told. */
export const RoundsWeekSchema = Type.Object(
  {
    id: Type.String({ pattern: "^\\d{4}-\\d{2}-\\d{2}$", description: "Its Monday." }),
    shifts: Shifts,
    fixed: Type.Array(Tag, {
      maxItems: 400,
      uniqueItems: true,
      description: "Put by hand: planning again leaves them with their crew on their day.",
    }),
    reports: Type.Optional(Type.Array(Report, { maxItems: 400 })),
    published: Type.Optional(
      Type.Object(
        {
          at: Instant,
          by: Words,
          shifts: Shifts,
          changed: Type.Array(Changed, {
            maxItems: 2000,
            description: "Against what was published before it.",
          }),
        },
        closed,
      ),
    ),
  },
  closed,
);
export type RoundsWeek = Static<typeof RoundsWeekSchema>;
