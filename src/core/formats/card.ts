import { type Static, Type } from "@sinclair/typebox";
import { MEDIA, STREAMS } from "./line";
import { closed, Id, oneOf, titled } from "./shared";

/**
 * What comes in by a stop: named by its stream where the line tells streams apart, by its medium elsewhere. Vapour is in
 * once the section of a refrigerant stands under its pressure.
 */
const FLOWS = [...MEDIA, ...STREAMS, "vapour"] as const;
const Flow = oneOf(...FLOWS);
export type Flow = Static<typeof Flow>;

/** Points of what is shut in: let open for the card, and shut again after it. */
const POINTS = ["drain", "vent"] as const;
const Point = oneOf(...POINTS);

const flows = (title: string, description: string) =>
  Type.Optional(Type.Array(Flow, { title, description, minItems: 1 }));
const parts = (title: string, description: string) =>
  Type.Optional(Type.Array(Id, { title, description, minItems: 1 }));

/** What has to hold for a card. It is placed where that is so, and nowhere else. */
export const NeedsSchema = Type.Object(
  {
    in: flows("Comes in again", "Every stop that lets it in stands open."),
    shut: flows("Is still shut", "Not one stop that lets it in is open yet."),
    off: parts("Is off", "These parts are off."),
    fitted: parts("Is in again", "These parts are in again."),
    loose: parts("Is in, not yet tight", "These parts are in and not tightened yet."),
  },
  closed,
);
export type Needs = Static<typeof NeedsSchema>;

/** A card that follows up an answer of a check. */
export const onlyAfter = Type.Optional(
  Type.Array(Type.Object({ check: Id, answers: Type.Array(Id, { minItems: 1 }) }, closed), {
    title: "Only after",
    description:
      "Asked only once one of these answers was given: an option, go or no-go, below, within or above.",
    minItems: 1,
  }),
);

/** What is moved while the card is done. A card of its own puts it back: no author has to think of it. */
export const MovesSchema = Type.Object(
  {
    shuts: flows("Shuts meanwhile", "Its stops are shut for this card, and opened again after it."),
    opens: Type.Optional(
      Type.Array(Point, {
        title: "Opens meanwhile",
        description: "Opened for this card, and shut again after it.",
        minItems: 1,
      }),
    ),
  },
  closed,
);
export type Moves = Static<typeof MovesSchema>;

/** A sum of the bench book whose answer decides something. */
export const SumSchema = Type.Object(
  {
    sum: titled("Sum of the bench book", Id),
    start: Type.Optional(
      Type.Record(Id, Type.String({ minLength: 1, maxLength: 60 }), {
        title: "Begins with",
        description:
          'What is known of this model, by the field of the sum, with its unit: { "seat": "24 mm" }.',
      }),
    ),
    known: Type.Optional(
      Type.Record(Id, Id, {
        title: "Takes over",
        description: 'Fields that a check of this sheet has measured: { "surface": "area" }.',
      }),
    ),
  },
  closed,
);
export type SheetSum = Static<typeof SumSchema>;
export const sums = Type.Optional(
  Type.Array(SumSchema, {
    title: "Sums that decide here",
    description: "They stand open on the card.",
    minItems: 1,
  }),
);

/** These may stand on every card that a sheet says in its own words; most need none. */
export const standing = {
  needs: Type.Optional(NeedsSchema),
  moves: Type.Optional(MovesSchema),
  sums,
};
