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
  readonly method: "GET" | "POST";
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
    answers: "{outputs: {name: {value, unit, si}}, verdict, reasons, cautions, sources}",
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
    method: "GET",
    path: "/api/v1/sheets/{id}",
    says: "The newest revision of a sheet as a document.",
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
