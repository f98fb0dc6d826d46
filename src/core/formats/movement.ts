import { type Static, Type } from "@sinclair/typebox";
import { closed, Day, Id, Instant, oneOf, Words } from "./shared";

export const MOVEMENT_KINDS = ["in", "out", "moved", "used", "back", "counted", "scrapped"] as const;
export type MovementKind = (typeof MOVEMENT_KINDS)[number];

/** A kit, a single part or a supply; a kit and a part are of a sheet. */
export const ItemSchema = Type.Object(
  { sheet: Type.Optional(Id), kind: oneOf("kit", "part", "supply"), id: Id },
  closed,
);
export type Item = Static<typeof ItemSchema>;

/** One entry of the store's ledger: what came, went, was moved, used, brought back, counted or thrown away. */
export const MovementSchema = Type.Object(
  {
    id: Id,
    at: Instant,
    by: Words,
    store: Id,
    kind: oneOf(...MOVEMENT_KINDS),
    item: ItemSchema,
    name: Words,
    place: Id,
    /** Where it is moved to. */
    to: Type.Optional(Id),
    /** Pieces; of a count, as many as were found. */
    quantity: Type.Integer({ minimum: 0, maximum: 1_000_000 }),
    /** Pieces more or fewer at the place after it: by these the stock of any day is worked out. */
    change: Type.Integer(),
    price: Type.Optional(Type.Number({ minimum: 0 })),
    /** Until when what came in may be used: rubber and locker age on the shelf. */
    until: Type.Optional(Day),
    job: Type.Optional(Id),
    why: Type.Optional(Words),
  },
  {
    ...closed,
    $id: "loftbell.movement.json",
    title: "Movement",
    description: "One entry of the store's ledger.",
  },
);
export type Movement = Static<typeof MovementSchema>;
