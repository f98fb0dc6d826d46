import { type Static, Type } from "@sinclair/typebox";
import { CertificatesSchema } from "./person";
import { closed, Id, Instant, Minutes, oneKindOf, oneOf, Typed, Words } from "./shared";
import { CHECK_DIMENSIONS } from "./sheet";
import { TakenWithSchema, TraceSchema } from "./taken-with";

/** The newest event version this program understands. */
export const EVENT_VERSION = 1;
/** A bell of a job may be put off by so much at a time: what may not wait is asked about again. */
export const MOST_PUT_OFF_MIN = 120;
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
/** Where an instrument handed the figure over. */
const read = { with: Type.Optional(TakenWithSchema) };

/** What other open jobs keep shut, turned or open on the line. */
export const Held = Type.Array(
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
      ...read,
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
      ...read,
      kelvin_with: Type.Optional(TakenWithSchema),
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
    {
      kind: Type.Literal("check-measured"),
      ...base,
      step: Step,
      check: Id,
      si: Type.Number(),
      typed: Typed,
      ...read,
    },
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
      ...read,
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
      with: Type.Optional(
        Type.Record(Type.String({ maxLength: 40 }), TakenWithSchema, {
          maxProperties: 20,
          description: "The inputs that an instrument handed over.",
        }),
      ),
    },
    closed,
  ),
  Type.Object(
    { kind: Type.Literal("trace-kept"), ...base, step: Step, with: TakenWithSchema, ...TraceSchema },
    { ...closed, description: "What an instrument showed over a time: a standing test, a decay, a pull." },
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
  Type.Object(
    {
      kind: Type.Literal("bell-put-off"),
      ...base,
      bell: Type.String({ minLength: 1, maxLength: 320, description: "Which bell, by its id." }),
      minutes: Type.Integer({
        minimum: 1,
        maximum: MOST_PUT_OFF_MIN,
        description: "How long it is silent from `at` on.",
      }),
      reason: Words,
    },
    { ...closed, description: "A bell of the job is silent for a while, everywhere, and rings again." },
  ),
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
