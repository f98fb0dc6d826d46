import { type Static, Type } from "@sinclair/typebox";
import { sums } from "./card";
import { Medium } from "./line";
import { OneCompetence } from "./person";
import { closed, Id, Minutes, oneOf, titled, UNITS_BY_NAME, Words } from "./shared";
import { CaptureSchema, RestoreSchema, RungSchema, TaskSchema } from "./sheet-cards";
import { CheckSchema, type Disposition, type Grade, type Rubric } from "./sheet-check";
import { DepthSchema } from "./sheet-depth";
import type { Feature } from "./sheet-features";
import { IntervalSchema, RecheckSchema } from "./sheet-interval";
import { type BoltSet, type EndCondition, Turn } from "./sheet-joint";
import { KitSchema, ToolSchema } from "./sheet-kit";
import { type CautionSchema, type GripAt, PartSchema, type StayAt, type ToolClass } from "./sheet-part";

export type { ReleaseRung, RestoreCard, Task } from "./sheet-cards";
export { CHECK_DIMENSIONS } from "./sheet-check";
export type { ChosenDepth, Depth } from "./sheet-depth";
export type { BoltSet, Disposition, EndCondition, Feature, Grade, GripAt, Rubric, StayAt, ToolClass };

const Trait = oneOf(
  "hydrant",
  "fire-actuator",
  "meter-cock",
  "irrigation",
  "twin-relief",
  "air-valve",
  "mixing",
  "carried",
);
export type Trait = Static<typeof Trait>;

const ofMedia = Type.Optional(
  Type.Array(Medium, {
    title: "Only on lines of",
    description: "The same model stands on several media: it is said where the line carries one of these.",
    minItems: 1,
  }),
);

