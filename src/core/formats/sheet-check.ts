import { type Static, Type } from "@sinclair/typebox";
import { onlyAfter, standing } from "./card";
import { closed, Id, Minutes, oneKindOf, oneOf, source, titled, Words } from "./shared";

const Disposition = oneOf("reuse", "clean", "renew", "stop");
export type Disposition = Static<typeof Disposition>;

const Verdict = {
  means: Disposition,
  says: Words,
  alsoRenew: Type.Optional(Type.Array(Id)),
  reach: Type.Optional(Type.Array(Id, { description: "Parts that must now be reached." })),
  makesDue: Type.Optional(
    Type.String({ title: "Makes due", description: "The interval that is due at once after this answer." }),
  ),
  shortens: Type.Optional(
    titled(
      "Shortens",
      Type.Object(
        { interval: Id, to_months: Type.Number({ exclusiveMinimum: 0 }) },
        {
          ...closed,
          description: "From now on this valve rings sooner: the cause is in the water, not in the part.",
        },
      ),
    ),
  ),
};

/** How far a part is worn, as its picture shows it. */
const Grade = oneOf("good", "marginal", "gone");
export type Grade = Static<typeof Grade>;

/** What is drawn beside the answers, once for each grade. */
const Rubric = oneOf(
  "lip",
  "ring",
  "face",
  "bore",
  "stem",
  "ball",
  "diaphragm",
  "spring",
  "holes",
  "thread",
  "packing",
);
export type Rubric = Static<typeof Rubric>;

const option = {
  id: Id,
  label: Words,
  grade: Type.Optional(titled("As worn as", Grade)),
  rubric: Type.Optional(titled("Drawn as", Rubric)),
  ...Verdict,
};

export const CHECK_DIMENSIONS = [
  "length",
  "gauge pressure",
  "time",
  "turns",
  "torque",
  "resistance",
  "temperature",
  "voltage",
  "current",
  "volume flow",
  "number",
] as const;

const checkBase = {
  id: Id,
  part: Type.Optional(Type.String({ description: "What is looked at; absent for the valve as a whole." })),
  phase: oneOf("triage", "inspect", "rebuild", "test"),
  needsOff: Type.Optional(Type.Array(Id, { description: "Asked only when these parts are off." })),
  onlyAfter,
  builtBefore: Type.Optional(
    titled("Only if built in before", {
      ...Type.String({ pattern: "^\\d{4}-\\d{2}-\\d{2}$" }),
      description: "A day. Asked too where nobody knows when it was built in.",
    }),
  ),
  rubric: Type.Optional(titled("Drawn as", Rubric)),
  beforeTask: Type.Optional(
    titled("Right before", {
      ...Id,
      description: "Work of this sheet at the open valve: it is looked at once more just before that.",
    }),
  ),
  afterFit: Type.Optional(Type.String({ description: "In rebuild: asked once this part is in." })),
  do: Words,
  ask: Words,
  why: Words,
  how: Type.Array(Words, { description: "Short cues: good light, nail test." }),
  minutes: Minutes,
  wait_min: Type.Optional(
    titled(
      "Waits before it is judged",
      Type.Number({
        exclusiveMinimum: 0,
        maximum: 10_000,
        description: "min. What is wrong may be said at once; that all is well only when it is over.",
      }),
    ),
  ),
  tools: Type.Array(Id),
  onBench: Type.Optional(
    Type.Boolean({
      title: "Can be done on a bench",
      description: "It needs neither the line nor the medium.",
    }),
  ),
  ...standing,
};

/** The four kinds of check: a choice, a measurement with limits, a go/no-go trick, a look at each piece of a stack. */
export const CheckSchema = oneKindOf(
  Type.Object(
    {
      ...checkBase,
      kind: Type.Literal("choice"),
      options: Type.Array(Type.Object(option, closed), { minItems: 2 }),
    },
    closed,
  ),
  Type.Object(
    {
      ...checkBase,
      kind: Type.Literal("pieces"),
      part: Type.String({ description: "The stack: each of its pieces is looked at." }),
      options: Type.Array(
        Type.Object(
          {
            ...option,
            pieces: Type.Optional(
              Type.Array(Words, {
                title: "Of these pieces",
                description: "Pieces by name that can look so; all when absent.",
                minItems: 1,
              }),
            ),
          },
          closed,
        ),
        { minItems: 2 },
      ),
      condemns: titled(
        "A bad piece condemns",
        Type.Unsafe<"set" | "piece">({
          ...oneOf("set", "piece"),
          description: "The whole set, or that piece alone.",
        }),
      ),
    },
    { ...closed, description: "Each piece of a stack by itself." },
  ),
  Type.Object(
    {
      ...checkBase,
      kind: Type.Literal("measure"),
      what: Id,
      dimension: oneOf(...CHECK_DIMENSIONS),
      unit: Words,
      low: Type.Optional(Type.Number()),
      high: Type.Optional(Type.Number()),
      source,
      within: Type.Object(Verdict, closed),
      below: Type.Optional(Type.Object(Verdict, closed)),
      above: Type.Optional(Type.Object(Verdict, closed)),
    },
    closed,
  ),
  Type.Object(
    {
      ...checkBase,
      kind: Type.Literal("trick"),
      go: Type.Object({ label: Words, ...Verdict }, closed),
      noGo: Type.Object({ label: Words, ...Verdict }, closed),
    },
    closed,
  ),
);
