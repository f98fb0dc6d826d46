import { type TSchema, Type } from "@sinclair/typebox";
import { DOCUMENT_SCHEMAS, EventSchema, JobSchema, LineSchema, SheetSchema } from "@/core/formats";

const closed = { additionalProperties: false };
const Ids = Type.Array(Type.String({ minLength: 1, maxLength: 100 }), { maxItems: 200 });

export const IsolateRequest = Type.Object(
  {
    line: LineSchema,
    open: Type.Array(Type.String(), {
      minItems: 1,
      maxItems: 200,
      description: "Ids of nodes or links that will be open; a valve's tag finds its node.",
    }),
    passing: Type.Optional(Ids),
    avoid: Type.Optional(Ids),
    keep: Type.Optional(Ids),
    pumpedOut: Type.Optional(Ids),
  },
  closed,
);

export const PlanRequest = Type.Object(
  {
    sheet: SheetSchema,
    reach: Type.Array(Type.String(), { minItems: 1, maxItems: 200, description: "Parts to reach." }),
    build: Type.Optional(Type.String()),
    off: Type.Optional(Ids),
    position: Type.Optional(Type.String()),
  },
  closed,
);

export const CalculateRequest = Type.Object(
  {
    inputs: Type.Record(
      Type.String(),
      Type.Object(
        { value: Type.Union([Type.Number(), Type.String()]), unit: Type.Optional(Type.String()) },
        closed,
      ),
    ),
    system: Type.Optional(Type.Union([Type.Literal("metric"), Type.Literal("us")])),
  },
  closed,
);

export const KeepRequest = Type.Object(
  {
    calculator: Type.String({ minLength: 1, maxLength: 60 }),
    inputs: Type.Record(Type.String({ maxLength: 40 }), Type.String({ maxLength: 80 }), {
      maxProperties: 60,
      description: 'As typed, each with its unit: {"diameter": "16 mm"}.',
    }),
    output: Type.String({ minLength: 1, maxLength: 40 }),
    system: Type.Optional(Type.Union([Type.Literal("metric"), Type.Literal("us")])),
    by: Type.String({ minLength: 1, maxLength: 80 }),
  },
  closed,
);

export const CompileRequest = Type.Object({ job: JobSchema }, closed);

export const OpenJobRequest = Type.Object(
  {
    valve: Type.String({ minLength: 1 }),
    reason: Type.Object(
      {
        kind: Type.Union([Type.Literal("due"), Type.Literal("symptom"), Type.Literal("event")]),
        says: Type.String({ minLength: 1, maxLength: 400 }),
      },
      closed,
    ),
    reach: Ids,
    policy: Type.Union([
      Type.Literal("on-condition"),
      Type.Literal("what-was-disturbed"),
      Type.Literal("everything-open"),
    ]),
    by: Type.String({ minLength: 1, maxLength: 100 }),
  },
  closed,
);

export const EventsRequest = Type.Object(
  { events: Type.Array(EventSchema, { minItems: 1, maxItems: 500 }) },
  closed,
);

export const ImportRequest = Type.Object(
  {
    files: Type.Array(
      Type.Object({ name: Type.String({ minLength: 1, maxLength: 200 }), text: Type.String() }, closed),
      { minItems: 1, maxItems: 100 },
    ),
    apply: Type.Boolean({ description: "False: only say what would change." }),
  },
  closed,
);

export interface RouteContract {
  readonly method: "GET" | "POST" | "PUT" | "DELETE";
  readonly path: string;
  readonly says: string;
  readonly request?: TSchema;
  readonly answers: string;
}

