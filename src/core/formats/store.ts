import { type Static, Type } from "@sinclair/typebox";
import { closed, Id, oneOf, Words } from "./shared";

export const StoreSchema = Type.Object(
  {
    format: Type.Literal("loftbell.store"),
    version: Type.Literal(1),
    id: Id,
    name: Words,
    currency: Type.String({ minLength: 1, maxLength: 8 }),
    demonstration: Type.Optional(Type.Boolean()),
    rates: Type.Optional(
      Type.Object(
        {
          hour: Type.Number({ minimum: 0, description: "An hour of whoever does it." }),
          trip: Type.Number({ minimum: 0, description: "One more trip." }),
          outage_hour: Type.Number({ minimum: 0, description: "An hour in which somebody goes without." }),
        },
        {
          ...closed,
          description: "What time costs, in the currency of the prices: how deep to go is weighed by it.",
        },
      ),
    ),
    places: Type.Array(
      Type.Object(
        {
          id: Id,
          name: Words,
          kind: oneOf("van", "shop", "supplier"),
          days: Type.Number({ minimum: 0, description: "Days until in hand." }),
        },
        closed,
      ),
      { minItems: 1 },
    ),
    stock: Type.Array(
      Type.Object(
        {
          item: Type.Object(
            { sheet: Type.Optional(Id), kind: oneOf("kit", "part", "supply"), id: Id },
            closed,
          ),
          name: Words,
          place: Id,
          quantity: Type.Integer({ minimum: 0 }),
          price: Type.Number({ minimum: 0 }),
        },
        closed,
      ),
    ),
  },
  {
    ...closed,
    $id: "loftbell.store.json",
    title: "Store",
    description: "Kits, single parts and supplies, and where they lie.",
  },
);

export type Store = Static<typeof StoreSchema>;
export type StockItem = Store["stock"][number];
