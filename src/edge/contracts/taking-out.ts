import { Type } from "@sinclair/typebox";
import { PLAIN_LIST_NAMES, type PlainListName, StoreSchema } from "@/core/formats";
import { type Contract, contract } from "../contract";

const closed = { additionalProperties: false };

export const LIST_CSV = contract({
  id: "listCsv",
  method: "GET",
  path: "/api/v1/export/{list}",
  chapter: "Taking out",
  role: "reader",
  says: "A list, whole: places, crew, instruments and readings in the columns they are brought in by.",
  params: Type.Object(
    { list: Type.Unsafe<PlainListName>({ type: "string", enum: [...PLAIN_LIST_NAMES] }) },
    closed,
  ),
  answer: Type.String(),
  gives: "text/csv",
});

export const PLACES_GEOJSON = contract({
  id: "placesGeoJson",
  method: "GET",
  path: "/api/v1/export/places.geojson",
  chapter: "Taking out",
  role: "reader",
  says: "Places and valves on the map (RFC 7946), in the properties they are brought in by.",
  answer: Type.Unknown(),
  gives: "application/geo+json",
});

export const CALENDAR = contract({
  id: "calendar",
  method: "GET",
  path: "/api/v1/calendar.ics",
  chapter: "Taking out",
  role: "reader",
  says: "What rings, as a calendar to subscribe to (RFC 5545): an entry stays the same as long as the same thing rings.",
  query: Type.Object(
    {
      place: Type.Optional(Type.String({ minLength: 1, maxLength: 400 })),
      days: Type.Optional(Type.Integer({ minimum: 1, maximum: 4000, description: "How far it reaches." })),
      key: Type.Optional(
        Type.String({
          maxLength: 1000,
          description: "Where one signs in, what a calendar shows instead: the Loft has yours.",
        }),
      ),
    },
    closed,
  ),
  answer: Type.String(),
  gives: "text/calendar",
});

export const GET_STORE = contract({
  id: "store",
  method: "GET",
  path: "/api/v1/stores/{id}",
  chapter: "Taking out",
  role: "reader",
  says: "A store as a document, as it stands.",
  params: Type.Object({ id: Type.String({ minLength: 1, maxLength: 100 }) }, closed),
  answer: StoreSchema,
  refuses: { 404: "There is no such store." },
});

export const TAKING_OUT: readonly Contract[] = [
  LIST_CSV,
  PLACES_GEOJSON,
  CALENDAR,
  GET_STORE,
] as unknown as readonly Contract[];
