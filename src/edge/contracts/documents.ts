import { Type } from "@sinclair/typebox";
import { LineSchema, SheetSchema } from "@/core/formats";
import { contract } from "../contract";

const closed = { additionalProperties: false };
const DocumentId = Type.Object({ id: Type.String({ minLength: 1, maxLength: 100 }) }, closed);
const Revision = Type.Object(
  { revision: Type.Optional(Type.Integer({ minimum: 1, maximum: 1_000_000 })) },
  closed,
);

export const CHECK_SHEET = contract({
  id: "checkSheet",
  method: "POST",
  path: "/api/v1/sheets/check",
  chapter: "Documents",
  role: "reader",
  says: "Checks a whole service sheet; the body is the sheet.",
  body: SheetSchema,
  answer: Type.Object(
    { valid: Type.Boolean(), parts: Type.Integer(), checks: Type.Integer(), kits: Type.Integer() },
    closed,
  ),
  refuses: { 422: "Every problem at its path." },
});

export const SAVE_SHEET = contract({
  id: "saveSheet",
  method: "POST",
  path: "/api/v1/sheets",
  chapter: "Documents",
  role: "planner",
  says: "Stores a sheet as the next revision of its id; a new id begins at revision 1. Older revisions stay.",
  asker: "crew-if-any",
  query: Type.Object(
    {
      as: Type.Optional(
        Type.Unsafe<"new">({ type: "string", enum: ["new"], description: "Its id has to be free." }),
      ),
    },
    closed,
  ),
  body: SheetSchema,
  status: 201,
  answer: Type.Object({ id: Type.String(), revision: Type.Integer() }, closed),
  refuses: { 409: "Its revision is not the newest.", 422: "Every problem at its path." },
});

export const GET_SHEET = contract({
  id: "sheet",
  method: "GET",
  path: "/api/v1/sheets/{id}",
  chapter: "Documents",
  role: "reader",
  says: "A sheet as a document: the newest revision, or the one asked for.",
  params: DocumentId,
  query: Revision,
  answer: SheetSchema,
  refuses: { 404: "There is no such sheet or revision." },
});

export const NEW_LINE = contract({
  id: "newLine",
  method: "POST",
  path: "/api/v1/lines",
  chapter: "Documents",
  role: "planner",
  says: "Stores a new line; its id has to be free.",
  asker: "crew-if-any",
  body: LineSchema,
  status: 201,
  answer: Type.Object({ id: Type.String() }, closed),
  refuses: { 422: "Every problem at its path." },
});

export const SAVE_LINE = contract({
  id: "saveLine",
  method: "PUT",
  path: "/api/v1/lines/{id}",
  chapter: "Documents",
  role: "planner",
  says: "Stores a line as its next revision. Jobs that run keep what they began with.",
  asker: "crew-if-any",
  params: DocumentId,
  body: LineSchema,
  answer: Type.Object({ id: Type.String() }, closed),
  refuses: { 404: "There is no such line.", 422: "Every problem at its path." },
});

export const GET_LINE = contract({
  id: "line",
  method: "GET",
  path: "/api/v1/lines/{id}",
  chapter: "Documents",
  role: "reader",
  says: "A line as a document: as it stands, or the revision asked for.",
  params: DocumentId,
  query: Revision,
  answer: LineSchema,
  refuses: { 404: "There is no such line or revision." },
});

const Gone = Type.Object({ edit: Type.Optional(Type.String()), changes: Type.Integer() }, closed);

export const REMOVE_LINE = contract({
  id: "removeLine",
  method: "DELETE",
  path: "/api/v1/lines/{id}",
  chapter: "Documents",
  role: "planner",
  says: "Takes a line away, where no valve stands on it. Jobs keep what they began with.",
  asker: "crew-if-any",
  params: DocumentId,
  answer: Gone,
  refuses: { 404: "There is no such line.", 422: "Valves stand on it: each is named." },
});

export const REMOVE_SHEET = contract({
  id: "removeSheet",
  method: "DELETE",
  path: "/api/v1/sheets/{id}",
  chapter: "Documents",
  role: "planner",
  says: "Takes a sheet away with all its revisions, where no valve is registered under it.",
  asker: "crew-if-any",
  params: DocumentId,
  answer: Gone,
  refuses: { 404: "There is no such sheet.", 422: "Valves are registered under it: each is named." },
});

const Head = { id: LineSchema.properties.id, name: LineSchema.properties.name };
const Reworked = Type.Object({ ...Gone.properties, id: Type.String() }, closed);
const Place = Type.String({ minLength: 1, maxLength: 100 });

export const COPY_LINE = contract({
  id: "copyLine",
  method: "POST",
  path: "/api/v1/lines/{id}/copy",
  chapter: "Documents",
  role: "planner",
  says: "Copies a line under another id; no valve of the register stands on the copy.",
  asker: "crew-if-any",
  params: DocumentId,
  body: Type.Object(Head, closed),
  status: 201,
  answer: Reworked,
  refuses: { 422: "The id is taken." },
});

export const SPLIT_LINE = contract({
  id: "splitLine",
  method: "POST",
  path: "/api/v1/lines/{id}/split",
  chapter: "Documents",
  role: "planner",
  says: "Cuts a line in two at a link: what lies beyond becomes a line of its own, and its valves move there.",
  asker: "crew-if-any",
  params: DocumentId,
  body: Type.Object({ ...Head, at: Place }, closed),
  status: 201,
  answer: Reworked,
  refuses: { 422: "The id is taken, or what lies beyond hangs on the rest by another way." },
});

export const JOIN_LINE = contract({
  id: "joinLine",
  method: "POST",
  path: "/api/v1/lines/{id}/join",
  chapter: "Documents",
  role: "planner",
  says: "Joins another line to a place of this one: the two places become one, and the other line's valves come along.",
  asker: "crew-if-any",
  params: DocumentId,
  body: Type.Object({ at: Place, other: Place, place: Place }, closed),
  answer: Reworked,
  refuses: { 422: "A place is not there, or two media would meet." },
});
