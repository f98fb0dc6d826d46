import { type Static, Type } from "@sinclair/typebox";
import { closed, Day, Id, Words } from "./shared";
import { ItemSchema } from "./store";

/** What was ordered, of whom and for which place; what has come of it stands in the ledger. */
export const OrderSchema = Type.Object(
  {
    id: Id,
    store: Id,
    /** The place it is ordered from; none where nobody is known to sell it. */
    supplier: Type.Optional(Id),
    at: Day,
    by: Words,
    /** When it should be here. */
    due: Day,
    lines: Type.Array(
      Type.Object(
        {
          item: ItemSchema,
          name: Words,
          to: Id,
          quantity: Type.Integer({ minimum: 1, maximum: 1_000_000 }),
          price: Type.Number({ minimum: 0 }),
          order: Type.Optional(Words),
        },
        closed,
      ),
      { minItems: 1, maxItems: 500 },
    ),
    /** Nothing more is coming. */
    closed: Type.Optional(Type.Boolean()),
  },
  { ...closed, $id: "loftbell.order-row.json", title: "Order", description: "An order to a supplier." },
);
export type Order = Static<typeof OrderSchema>;