/** Every public route. Errors are application/problem+json: {type, title, status, errors: [{path, message}]}. */
export const ROUTES: readonly RouteContract[] = [
  {
    method: "POST",
    path: "/api/v1/line/isolate",
    says: "What to shut so that the named places can be opened, and what follows.",
    request: IsolateRequest,
    answers:
      "{closures, turned, bleeds, minutes, exact, shutting, restoring, section, lost, pumps, pumpedOut, prove, locked, stored, permits, alternatives}; 422 with openPath, makeGood or vessels when there is no plan.",
  },
  {
    method: "POST",
    path: "/api/v1/build/plan",
    says: "What comes off to reach parts, in which order, and how it goes back.",
    request: PlanRequest,
    answers: "{moves, minutes, toolChanges, bodyTurns, exact, offBy, rebuild, spoiled}",
  },
  {
    method: "POST",
    path: "/api/v1/sheets/check",
    says: "Checks a whole service sheet; the body is the sheet.",
    request: SheetSchema,
    answers: "{valid: true, parts, checks, kits}; 422 with every problem at its path.",
  },
  {
    method: "POST",
    path: "/api/v1/sheets",
    says: "Stores a sheet as the next revision of its id; a new id begins at revision 1. Older revisions stay.",
    request: SheetSchema,
    answers:
      "201 {id, revision}; 422 with every problem at its path; 409 when its revision is not the newest.",
  },
  {
    method: "GET",
    path: "/api/v1/calculators",
    says: "All calculators with their inputs, dimensions, ranges and units.",
    answers: "{calculators: [...]}",
  },
  {
    method: "POST",
    path: "/api/v1/calculators/{id}",
    says: "One calculation.",
    request: CalculateRequest,
    answers:
      "{outputs: {name: {value, unit, si}}, tables: {name: [row]}, verdict, reasons, cautions, sources}; 422 with the path of each input that is unknown, missing, of another dimension or out of range.",
  },
  {
    method: "GET",
    path: "/api/v1/valves/{tag}/readings",
    says: "Every reading of a valve, oldest first.",
    answers: "{readings: [...]}",
  },
  {
    method: "POST",
    path: "/api/v1/valves/{tag}/readings",
    says: "Keeps a result of the bench book with a valve: worked out again from what was typed.",
    request: KeepRequest,
    answers:
      "201 {id, what, si, typed, at, by}; 404 when there is no such valve; 422 when it cannot be worked out.",
  },
  {
    method: "DELETE",
    path: "/api/v1/valves/{tag}/readings/{id}",
    says: "Takes such a result back; what a job measured stays.",
    answers: "204; 404 when there is none that can be taken back.",
  },
  {
    method: "POST",
    path: "/api/v1/jobs",
    says: "Opens a job on a registered valve.",
    request: OpenJobRequest,
    answers: "201 {id}",
  },
  {
    method: "GET",
    path: "/api/v1/jobs/{id}",
    says: "A job as a loftbell.job document.",
    answers: "loftbell.job",
  },
  {
    method: "POST",
    path: "/api/v1/jobs/{id}/events",
    says: "Adds events to a job's log, all or none; an event whose id is known is passed over.",
    request: EventsRequest,
    answers: "{events: sealed log}; 409 when the rules of the job refuse it.",
  },
  {
    method: "PUT",
    path: "/api/v1/jobs/{id}/photos/{photo}",
    says: "The bytes of a photograph that the job's log speaks of (JPEG, PNG or WebP, at most 5 MB); place and device are taken out.",
    answers: "{photo, width, height, bytes}; 409 when the log has no such photograph.",
  },
  {
    method: "GET",
    path: "/api/v1/jobs/{id}/photos/{photo}",
    says: "A photograph of a job.",
    answers: "image/jpeg",
  },
  {
    method: "GET",
    path: "/api/v1/sheets/{id}",
    says: "A sheet as a document: the newest revision, or the one asked for with ?revision=.",
    answers: "loftbell.sheet",
  },
  { method: "GET", path: "/api/v1/lines/{id}", says: "A line as a document.", answers: "loftbell.line" },
  {
    method: "POST",
    path: "/api/v1/import",
    says: "Brings documents and CSV files in, or says what would change.",
    request: ImportRequest,
    answers: "{lines: [{file, what, effect}]}",
  },
];

export const SCHEMA_NAMES = Object.keys(DOCUMENT_SCHEMAS);
