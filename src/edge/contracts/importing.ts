import { Type } from "@sinclair/typebox";
import { type RowFile, ValveSchema } from "@/core/formats";
import { contract } from "../contract";

const closed = { additionalProperties: false };
const Difference = Type.Object(
  { path: Type.String(), before: Type.Optional(Type.String()), after: Type.Optional(Type.String()) },
  closed,
);

export const IMPORT = contract({
  id: "import",
  method: "POST",
  path: "/api/v1/import",
  chapter: "Bringing in",
  role: "planner",
  says: "Brings documents and CSV files in, all or none, or says what would change, field by field. A CSV changes only the columns it has; an empty cell changes nothing, a single hyphen empties the field.",
  asker: "crew-if-any",
  mostBytes: 40_000_000,
  ownTurn: true,
  body: Type.Object(
    {
      files: Type.Array(
        Type.Object({ name: Type.String({ minLength: 1, maxLength: 200 }), text: Type.String() }, closed),
        { minItems: 1, maxItems: 100 },
      ),
      apply: Type.Boolean({ description: "False: only say what would change." }),
    },
    closed,
  ),
  answer: Type.Object(
    {
      id: Type.Optional(Type.String({ description: "By this the import can be undone." })),
      lines: Type.Array(
        Type.Object(
          {
            file: Type.String(),
            what: Type.String(),
            effect: Type.Unsafe<"new" | "changes" | "same">({
              type: "string",
              enum: ["new", "changes", "same"],
            }),
            changes: Type.Array(
              Type.Object(
                {
                  id: Type.String(),
                  isNew: Type.Boolean(),
                  fields: Type.Array(Difference),
                  stays: Type.Array(Difference, { description: "What the log knows better: it stays." }),
                },
                closed,
              ),
            ),
            total: Type.Integer({ description: "All changes of this file; the first 200 are listed." }),
            caution: Type.Optional(Type.String()),
            valves: Type.Optional(
              Type.Array(ValveSchema, {
                description: "Of a line: valves of the register that stand on it, the first sixty.",
              }),
            ),
            valvesInAll: Type.Optional(Type.Integer({ description: "How many stand on it in all." })),
          },
          closed,
        ),
      ),
    },
    closed,
  ),
  refuses: { 413: "Over 40 MB.", 422: "Every problem with its file and row; nothing was brought in." },
});

export const TEMPLATE = contract({
  id: "template",
  method: "GET",
  path: "/api/v1/templates/{file}",
  chapter: "Bringing in",
  role: "reader",
  says: "The columns of a file of rows, with one row as an example: register, readings, crew, places, instruments.",
  params: Type.Object(
    {
      file: Type.Unsafe<RowFile>({
        type: "string",
        enum: ["register", "readings", "crew", "places", "instruments"],
      }),
    },
    closed,
  ),
  answer: Type.String(),
  gives: "text/csv",
});
