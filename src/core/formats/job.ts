import { type Static, Type } from "@sinclair/typebox";
import { CaseBroughtSchema } from "./case-brought";
import { LineSchema } from "./line";
import { CertificatesSchema } from "./person";
import { ProofSchema } from "./proof";
import { ValveSchema } from "./register";
import { ChosenWaySchema } from "./schools";
import { closed, Id, Instant, Minutes, oneKindOf, oneOf, Typed, Words } from "./shared";
import { CHECK_DIMENSIONS, SheetSchema } from "./sheet";
import { ChosenDepthSchema } from "./sheet-depth";
import { StoreSchema } from "./store";

/** The newest event version this program understands. */
export const EVENT_VERSION = 1;
/** The rules by which a job is planned that begins now. */
export const PLAN_RULES = 6;

const base = {
  v: Type.Literal(EVENT_VERSION),
  id: Id,
  at: Instant,
  by: Words,
  off_s: Type.Optional(
    Type.Number({
      minimum: -1e8,
      maximum: 1e8,
      description:
        "s by which the clock of the device ran ahead, as measured: `at` is corrected by it already.",
    }),
  ),
  answered: Type.Optional(
    Type.Record(Type.String({ maxLength: 100 }), Type.Unknown(), {
      description: "The facts of the step it answers, as they were then. Written by the server alone.",
    }),
  ),
  elsewhere: Type.Optional(
    Type.Object(
      {
        settled: oneOf("same", "worse", "noted", "stops"),
        because: Type.Optional(Words),
      },
      {
        ...closed,
        description:
          "Entered on another device without signal, beside what the log had gone on with. same: done here, too; worse: what it says counts; noted: what stands here counts; stops: it contradicts what stands here, and the work is stopped, `because` of that. Written by the server alone.",
      },
    ),
  ),
};
const Step = Type.String({ minLength: 1, maxLength: 200 });

/** What other open jobs keep shut, turned or open on the line. */
const Held = Type.Array(
  Type.Object(
    {
      link: Type.String({
        minLength: 1,
        maxLength: 100,
        description: "The valve of the line, or the node of a stem.",
      }),
      job: Type.String({ minLength: 1, maxLength: 100 }),
      valve: Type.String({ minLength: 1, maxLength: 100, description: "The tag that job is on." }),
      position: Type.Optional(Type.String({ maxLength: 100, description: "Where a stem was turned to." })),
      open: Type.Optional(Type.Literal(true, { description: "A bypass that it keeps open." })),
    },
    closed,
  ),
  { maxItems: 500, description: "What other open jobs keep shut, turned or open on the line." },
);
export type HeldLinks = Static<typeof Held>;

/** What somebody else has to do now, and who took it on. */
const HandedOver = Type.Object(
  {
    what: oneOf("graded-leak", "repair-order", "licensed-trade"),
    to: Type.String({ minLength: 1, maxLength: 200, description: "Who took it on." }),
  },
  closed,
);
export type HandedOver = Static<typeof HandedOver>;

