import { type Static, Type } from "@sinclair/typebox";
import { onlyAfter, standing } from "./card";
import { closed, Id, Minutes, oneOf, titled, Words } from "./shared";
import { CautionSchema, ForbiddenTool, Shape } from "./sheet-part";

/** Work on the valve that takes nothing off and puts nothing on: greasing, descaling, a cycle run to let pressure out. */
export const TaskSchema = Type.Object(
  {
    id: Id,
    when: oneOf("before-strip", "when-open", "before-restore"),
    needsOff: Type.Optional(Type.Array(Id, { description: "Asked only when these parts are off." })),
    do: Words,
    why: Words,
    minutes: Minutes,
    wait_min: Type.Optional(Minutes),
    most_min: Type.Optional({
      ...Minutes,
      title: "And no longer than",
      description: "What soaks longer than this is harmed: the bell rings to take it out.",
    }),
    count: Type.Optional(
      Type.Object(
        {
          what: titled("What is counted", Words),
          most: titled("Never more than", Type.Integer({ minimum: 1, maximum: 10_000 })),
          asMany: Type.Optional({
            ...titled("As many as at", Id),
            description: "Another task: what was counted there stands on this card.",
          }),
        },
        {
          ...closed,
          title: "Counted",
          description: "Strokes of a gun, turns, drops: the number stands in the record.",
        },
      ),
    ),
    swing: Type.Optional(
      Type.Object(
        {
          most_s: {
            ...titled("Back within", Type.Integer({ minimum: 1, maximum: 600 })),
            description:
              "Seconds it may be on its way; less where the ride-through that is kept in the job lasts less.",
          },
        },
        {
          ...closed,
          title: "In one go",
          description: "It may not be left on its way: it is counted in, and timed until it has come round.",
        },
      ),
    ),
    list: Type.Optional(
      Type.Array(Type.Object({ name: Words, pieces: Type.Optional(Type.Integer({ minimum: 1 })) }, closed), {
        title: "Ticked one by one",
        description: "Each of these is ticked before the card is done.",
        minItems: 1,
      }),
    ),
    way: Type.Optional({
      ...titled("Way of working", oneOf("oil", "shock", "acid", "water", "dry")),
      description:
        "How it frees or cleans. Where a crew works another way, that takes its place; what puts nothing on, as a rinse after acid, then falls away.",
    }),
    with: Type.Optional({
      ...titled("With", Id),
      description: "The supply it is done with: a descaler, a soap.",
    }),
    onlyAfter,
    tools: Type.Array(Id),
    part: Type.Optional(Id),
    cautions: Type.Optional(Type.Array(CautionSchema)),
    forbidden: Type.Optional(Type.Array(ForbiddenTool)),
    position: Type.Optional(Type.Object({ before: Id, after: Id }, closed)),
    underPressure: Type.Optional(Words),
    ...standing,
  },
  closed,
);

/** A rung of the ladder of letting pressure out, gentlest first. */
export const RungSchema = Type.Object(
  {
    rung: oneOf("port", "gauge-valve", "fitting", "cover"),
    do: Words,
    withPower: Type.Optional(
      Type.Boolean({
        title: "Needs its power",
        description: "A cycle that a motor runs: the pressure leaves before the power is locked off.",
      }),
    ),
  },
  closed,
);

/** Something to note before it moves. */
export const CaptureSchema = Type.Object(
  {
    id: Id,
    ask: Words,
    why: Words,
    choices: Type.Optional(
      Type.Array(Words, {
        minItems: 2,
        description: "What it can be; a figure is noted instead when absent.",
      }),
    ),
    figure: Type.Optional(
      Type.Object(
        {
          dimension: oneOf("turns", "length", "angle", "number", "time", "gauge pressure", "temperature"),
          unit: Words,
          low: Type.Optional(Type.Number({ description: "What it can be at least, in its unit." })),
          high: Type.Optional(Type.Number({ description: "What it can be at most, in its unit." })),
          tolerance: Type.Number({
            minimum: 0,
            description: "How far it may stand from what was noted once it is put back, in its unit.",
          }),
        },
        {
          ...closed,
          title: "Noted as a figure",
          description: "Turns open, degrees, a depth, a number on a dial.",
        },
      ),
    ),
    option: Type.Optional(
      Type.String({
        title: "Only with",
        description: "The option it belongs to: a valve without it is not asked.",
      }),
    ),
    photo: Type.Optional(
      Type.Boolean({
        title: "With a photograph",
        description: "It is not noted without a photograph: words do not put it back.",
      }),
    ),
    dials: Type.Optional(
      Type.Record(Words, Type.Number({ minimum: -360, maximum: 360 }), {
        title: "Drawn as a pointer",
        description:
          "Where a pointer, an arrow or a lever stands at each choice: degrees clockwise from the top.",
      }),
    ),
    drawn: Type.Optional(
      Type.Record(Words, Shape, {
        title: "Drawn as",
        description: "What a choice looks like, by its words: the simple shape, of true proportions.",
      }),
    ),
    right: Type.Optional(
      Type.String({
        minLength: 1,
        maxLength: 400,
        title: "Has to be",
        description: "One of the choices: how it has to be. What was found otherwise is put right.",
      }),
    ),
    byBuild: Type.Optional(
      Type.Record(Id, Words, {
        title: "Tells the build",
        description:
          'Which of the choices each build shows: { "opens-left": "Left" }. Where the register says otherwise, the work goes by what stands there.',
      }),
    ),
    byGeneration: Type.Optional(
      Type.Record(Words, Words, {
        title: "Tells the generation",
        description: 'Which of the choices each generation shows: { "2": "Cover plate, four screws" }.',
      }),
    ),
    tellsOption: Type.Optional(
      Type.Object(
        { option: Id, yes: Words, no: Words },
        {
          ...closed,
          title: "Tells an option",
          description: "Which of the choices says that this valve has it, and which that it lacks it.",
        },
      ),
    ),
    needsOff: Type.Optional(
      Type.Array(Id, { title: "Shows once off", description: "It shows once these parts are off." }),
    ),
    confirmAfter: Type.Optional(
      Type.String({ description: "The part whose fitting shows it again, to be confirmed." }),
    ),
  },
  closed,
);

/** What a sheet asks for once more when all comes back. */
export const RestoreSchema = Type.Object(
  {
    id: Id,
    when: oneOf("before-opening", "after-opening"),
    afterRelease: Type.Optional(
      Type.Boolean({
        title: "Only after a release",
        description: "Not where only parts come off that open nothing: no pressure was let out then.",
      }),
    ),
    do: Words,
    why: Words,
    minutes: Minutes,
    list: Type.Optional(
      Type.Array(Type.Object({ name: Words, pieces: Type.Optional(Type.Integer({ minimum: 1 })) }, closed), {
        title: "Ticked one by one",
        description: "Each of these is ticked before the card is done.",
        minItems: 1,
      }),
    ),
    cautions: Type.Optional(Type.Array(CautionSchema)),
    ...standing,
  },
  closed,
);

export type Task = Static<typeof TaskSchema>;
export type ReleaseRung = Static<typeof RungSchema>;
export type RestoreCard = Static<typeof RestoreSchema>;
