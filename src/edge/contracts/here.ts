import { Type } from "@sinclair/typebox";
import { PersonSchema } from "@/core/formats";
import type { SpokenBell } from "@/words";
import { answerOf, contract } from "../contract";

const closed = { additionalProperties: false };

export const HEALTH = contract({
  id: "health",
  method: "GET",
  path: "/api/health",
  chapter: "This installation",
  role: "nobody",
  says: "Whether the server can read and store, and what time it has.",
  answer: answerOf<object>(
    "{ok, mode, at, clockAheadMinutes, doubts, newestBackup, backupFault, faults: [{kind, message}]}; 503 {ok: false, message} when it cannot.",
  ),
  refuses: { 503: "It cannot read or store, and why." },
});

export const FIND = contract({
  id: "find",
  method: "GET",
  path: "/api/v1/find",
  chapter: "Register",
  role: "reader",
  says: "What is found as one types: tags, names, places, serials, isolating valves, parts, kits, jobs, sheets, people, sums. A tag that was typed whole comes first.",
  query: Type.Object({ words: Type.String({ maxLength: 120 }) }, closed),
  answer: Type.Object(
    {
      hits: Type.Array(
        Type.Object(
          { kind: Type.String(), name: Type.String(), says: Type.String(), href: Type.String() },
          closed,
        ),
      ),
      near: Type.Boolean({ description: "True: nothing begins so; these are one slip away." }),
    },
    closed,
  ),
});

export const BELLS = contract({
  id: "bells",
  method: "GET",
  path: "/api/v1/bells",
  chapter: "This installation",
  role: "reader",
  says: "What rings now and next, nearest first.",
  answer: answerOf<LiveNews>(
    "{changes, bells: [{id, kind, at, title, says, valve, job}], doubts, faults: [{kind, message}]}",
  ),
});

/** What every open screen hears when something changed. */
export interface LiveNews {
  readonly changes: number;
  readonly bells: readonly SpokenBell[];
  /** How many logs or lists of readings are not as they were acknowledged. */
  readonly doubts: number;
  /** What is wrong with the server itself, each with its way out. */
  readonly faults: readonly { readonly kind: string; readonly message: string }[];
}

export const LIVE = contract({
  id: "live",
  method: "GET",
  path: "/api/v1/live",
  chapter: "This installation",
  role: "reader",
  says: "The same as /api/v1/bells, sent anew within a second of every change (server-sent events).",
  answer: Type.String(),
  gives: "text/event-stream",
});

export const ADD_PERSON = contract({
  id: "addPerson",
  method: "POST",
  path: "/api/v1/people",
  chapter: "This installation",
  role: "keeper",
  says: "Adds one to the crew.",
  asker: "crew-if-any",
  body: Type.Omit(PersonSchema, ["id", "left"], closed),
  status: 201,
  answer: Type.Object({ id: Type.String(), name: Type.String(), edit: Type.Optional(Type.String()) }, closed),
  refuses: { 422: "The name is taken." },
});

export const RESET_DEMO = contract({
  id: "resetDemo",
  method: "POST",
  path: "/api/v1/demo/reset",
  chapter: "This installation",
  role: "keeper",
  says: "Puts the demo back to its beginning; real work is never touched.",
  body: Type.Object({}, closed),
  status: 204,
  answer: Type.Null(),
  refuses: { 409: "This is not the demo." },
});

export const OPENAPI = contract({
  id: "openapi",
  method: "GET",
  path: "/api/v1/openapi.json",
  chapter: "This installation",
  role: "nobody",
  says: "All routes as OpenAPI 3.1.",
  answer: answerOf<object>("OpenAPI 3.1"),
});

export const SCHEMA = contract({
  id: "schema",
  method: "GET",
  path: "/schemas/{name}",
  chapter: "Documents",
  role: "nobody",
  says: "The JSON Schema of an open format: loftbell.sheet.json, loftbell.line.json, loftbell.store.json, loftbell.job.json.",
  params: Type.Object({ name: Type.String({ maxLength: 60 }) }, closed),
  answer: answerOf<object>("JSON Schema 2020-12"),
  gives: "application/schema+json",
  refuses: { 404: "There is no such schema." },
});
