import { type Static, Type } from "@sinclair/typebox";
import { closed, Id, Words } from "./shared";
import { ItemSchema, KnownSchema, StoreSchema } from "./store";

const Lies = Type.Object(
  {
    place: Id,
    price: Type.Number({ minimum: 0, says: "Write the price of one as a number: 14.50." }),
    least: Type.Optional(
      Type.Integer({ minimum: 0, maximum: 1_000_000, says: "Write whole pieces, 0 or more." }),
    ),
  },
  closed,
);

/** An item of a store as a form shows it: what is known of it, and where it lies or may lie. */
export const ItemCardSchema = Type.Object(
  {
    ...KnownSchema.properties,
    item: ItemSchema,
    name: Words,
    lies: Type.Array(Lies, { minItems: 1, maxItems: 200 }),
  },
  closed,
);
export type ItemCard = Static<typeof ItemCardSchema>;

/** A store without what lies in it: its name, currency, rates and places. */
export const StoreHeadSchema = Type.Omit(StoreSchema, ["stock", "items"], closed);
export type StoreHead = Static<typeof StoreHeadSchema>;