/** One thing that happened. Never changed, never deleted: an undo is an event too. */
export const EventSchema = oneKindOf(
  Type.Object(
    {
      kind: Type.Literal("step-done"),
      ...base,
      step: Step,
      entry: Type.Optional(Type.String({ maxLength: 400 })),
    },
    closed,
  ),
  Type.Object({ kind: Type.Literal("step-overridden"), ...base, step: Step, reason: Words }, closed),
  Type.Object(
    {
      kind: Type.Literal("reading-taken"),
      ...base,
      step: Step,
      what: Id,
      dimension: oneOf(...CHECK_DIMENSIONS),
      si: Type.Number(),
      typed: Typed,
      kelvin: Type.Optional(
        Type.Number({ minimum: 100, maximum: 1000, description: "Temperature of the section then, K." }),
      ),
    },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("check-answered"),
      ...base,
      step: Step,
      check: Id,
      answer: Words,
      reason: Type.Optional(Words),
    },
    closed,
  ),
  Type.Object(
    { kind: Type.Literal("check-measured"), ...base, step: Step, check: Id, si: Type.Number(), typed: Typed },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("part-judged"),
      ...base,
      part: Id,
      disposition: oneOf("reuse", "renew"),
      reason: Words,
    },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("bolt-pulled"),
      ...base,
      step: Step,
      pass: Type.Integer({ minimum: 1 }),
      bolt: Type.Integer({ minimum: 1 }),
      reading_Nm: Type.Optional(
        Type.Number({
          minimum: 0,
          maximum: 20_000,
          description: "What the torque wrench read at the bolt, N·m.",
        }),
      ),
    },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("piece-set"),
      ...base,
      step: Step,
      piece: Type.Integer({ minimum: 1, description: "Pieces out (or in) so far, this one counted." }),
    },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("part-compared"),
      ...base,
      step: Step,
      part: Id,
      found: Type.Array(
        Type.Object(
          {
            name: Words,
            said: Type.Optional(Words),
            si: Type.Optional(Type.Number()),
            typed: Type.Optional(Typed),
          },
          closed,
        ),
        { minItems: 1, maxItems: 12 },
      ),
    },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("piece-judged"),
      ...base,
      step: Step,
      check: Id,
      piece: Type.Integer({ minimum: 1, description: "From the bottom up." }),
      answer: Words,
    },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("line-ticked"),
      ...base,
      step: Step,
      line: Type.String({ minLength: 1, maxLength: 200 }),
    },
    closed,
  ),
  Type.Object({ kind: Type.Literal("still-pressure"), ...base, step: Step }, closed),
  Type.Object(
    {
      kind: Type.Literal("photo-taken"),
      ...base,
      step: Step,
      photo: Id,
      sha256: Type.String({ pattern: "^[0-9a-f]{64}$" }),
    },
    closed,
  ),
  Type.Object({ kind: Type.Literal("wait-started"), ...base, step: Step, minutes: Minutes }, closed),
  Type.Object(
    { kind: Type.Literal("others-hold"), ...base, held: Held },
    {
      ...closed,
      description:
        "What other jobs keep shut has changed. Written by the server alone; `by` is who changed it.",
    },
  ),
  Type.Object({ kind: Type.Literal("closure-passes"), ...base, link: Id }, closed),
  Type.Object(
    {
      kind: Type.Literal("result-kept"),
      ...base,
      step: Type.Optional(Step),
      calculator: Id,
      inputs: Type.Record(Type.String({ maxLength: 40 }), Typed, {
        maxProperties: 60,
        description: "As typed, each with its unit: the result is worked out again from them.",
      }),
      output: Type.String({ minLength: 1, maxLength: 40 }),
      si: Type.Number(),
      typed: Typed,
    },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("signed-on"),
      ...base,
      under: Type.Optional(
        Type.String({
          minLength: 1,
          maxLength: 400,
          description: "Under whose eye, where one may not work alone; signed on before.",
        }),
      ),
      may: Type.Optional(CertificatesSchema),
    },
    {
      ...closed,
      description:
        "Somebody begins to work on it. `may` is what the crew says of this person then, written by the server alone.",
    },
  ),
  Type.Object({ kind: Type.Literal("note-added"), ...base, step: Type.Optional(Step), text: Words }, closed),
  Type.Object({ kind: Type.Literal("stopped"), ...base, reason: Words }, closed),
  Type.Object({ kind: Type.Literal("resumed"), ...base }, closed),
  Type.Object({ kind: Type.Literal("undone"), ...base, event: Id }, closed),
  Type.Object(
    {
      kind: Type.Literal("signed-off"),
      ...base,
      statement: Words,
      handedOver: Type.Optional(HandedOver),
    },
    closed,
  ),
  Type.Object(
    { kind: Type.Literal("given-up"), ...base, reason: Words },
    { ...closed, description: "Started by mistake: closed as not begun." },
  ),
);
export type JobEvent = Static<typeof EventSchema>;

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
