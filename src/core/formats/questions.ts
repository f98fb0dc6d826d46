import { type Static, Type } from "@sinclair/typebox";
import { JobInputsSchema, WhereSchema } from "./job";
import { EventSchema } from "./job-event";
import { LineSchema } from "./line";
import { ValveSchema } from "./register";
import { AskedWaySchema } from "./schools";
import { closed } from "./shared";
import { SheetSchema } from "./sheet";
import { StoreSchema } from "./store";

const Ids = Type.Array(Type.String({ minLength: 1, maxLength: 100 }), { maxItems: 200 });

/** What the isolation engine is asked. */
export const ISOLATE_QUESTION = Type.Object(
  {
    line: LineSchema,
    open: Type.Array(Type.String({ maxLength: 100 }), {
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

/** What the strip planner is asked. */
export const PLAN_QUESTION = Type.Object(
  {
    sheet: SheetSchema,
    reach: Type.Array(Type.String(), { minItems: 1, maxItems: 200, description: "Parts to reach." }),
    build: Type.Optional(Type.String()),
    off: Type.Optional(Ids),
    position: Type.Optional(Type.String()),
  },
  closed,
);

/** What the compiler and the proof of a job are asked: whole documents, nothing stored. */
export const JOB_QUESTION = Type.Object(
  {
    valve: ValveSchema,
    sheet: SheetSchema,
    line: Type.Optional(LineSchema),
    store: Type.Optional(StoreSchema),
    reach: Type.Array(Type.String({ maxLength: 100 }), {
      minItems: 1,
      maxItems: 200,
      description: "Parts to reach.",
    }),
    policy: Type.Optional(JobInputsSchema.properties.policy),
    where: Type.Optional(WhereSchema),
    schools: Type.Optional(
      Type.Array(AskedWaySchema, {
        maxItems: 10,
        description: "Where practitioners differ: another way than the usual one, and why.",
      }),
    ),
    log: Type.Optional(
      Type.Array(EventSchema, {
        maxItems: 2000,
        description: "What was found so far, as a job's log keeps it.",
      }),
    ),
    held: Type.Optional(
      Type.Array(
        Type.Object(
          {
            link: Type.String({ maxLength: 100 }),
            job: Type.String({ maxLength: 100 }),
            valve: Type.Optional(Type.String({ maxLength: 100, description: "The tag that job is on." })),
            position: Type.Optional(
              Type.String({ maxLength: 100, description: "Where a stem was turned to." }),
            ),
          },
          closed,
        ),
        { maxItems: 500, description: "What other jobs keep shut or turned on the line." },
      ),
    ),
    system: Type.Optional(Type.Union([Type.Literal("metric"), Type.Literal("us")])),
  },
  closed,
);
export type JobQuestion = Static<typeof JOB_QUESTION>;

const Part = Type.String({ minLength: 1, maxLength: 100 });
const Price = Type.Integer({ minimum: 0, maximum: 100_000_000, description: "Hundredths of the currency." });
const Pieces = Type.Array(
  Type.Object({ part: Part, qty: Type.Integer({ minimum: 0, maximum: 10_000 }) }, closed),
  { maxItems: 1000 },
);

/** What the kit engine is asked. */
export const COVER_QUESTION = Type.Object(
  {
    needed: Pieces,
    kits: Type.Array(
      Type.Object({ id: Part, price_cents: Price, in_stock: Type.Boolean(), contents: Pieces }, closed),
      { maxItems: 1000 },
    ),
    parts: Type.Array(Type.Object({ part: Part, price_cents: Price, in_stock: Type.Boolean() }, closed), {
      maxItems: 1000,
    }),
    second_best: Type.Optional(
      Type.Boolean({ description: "Whether the next best purchase is worked out, too." }),
    ),
  },
  closed,
);
export type CoverQuestion = Static<typeof COVER_QUESTION>;
