import { type Static, Type } from "@sinclair/typebox";
import { WEEKDAYS } from "./house";
import { closed, Latitude, Longitude, Words } from "./shared";

/** A place where valves stand: a site, a building, a room in it. It goes by its name. */
export const PlaceSchema = Type.Object(
  {
    name: Words,
    within: Type.Optional(
      Type.String({ minLength: 1, maxLength: 400, description: "The larger place that it is part of." }),
    ),
    lat: Type.Optional(Latitude),
    lon: Type.Optional(Longitude),
    way: Type.Optional(
      Type.String({ minLength: 1, maxLength: 2000, description: "How one gets in: gate, key, who opens." }),
    ),
    hazard: Type.Optional(
      Type.String({ minLength: 1, maxLength: 2000, description: "What can hurt there, and what to do." }),
    ),
    contact: Type.Optional(
      Type.String({ minLength: 1, maxLength: 400, description: "Who is told before work there." }),
    ),
    phone: Type.Optional(Type.String({ minLength: 3, maxLength: 60 })),
    hours: Type.Optional(
      Type.Partial(
        Type.Record(
          Type.Union(WEEKDAYS.map((each) => Type.Literal(each))),
          Type.String({
            pattern: "^([01]\\d|2[0-3]):[0-5]\\d-([01]\\d|2[0-3]):[0-5]\\d$",
            says: "Write from when to when, as 07:30-12:00.",
          }),
        ),
        {
          description:
            "Hours in which work may be done there, by weekday: mon=07:30-12:00 fri=07:30-10:00. On other days none may; at any time when absent.",
          says: `Write each weekday with its hours, as mon=07:30-12:00: ${WEEKDAYS.join(", ")}.`,
          additionalProperties: false,
        },
      ),
    ),
    notice_days: Type.Optional(
      Type.Number({ minimum: 0, maximum: 365, description: "Days before the work that they are told." }),
    ),
  },
  {
    ...closed,
    $id: "loftbell.place-row.json",
    title: "Place row",
    description: "A place where valves stand, one CSV row.",
  },
);
export type Place = Static<typeof PlaceSchema>;
