import { Type } from "@sinclair/typebox";
import { JobSortSchema, JobStatusSchema, ValveSortSchema, ValveStateSchema } from "@/core/formats";
import { contract } from "../contract";

const closed = { additionalProperties: false };
const Tag = Type.String({ minLength: 1, maxLength: 100 });
const Reading = Type.Object(
  {
    valve: Type.String(),
    at: Type.Integer({ description: "ms since 1970" }),
    what: Type.String(),
    dimension: Type.String(),
    si: Type.Number(),
    typed: Type.String(),
    by: Type.String(),
    job: Type.Optional(Type.String()),
  },
  closed,
);

export const READINGS = contract({
  id: "readings",
  method: "GET",
  path: "/api/v1/valves/{tag}/readings",
  chapter: "Register",
  role: "reader",
  says: "Every reading of a valve, oldest first.",
  params: Type.Object({ tag: Tag }, closed),
  answer: Type.Object({ readings: Type.Array(Reading) }, closed),
  refuses: { 404: "There is no such valve." },
});

export const KEEP_RESULT = contract({
  id: "keepResult",
  method: "POST",
  path: "/api/v1/valves/{tag}/readings",
  chapter: "Register",
  role: "technician",
  says: "Keeps a result of the bench book with a valve: worked out again from what was typed.",
  asker: "crew",
  params: Type.Object({ tag: Tag }, closed),
  body: Type.Object(
    {
      calculator: Type.String({ minLength: 1, maxLength: 60 }),
      inputs: Type.Record(Type.String({ maxLength: 40 }), Type.String({ maxLength: 80 }), {
        maxProperties: 60,
        description: 'As typed, each with its unit: {"diameter": "16 mm"}.',
      }),
      output: Type.String({ minLength: 1, maxLength: 40 }),
      system: Type.Optional(Type.Union([Type.Literal("metric"), Type.Literal("us")])),
      at: Type.Optional(
        Type.Integer({
          minimum: 0,
          description: "ms. When it was worked out, without signal; sent twice it is kept once.",
        }),
      ),
    },
    closed,
  ),
  status: 201,
  answer: Type.Object({ ...Reading.properties, id: Type.Integer(), label: Type.String() }, closed),
  refuses: { 404: "There is no such valve.", 422: "It cannot be worked out." },
});

export const TAKE_BACK = contract({
  id: "takeBackResult",
  method: "DELETE",
  path: "/api/v1/valves/{tag}/readings/{id}",
  chapter: "Register",
  role: "technician",
  says: "Takes such a result back; what a job measured stays.",
  asker: "crew",
  params: Type.Object({ tag: Tag, id: Type.String({ pattern: "^[0-9]{1,15}$" }) }, closed),
  status: 204,
  answer: Type.Null(),
  refuses: { 404: "There is none that can be taken back." },
});

/** How a list of valves is asked for: the same words stand in the address of the page. */
export const VALVE_LIST_QUERY = Type.Object(
  {
    find: Type.Optional(
      Type.String({ maxLength: 120, description: "Words that each begin a word of the row." }),
    ),
    place: Type.Optional(Type.String({ maxLength: 400 })),
    sheet: Type.Optional(Type.String({ maxLength: 60 })),
    family: Type.Optional(Type.String({ maxLength: 60 })),
    state: Type.Optional(ValveStateSchema),
    sort: Type.Optional(ValveSortSchema),
    down: Type.Optional(Type.Unsafe<"yes">({ type: "string", enum: ["yes"] })),
    page: Type.Optional(Type.Integer({ minimum: 1, maximum: 1_000_000 })),
    columns: Type.Optional(Type.String({ maxLength: 200, description: "Columns shown, by commas." })),
  },
  closed,
);

export const VALVES_CSV = contract({
  id: "valvesCsv",
  method: "GET",
  path: "/api/v1/export/valves.csv",
  chapter: "Register",
  role: "reader",
  says: "The register as a list shows it: every row that fits, as a CSV that can be brought in again.",
  query: VALVE_LIST_QUERY,
  answer: Type.String(),
  gives: "text/csv",
});

export const VALVE_TAGS = contract({
  id: "valveTags",
  method: "GET",
  path: "/api/v1/register/tags",
  chapter: "Register",
  role: "reader",
  says: "The tags of every valve that a list fits, two thousand at most.",
  query: VALVE_LIST_QUERY,
  answer: Type.Object({ tags: Type.Array(Type.String()), total: Type.Integer() }, closed),
});

export const JOB_LIST_QUERY = Type.Object(
  {
    find: Type.Optional(Type.String({ maxLength: 120 })),
    place: Type.Optional(Type.String({ maxLength: 400 })),
    state: Type.Optional(JobStatusSchema),
    sort: Type.Optional(JobSortSchema),
    down: Type.Optional(Type.Unsafe<"yes">({ type: "string", enum: ["yes"] })),
    page: Type.Optional(Type.Integer({ minimum: 1, maximum: 1_000_000 })),
    columns: Type.Optional(Type.String({ maxLength: 200 })),
  },
  closed,
);

export const JOBS_CSV = contract({
  id: "jobsCsv",
  method: "GET",
  path: "/api/v1/export/jobs.csv",
  chapter: "Jobs",
  role: "reader",
  says: "The jobs as a list shows them: every row that fits.",
  query: JOB_LIST_QUERY,
  answer: Type.String(),
  gives: "text/csv",
});
