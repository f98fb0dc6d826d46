import { Type } from "@sinclair/typebox";
import {
  AskedSchema,
  ItemCardSchema,
  ItemSchema,
  MovementSchema,
  OrderSchema,
  StoreHeadSchema,
} from "@/core/formats";
import { type Contract, contract } from "../contract";
import { Edited, handed, nameless, refuses, Saved } from "./owned";

const closed = { additionalProperties: false };
const OneStore = Type.Object({ id: Type.String({ minLength: 1, maxLength: 100 }) }, closed);
const Entries = Type.Object({ entries: Type.Array(nameless(MovementSchema)) }, closed);

export const SAVE_STORE = contract({
  id: "saveStore",
  method: "PUT",
  path: "/api/v1/stores/{id}",
  chapter: "Store",
  role: "planner",
  says: "Keeps a store's name, currency, what time costs, and its places: a new store, or one that is here.",
  asker: "crew-if-any",
  params: OneStore,
  body: handed(StoreHeadSchema),
  answer: Saved,
  refuses,
});

export const REMOVE_STORE = contract({
  id: "removeStore",
  method: "DELETE",
  path: "/api/v1/stores/{id}",
  chapter: "Store",
  role: "planner",
  says: "Takes a store away with all that lies in it; undone, it is there again.",
  asker: "crew-if-any",
  params: OneStore,
  answer: Edited,
  refuses,
});

export const SAVE_ITEM = contract({
  id: "saveItem",
  method: "PUT",
  path: "/api/v1/stores/{id}/items",
  chapter: "Store",
  role: "planner",
  says: "Keeps what is known of an item: prices, least levels, who sells it, its label, what replaced it.",
  asker: "crew-if-any",
  params: OneStore,
  body: handed(ItemCardSchema),
  answer: Saved,
  refuses,
});

export const REMOVE_ITEM = contract({
  id: "removeItem",
  method: "DELETE",
  path: "/api/v1/stores/{id}/items",
  chapter: "Store",
  role: "planner",
  says: "Takes an item out of a store, where nothing of it lies.",
  asker: "crew-if-any",
  params: OneStore,
  query: ItemSchema,
  answer: Edited,
  refuses,
});

export const MOVE_STOCK = contract({
  id: "moveStock",
  method: "POST",
  path: "/api/v1/stores/{id}/movements",
  chapter: "Store",
  role: "technician",
  says: "Books what came, went, was moved, counted or thrown away: all of it or none. Nothing ever lies below zero. Sent twice under the same id it is booked once.",
  asker: "crew-if-any",
  params: OneStore,
  body: Type.Object(
    {
      movements: Type.Array(
        Type.Object({ id: Type.Optional(MovementSchema.properties.id), ...AskedSchema.properties }, closed),
        { minItems: 1, maxItems: 1000 },
      ),
    },
    closed,
  ),
  status: 201,
  answer: Entries,
  refuses,
});

export const UNDO_MOVEMENT = contract({
  id: "undoMovement",
  method: "DELETE",
  path: "/api/v1/movements/{id}",
  chapter: "Store",
  role: "technician",
  says: "Takes an entry of the ledger back by a contrary one.",
  asker: "crew-if-any",
  params: OneStore,
  answer: Entries,
  refuses,
});

export const MOVEMENTS = contract({
  id: "movements",
  method: "GET",
  path: "/api/v1/movements",
  chapter: "Store",
  role: "reader",
  says: "The store's ledger, the newest first, a hundred at a time.",
  query: Type.Object(
    { before: Type.Optional(Type.Integer({ minimum: 1, description: "Place in the ledger." })) },
    closed,
  ),
  answer: Type.Object(
    {
      entries: Type.Array(
        Type.Object({ ...MovementSchema.properties, seq: Type.Integer(), undone: Type.Boolean() }, closed),
      ),
    },
    closed,
  ),
});

export const STOCK_CSV = contract({
  id: "stockCsv",
  method: "GET",
  path: "/api/v1/export/stock.csv",
  chapter: "Store",
  role: "reader",
  says: "What lies where, now or at the end of a day that is named.",
  query: Type.Object(
    {
      on: Type.Optional(
        Type.String({ format: "day", says: "Write the date as year-month-day: 2018-03-12." }),
      ),
    },
    closed,
  ),
  answer: Type.String(),
  gives: "text/csv",
});

export const MOVEMENTS_CSV = contract({
  id: "movementsCsv",
  method: "GET",
  path: "/api/v1/export/movements.csv",
  chapter: "Store",
  role: "reader",
  says: "The whole ledger, oldest first.",
  answer: Type.String(),
  gives: "text/csv",
});

export const PLACE_ORDER = contract({
  id: "placeOrder",
  method: "POST",
  path: "/api/v1/orders",
  chapter: "Store",
  role: "planner",
  says: "Writes down what was ordered of a supplier: it counts as coming until it has come.",
  asker: "crew-if-any",
  body: Type.Omit(OrderSchema, ["id", "at", "by", "closed"], closed),
  status: 201,
  answer: Type.Object({ ...Edited.properties, id: Type.String() }, closed),
  refuses,
});

export const RECEIVE_ORDER = contract({
  id: "receiveOrder",
  method: "POST",
  path: "/api/v1/orders/{id}/received",
  chapter: "Store",
  role: "technician",
  says: "Books in what came of an order.",
  asker: "crew-if-any",
  params: OneStore,
  body: Type.Object(
    {
      lines: Type.Array(
        Type.Object(
          {
            id: Type.Optional(MovementSchema.properties.id),
            item: ItemSchema,
            place: AskedSchema.properties.place,
            quantity: AskedSchema.properties.quantity,
            price: AskedSchema.properties.price,
            until: AskedSchema.properties.until,
          },
          closed,
        ),
        { minItems: 1, maxItems: 500 },
      ),
    },
    closed,
  ),
  status: 201,
  answer: Entries,
  refuses,
});

export const CLOSE_ORDER = contract({
  id: "closeOrder",
  method: "POST",
  path: "/api/v1/orders/{id}/close",
  chapter: "Store",
  role: "planner",
  says: "Nothing more of an order is coming; or it is, after all.",
  asker: "crew-if-any",
  params: OneStore,
  body: Type.Object({ closed: Type.Boolean() }, closed),
  answer: Edited,
  refuses,
});

export const LABEL = contract({
  id: "label",
  method: "GET",
  path: "/api/v1/labels",
  chapter: "Store",
  role: "reader",
  says: "What a label that was scanned or typed belongs to, and its page.",
  query: Type.Object({ reads: Type.String({ minLength: 1, maxLength: 400 }) }, closed),
  answer: Type.Object({ href: Type.String(), name: Type.String() }, closed),
  refuses: { 404: "Nothing here bears this label." },
});

export const STORE: readonly Contract[] = [
  SAVE_STORE,
  REMOVE_STORE,
  SAVE_ITEM,
  REMOVE_ITEM,
  MOVE_STOCK,
  UNDO_MOVEMENT,
  MOVEMENTS,
  STOCK_CSV,
  MOVEMENTS_CSV,
  PLACE_ORDER,
  RECEIVE_ORDER,
  CLOSE_ORDER,
  LABEL,
] as unknown as readonly Contract[];
