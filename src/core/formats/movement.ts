import { type Static, Type } from "@sinclair/typebox";
import { closed, Day, Id, Instant, oneOf, Words } from "./shared";
import { BatchSchema, ItemSchema } from "./store";

/** What somebody can ask of the ledger. */
export const MOVES = ["in", "out", "moved", "used", "back", "counted", "scrapped", "aside", "freed"] as const;
export type Move = (typeof MOVES)[number];

/** Besides what is asked for: a price that became another, and an entry taken back by a contrary one. */
export const MOVEMENT_KINDS = [...MOVES, "priced", "undone"] as const;
export type MovementKind = (typeof MOVEMENT_KINDS)[number];

const asked = {
  item: ItemSchema,
  /** Of an item that has not lain in this store before. */
  name: Type.Optional(Words),
  place: Id,
  to: Type.Optional(Type.String({ minLength: 1, maxLength: 60, description: "Where it is moved to." })),
  quantity: Type.Integer({
    minimum: 0,
    maximum: 1_000_000,
    description: "Pieces; of a count, as many as were found.",
  }),
  price: Type.Optional(Type.Number({ minimum: 0, description: "What one of them cost." })),
  until: Type.Optional(Day),
  order: Type.Optional(Type.String({ minLength: 1, maxLength: 60, description: "The order it came by." })),
  /** Why; of pieces put aside, what for. */
  why: Type.Optional(Words),
};

/** What is asked of the ledger, as a screen or a device sends it. */
export const AskedSchema = Type.Object(
  {
    kind: oneOf(...MOVES),
    ...asked,
    was: Type.Optional(
      Type.Integer({
        minimum: 0,
        description:
          "Of a count: how many the books had when it was counted; it is refused when they differ.",
      }),
    ),
  },
  closed,
);
export type AskedMove = Static<typeof AskedSchema>;

/** One entry of the store's ledger: what came, went, was moved, used, brought back, counted or thrown away. */
export const MovementSchema = Type.Object(
  {
    id: Id,
    at: Instant,
    by: Words,
    store: Id,
    kind: oneOf(...MOVEMENT_KINDS),
    ...asked,
    name: Words,
    change: Type.Integer({
      description:
        "Pieces more or fewer at the place after it, and as many fewer or more where it was moved to: by these the stock of any day is worked out.",
    }),
    batches: Type.Optional(
      Type.Array(BatchSchema, { description: "Those of the pieces that age, by date." }),
    ),
    job: Type.Optional(Id),
    short: Type.Optional(
      Type.Integer({ minimum: 1, description: "Pieces that were used and that no place had on the books." }),
    ),
    before: Type.Optional(Type.Number({ description: "The price before it." })),
    undoes: Type.Optional(Id),
  },
  {
    ...closed,
    $id: "loftbell.movement.json",
    title: "Movement",
    description: "One entry of the store's ledger.",
  },
);
export type Movement = Static<typeof MovementSchema>;