export const SheetSchema = Type.Object(
  {
    format: Type.Literal("loftbell.sheet"),
    version: Type.Union([Type.Literal(1), Type.Literal(2)], {
      description: "2. What version 1 left to its words is read out of them.",
    }),
    id: Id,
    revision: Type.Integer({ minimum: 1, maximum: 1_000_000 }),
    title: Words,
    maker: Words,
    model: Words,
    family: Id,
    traits: Type.Optional(
      Type.Array(Trait, {
        description: "What it is to the world around it: decides which sums and clocks help.",
      }),
    ),
    demonstration: Type.Boolean({ description: "True: demonstration data, not for real equipment." }),
    vouched: Type.Optional(
      titled(
        "Who vouches for its figures",
        Type.Object(
          {
            by: Words,
            source: Type.String({
              minLength: 1,
              maxLength: 400,
              description: "Where the figures come from: the maker's paper, your own tests.",
            }),
          },
          closed,
        ),
      ),
    ),
    summary: Words,
    beforeTrip: sums,
    builds: Type.Array(Type.Object({ id: Id, name: Words }, closed), {
      description: "Variants of the same model.",
    }),
    generations: Type.Array(Words),
    options: Type.Optional(
      Type.Array(Type.Object({ id: Id, name: Words }, closed), {
        description: "What a valve of this model may have or lack: a meter, a switch, a strainer.",
      }),
    ),
    hazards: Type.Array(Type.Object({ id: Id, can: Words, do: Words, media: ofMedia }, closed)),
    protective: Type.Array(Words, { description: "Protective gear." }),
    protectiveOf: Type.Optional(
      Type.Array(Type.Object({ medium: Medium, gear: Type.Array(Words, { minItems: 1 }) }, closed), {
        title: "Gear by medium",
        description: "More gear, by what the line carries at this valve.",
      }),
    ),
    competence: Words,
    asks: Type.Optional(
      Type.Array(OneCompetence, {
        title: "Who may work on it",
        description: "What one has to be competent for; where it is not said, what its medium asks.",
        uniqueItems: true,
      }),
    ),
    secondSignature: Type.Optional(
      Type.String({
        title: "A second person signs",
        minLength: 1,
        maxLength: 400,
        description: "Why a second person looks at it and signs before the job does.",
      }),
    ),
    intervals: Type.Array(IntervalSchema, { minItems: 1 }),
    rechecks: Type.Optional(
      Type.Array(RecheckSchema, {
        title: "Looked at once more",
        description: "So many days after a job, once.",
      }),
    ),
    isolation: Type.Object(
      {
        medium: Medium,
        zeroAt: Words,
        fitGauge: Words,
        zero_bar: Type.Number({
          minimum: 0,
          maximum: 1,
          description: "A gauge reading above this is not zero.",
        }),
        hold_min: Minutes,
        drainsItself: Type.Boolean({ description: "The valve drains once shut off (a dry barrel)." }),
        noLine: Words,
        workUnderPressure: Type.Optional(
          Type.String({
            minLength: 1,
            maxLength: 400,
            description:
              "This work is done with the medium in the pipe, and why that is allowed: nothing is shut, it is asked twice.",
          }),
        ),
      },
      closed,
    ),
    release: Type.Optional(
      Type.Array(RungSchema, {
        description: "How pressure that is left is let out, gentlest first. The cover is the last rung.",
      }),
    ),
    connections: Type.Array(
      Type.Object(
        {
          id: Id,
          name: Words,
          kind: oneOf("port", "terminal", "hose", "wire"),
          colour: Type.Optional(Words),
          polarity: oneOf("matters", "free"),
          part: Type.Optional(
            Type.String({ description: "The part it comes loose with. Its place is noted before." }),
          ),
          option: Type.Optional(
            Type.String({ title: "Only with", description: "The option it belongs to." }),
          ),
          on: Type.Optional(
            Type.Array(Words, { minItems: 2, description: "Ports or terminals it may sit on." }),
          ),
        },
        closed,
      ),
    ),
    capture: Type.Array(CaptureSchema, {
      description: "What is noted before anything moves.",
    }),
    position: Type.Optional(
      Type.Object(
        {
          names: Type.Array(
            Type.Object(
              {
                id: Id,
                name: Words,
                do: Words,
                angle_deg: Type.Optional(
                  Type.Number({
                    title: "Lever stands at",
                    minimum: -180,
                    maximum: 180,
                    description: "Of its lever or key, from along the pipe: 90 is across.",
                  }),
                ),
                role: Type.Optional(oneOf("open", "shut", "back-seated", "mid")),
                turn: Type.Optional({
                  ...Turn,
                  title: "Turned to get there",
                  description: "Which way its stem is turned to get there, and how far at most.",
                }),
              },
              closed,
            ),
            { minItems: 2 },
          ),
          start: Id,
          finish: Id,
          movedBy: Type.String({ description: "Part that must be in place to move it." }),
          under: Type.Optional(
            Type.Array(Id, {
              title: "Is covered by",
              description: "Parts that cover it: off while it is moved.",
              minItems: 1,
            }),
          ),
          minutes: Minutes,
        },
        closed,
      ),
    ),
    tools: Type.Array(ToolSchema),
    supplies: Type.Array(
      Type.Object(
        {
          id: Id,
          name: Words,
          base: oneOf(
            "silicone",
            "petroleum",
            "food-grade",
            "anaerobic",
            "ptfe",
            "metallic",
            "acid",
            "soap",
            "solvent",
            "refrigerant-oil",
            "plug-cock",
          ),
          potable: Type.Optional(
            Type.Boolean({
              title: "Listed for drinking water",
              description: "It may touch what people drink.",
            }),
          ),
        },
        closed,
      ),
    ),
    parts: Type.Array(PartSchema, { minItems: 2 }),
    checks: Type.Array(CheckSchema),
    kits: Type.Array(KitSchema),
    tasks: Type.Optional(Type.Array(TaskSchema)),
    depths: Type.Optional(
      Type.Array(DepthSchema, {
        title: "How deep",
        description: "Shallowest first: what it is weighed between.",
      }),
    ),
    renewal: Type.Optional(
      titled(
        "How far to renew, usually",
        Type.Object(
          { usual: oneOf("on-condition", "what-was-disturbed", "everything-open"), why: Words },
          {
            ...closed,
            description: "What a job on this model begins with; whoever does it may choose otherwise.",
          },
        ),
      ),
    ),
    oldFrom_years: Type.Optional(
      titled(
        "Counts as old from",
        Type.Number({ exclusiveMinimum: 0, description: "Years since it was built in." }),
      ),
    ),
    singles: Type.Array(Id, { description: "Parts sold singly." }),
    rebuild: Type.Optional(
      Type.Array(Id, {
        minItems: 2,
        title: "Goes in as",
        description:
          "Parts in the order in which they go in, where that is not the strip backwards: a stack that is built upside down, a sub-assembly on the bench.",
      }),
    ),
    assemblies: Type.Optional(
      Type.Array(Type.Object({ id: Id, name: Words, parts: Type.Array(Id, { minItems: 2 }) }, closed), {
        title: "Put together by itself",
        description: "Parts that are put together on the bench, on a tray of their own, in this order.",
      }),
    ),
    restore: Type.Array(RestoreSchema),
    symptoms: Type.Array(
      Type.Object(
        {
          id: Id,
          says: Words,
          reach: Type.Array(Id, { description: "Parts to reach; none where it is only looked at." }),
          looks: Type.Optional(
            Type.Array(Id, {
              title: "Looks alone",
              description: "Checks that are all of this job: nothing is shut for them and nothing comes off.",
              minItems: 1,
            }),
          ),
          renews: Type.Optional(
            Type.Array(Id, {
              description:
                "Parts that go in new because of this: it is what the job is for, whatever they look like.",
            }),
          ),
          interval: Type.Optional(
            Type.String({
              title: "Is the work of",
              description:
                "The interval, or the look once more, whose work this is: it is offered when that is due.",
            }),
          ),
        },
        closed,
      ),
    ),
    tag: Words,
  },
  {
    ...closed,
    $id: "loftbell.sheet.json",
    title: "Service sheet",
    description: `The build and service data of one model. ${UNITS_BY_NAME}`,
  },
);

export type Sheet = Static<typeof SheetSchema>;
export type Part = Sheet["parts"][number];
export type Way = Part["ways"][number];
export type PartFit = NonNullable<Part["fit"]>;
export type Check = Sheet["checks"][number];
export type CheckVerdict = {
  means: Disposition;
  says: string;
  alsoRenew?: string[];
  reach?: string[];
  makesDue?: string;
  shortens?: { interval: string; to_months: number };
  grade?: Grade;
};
export type Kit = Sheet["kits"][number];
export type Tool = Sheet["tools"][number];
export type Caution = Static<typeof CautionSchema>;
