import { type Static, Type } from "@sinclair/typebox";
import { CaseBroughtSchema } from "./case-brought";
import { EventSchema, Held } from "./job-event";
import { LineSchema } from "./line";
import { ProofSchema } from "./proof";
import { ValveSchema } from "./register";
import { ChosenWaySchema } from "./schools";
import { closed, Id, Instant, oneOf, Words } from "./shared";
import { SheetSchema } from "./sheet";
import { ChosenDepthSchema } from "./sheet-depth";
import { StoreSchema } from "./store";

/** The rules by which a job is planned that begins now. */
export const PLAN_RULES = 6;

/** A document by name, revision and the SHA-256 of its canonical text. */
const Named = Type.Object(
  { id: Id, revision: Type.Integer({ minimum: 1 }), hash: Type.String({ pattern: "^[0-9a-f]{64}$" }) },
  closed,
);

/** Where the valve is while it is worked on; in its line when left out. */
export const WhereSchema = oneOf("line", "bench", "carried");
export type Where = Static<typeof WhereSchema>;

export const JobInputsSchema = Type.Object(
  {
    id: Id,
    valve: ValveSchema,
    sheet: SheetSchema,
    line: Type.Optional(LineSchema),
    store: Type.Optional(StoreSchema),
    reason: Type.Object(
      {
        kind: oneOf("due", "symptom", "event"),
        says: Words,
        symptom: Type.Optional(
          Type.String({ description: "Which of the sheet's reasons it is, by its id." }),
        ),
      },
      closed,
    ),
    reach: Type.Array(Id, { description: "Parts to reach; none where it is only looked at." }),
    looks: Type.Optional(
      Type.Array(Id, {
        description: "Checks that are all of this job, where nothing is reached.",
        minItems: 1,
      }),
    ),
    policy: oneOf("on-condition", "what-was-disturbed", "everything-open"),
    renew: Type.Optional(
      Type.Array(Id, { description: "Parts that the reason for the job renews, whatever they look like." }),
    ),
    where: Type.Optional(WhereSchema),
    together: Type.Optional(
      Type.Array(Id, {
        minItems: 1,
        maxItems: 20,
        description:
          "Other places of the line that are opened in the same shut-down, by their ids: it is shut for them, too.",
      }),
    ),
    depth: Type.Optional(ChosenDepthSchema),
    schools: Type.Optional(
      Type.Array(ChosenWaySchema, {
        maxItems: 10,
        description: "How it is worked where practitioners differ: one way a topic, beside the usual one.",
      }),
    ),
    trouble: Type.Optional(CaseBroughtSchema),
    openedAt: Instant,
    openedBy: Words,
    rules: Type.Optional(
      Type.Integer({
        minimum: 1,
        maximum: PLAN_RULES,
        description:
          "By which rules it is planned, from its beginning to its end. 6: what may not be left on its way is timed. 5: the kit is ticked line by line. 4: zero is proven again after a stop, the position is looked at. 3: every card stands where what it needs holds. 2: proven on the world. 1 when absent: jobs of versions before 0.7.",
      }),
    ),
    people: Type.Optional(
      Type.Object(
        {
          competent: Type.Literal(true, {
            description: "Whoever works where it can hurt more than oneself has to be competent for it.",
          }),
          anotherProves: Type.Optional(
            Type.Literal(true, { description: "Zero is proven by another person than shut it off." }),
          ),
        },
        {
          ...closed,
          description: "What is asked of who does it. Absent in jobs of versions before 0.15.",
        },
      ),
    ),
    held: Type.Optional(Held),
    named: Type.Optional(
      Type.Object(
        { sheet: Named, line: Type.Optional(Named) },
        {
          ...closed,
          description:
            "Which revisions the job was compiled from. `line` beside it is of a large one the neighbourhood; of jobs before rules 3 with what other jobs held shut.",
        },
      ),
    ),
  },
  closed,
);
/** All that a job began with, frozen: a newer sheet does not change a job that runs. */
export type JobInputs = Static<typeof JobInputsSchema>;

const Seal = Type.Object(
  { seq: Type.Integer({ minimum: 1 }), serverAt: Instant, previous: Type.String(), hash: Type.String() },
  closed,
);
export type Seal = Static<typeof Seal>;

export const SealedEventSchema = Type.Object({ event: EventSchema, seal: Seal }, closed);
/** An event as stored: numbered, timed by the server, chained to the one before. */
export type SealedEvent = Static<typeof SealedEventSchema>;

export const JobSchema = Type.Object(
  {
    format: Type.Literal("loftbell.job"),
    version: Type.Literal(1),
    inputs: JobInputsSchema,
    events: Type.Array(SealedEventSchema),
    proof: Type.Optional(ProofSchema),
  },
  {
    ...closed,
    $id: "loftbell.job.json",
    title: "Job",
    description: "What a job began with and everything that happened since.",
  },
);
export type JobDocument = Static<typeof JobSchema>;
