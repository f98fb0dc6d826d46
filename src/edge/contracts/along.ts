import { Type } from "@sinclair/typebox";
import { CertificatesSchema } from "@/core/formats";
import { contract } from "../contract";

const closed = { additionalProperties: false };

export const TAKE_ALONG = contract({
  id: "takeAlong",
  method: "GET",
  path: "/api/v1/along",
  chapter: "This installation",
  role: "reader",
  says: "What belongs to a day, a valve, a place, a line or the bench book: the pages a device keeps to work without signal, and the open jobs.",
  query: Type.Object(
    {
      what: Type.Union(
        (["day", "valve", "place", "line", "bench"] as const).map((each) => Type.Literal(each)),
      ),
      id: Type.Optional(
        Type.String({ minLength: 1, maxLength: 100, description: "Tag, name of the place, id of the line." }),
      ),
    },
    closed,
  ),
  answer: Type.Object(
    {
      title: Type.String(),
      pages: Type.Array(Type.String(), { description: "Addresses, the most needed first." }),
      names: Type.Record(Type.String(), Type.String(), {
        description: "What is found at an address, in words: a device without signal looks for it by them.",
      }),
      jobs: Type.Array(Type.String(), { description: "Open jobs, by their id." }),
      crew: Type.Record(Type.String(), CertificatesSchema, {
        description: "What each of the crew may do: entries are judged by it.",
      }),
      left: Type.Integer({
        description: "Valves that are not among them: more than a device is given at once.",
      }),
    },
    closed,
  ),
  refuses: { 422: "There is no such valve, place or line." },
});
