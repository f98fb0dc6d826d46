import { type Static, Type } from "@sinclair/typebox";
import { closed, Day, Id, oneOf, Words } from "./shared";

const Pieces = Type.Integer({ minimum: 1, maximum: 1_000_000 });

/** A kit, a single part or a supply; a kit and a part are of a sheet. */
export const ItemSchema = Type.Object(
  { sheet: Type.Optional(Id), kind: oneOf("kit", "part", "supply"), id: Id },
  closed,
);
export type Item = Static<typeof ItemSchema>;

/** Pieces that may be used until the end of a day: rubber and locker age on the shelf. */
export const BatchSchema = Type.Object({ until: Day, quantity: Pieces }, closed);
export type Batch = Static<typeof BatchSchema>;

const PlaceSchema = Type.Object(
  {
    id: Id,
    name: Words,
    kind: oneOf("van", "shop", "supplier"),
    days: Type.Number({ minimum: 0, maximum: 1000, description: "Days until in hand." }),
    contact: Type.Optional(
      Type.String({ minLength: 1, maxLength: 400, description: "How a supplier is reached." }),
    ),
  },
  closed,
);
export type StorePlace = Static<typeof PlaceSchema>;

const StockSchema = Type.Object(
  {
    item: ItemSchema,
    name: Words,
    place: Id,
    quantity: Type.Integer({ minimum: 0 }),
    price: Type.Number({ minimum: 0 }),
    least: Type.Optional(
      Type.Integer({ minimum: 0, maximum: 1_000_000, description: "Pieces that shall lie here at least." }),
    ),
    batches: Type.Optional(
      Type.Array(BatchSchema, { maxItems: 200, description: "Those of the pieces that age, by date." }),
    ),
    aside: Type.Optional(
      Type.Array(Type.Object({ for: Words, quantity: Pieces }, closed), {
        maxItems: 200,
        description: "Pieces put aside for something: they lie here and are not free.",
      }),
    ),
  },
  closed,
);
export type StockItem = Static<typeof StockSchema>;

/** What is known of an item wherever it lies. */
export const KnownSchema = Type.Object(
  {
    item: ItemSchema,
    supplier: Type.Optional(
      Type.String({ minLength: 1, maxLength: 60, description: "The place it is ordered from." }),
    ),
    order: Type.Optional(
      Type.String({ minLength: 1, maxLength: 100, description: "Order number of the supplier." }),
    ),
    pack: Type.Optional(
      Type.Integer({ minimum: 1, maximum: 10_000, description: "Sold by so many pieces." }),
    ),
    code: Type.Optional(
      Type.String({ minLength: 1, maxLength: 100, description: "What the label on it reads when scanned." }),
    ),
    replacedBy: Type.Optional(ItemSchema),
    instead: Type.Optional(Type.Array(ItemSchema, { maxItems: 20, description: "What serves as well." })),
  },
  closed,
);
export type KnownItem = Static<typeof KnownSchema>;

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
    places: Type.Array(PlaceSchema, { minItems: 1 }),
    stock: Type.Array(StockSchema),
    items: Type.Optional(Type.Array(KnownSchema)),
  },
  {
    ...closed,
    $id: "loftbell.store.json",
    title: "Store",
    description: "Kits, single parts and supplies, and where they lie.",
  },
);

export type Store = Static<typeof StoreSchema>;

export const sameItem = (a: Item, b: Item): boolean =>
  a.kind === b.kind && a.id === b.id && a.sheet === b.sheet;

/** An item as one word, for keys and addresses: `kit:K-31:quay`. Ids have colons: it is never read back apart. */
export const itemKey = ({ kind, id, sheet }: Item): string =>
  sheet === undefined ? `${kind}:${id}` : `${kind}:${id}:${sheet}`;
