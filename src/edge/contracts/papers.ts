import { Type } from "@sinclair/typebox";
import { LABEL_SHEETS } from "@/core/papers";
import { type Contract, contract } from "../contract";

const closed = { additionalProperties: false };
const id = Type.String({ minLength: 1, maxLength: 100 });
const several = Type.Array(Type.String({ minLength: 1, maxLength: 200 }), { maxItems: 500 });
const oneOf = <T extends string>(...values: T[]) => Type.Unsafe<T>({ type: "string", enum: values });

const LATER = "Too many papers wait to be printed: ask again in a minute.";

/** How a paper is printed. */
const printed = {
  size: Type.Optional(oneOf("A4", "LETTER")),
  units: Type.Optional(oneOf("metric", "us")),
  mark: Type.Optional(oneOf("point", "comma")),
  zone: Type.Optional(
    Type.String({
      maxLength: 60,
      description: "Zone that its times are told in, by its IANA name; else the server's own.",
    }),
  ),
};

export const JOB_PDF = contract({
  id: "jobPdf",
  method: "GET",
  path: "/api/v1/jobs/{id}/papers/{paper}",
  chapter: "Papers",
  role: "reader",
  says: "A paper of a job as PDF: its record, the customer's page of it, a note for whoever takes it on, the order for whoever it was handed over to, its isolation as a set.",
  params: Type.Object({ id, paper: oneOf("record", "customer", "hand-over", "order", "isolation") }, closed),
  query: Type.Object(printed, closed),
  answer: Type.String(),
  gives: "application/pdf",
  refuses: {
    404: "There is no such job, or nothing to say on such a paper.",
    409: "It cannot be told: its log does not fit, or nothing has to be shut.",
    503: LATER,
  },
});

export const ISOLATION_PDF = contract({
  id: "isolationPdf",
  method: "GET",
  path: "/api/v1/lines/{id}/isolation.pdf",
  chapter: "Papers",
  role: "reader",
  says: "What to shut to open something on a line, as one set: isolation sheet, locks, permits, whom to tell.",
  params: Type.Object({ id }, closed),
  query: Type.Object(
    {
      ...printed,
      open: several,
      avoid: Type.Optional(several),
      passing: Type.Optional(several),
      keep: Type.Optional(several),
      pumpedOut: Type.Optional(several),
    },
    closed,
  ),
  answer: Type.String(),
  gives: "application/pdf",
  refuses: { 404: "There is no such line.", 409: "It cannot be isolated, and why.", 503: LATER },
});

export const DAY_PDF = contract({
  id: "dayPdf",
  method: "GET",
  path: "/api/v1/rounds/house/day.pdf",
  chapter: "Papers",
  role: "reader",
  says: "One crew's day as PDF: where to and when, what to take along, whom to tell, then each isolation as a set.",
  query: Type.Object(
    {
      ...printed,
      crew: Type.String({ minLength: 1, maxLength: 100 }),
      day: Type.String({ format: "instant", description: "Any moment of it." }),
    },
    closed,
  ),
  answer: Type.String(),
  gives: "application/pdf",
  refuses: { 422: "Nothing is planned for that crew on that day.", 503: LATER },
});

export const LABELS_PDF = contract({
  id: "labelsPdf",
  method: "GET",
  path: "/api/v1/labels.pdf",
  chapter: "Papers",
  role: "reader",
  says: "Labels with a code that opens what they stand on: of valves, of what lies in a store, of the points of a line that take a lock.",
  query: Type.Object(
    {
      of: oneOf("valves", "lock-points", "store-items"),
      in: Type.Optional(
        Type.String({ minLength: 1, maxLength: 400, description: "The place, the line, the store." }),
      ),
      only: Type.Optional(several),
      sheet: Type.Optional(oneOf(...LABEL_SHEETS.map((sheet) => sheet.id))),
      skip: Type.Optional(
        Type.Integer({
          minimum: 0,
          maximum: 200,
          description: "Labels of the first sheet that are used up.",
        }),
      ),
    },
    closed,
  ),
  answer: Type.String(),
  gives: "application/pdf",
  refuses: { 404: "There is nothing to label.", 422: "More labels than are printed at once.", 503: LATER },
});

export const PAPERS: readonly Contract[] = [
  JOB_PDF,
  ISOLATION_PDF,
  DAY_PDF,
  LABELS_PDF,
] as unknown as readonly Contract[];
