import { type Static, Type } from "@sinclair/typebox";
import { closed, oneKindOf, oneOf, source, Words } from "./shared";

/** Where tightening ends. There is no blank: a figure nobody has is "to-ask-for". */
export const EndCondition = oneKindOf(
  Type.Object(
    {
      kind: Type.Literal("torque"),
      torque_Nm: Type.Number({ exclusiveMinimum: 0 }),
      stated: oneOf("dry", "oiled", "anti-seize", "grease"),
      pattern: oneOf("cross", "single", "in-turn"),
      passes_percent: Type.Array(Type.Number({ exclusiveMinimum: 0, maximum: 100 }), { minItems: 1 }),
      maximum_Nm: Type.Optional(Type.Number({ exclusiveMinimum: 0 })),
      holdAgainst: Type.Optional(Words),
      source,
    },
    closed,
  ),
  Type.Object(
    { kind: Type.Literal("angle"), fromContact_deg: Type.Number({ exclusiveMinimum: 0 }), source },
    closed,
  ),
  Type.Object({ kind: Type.Literal("hand-tight") }, closed),
  Type.Object({ kind: Type.Literal("snug") }, closed),
  Type.Object({ kind: Type.Literal("flush") }, closed),
  Type.Object(
    {
      kind: Type.Literal("touch-and-back-off"),
      backOff_turns: Type.Number({ exclusiveMinimum: 0, maximum: 5 }),
      pitch_mm: Type.Optional(
        Type.Number({
          title: "Pitch of its thread",
          exclusiveMinimum: 0,
          maximum: 10,
          description: "mm. With it the gap that is left is said.",
        }),
      ),
    },
    closed,
  ),
  Type.Object({ kind: Type.Literal("touch") }, closed),
  Type.Object(
    {
      kind: Type.Literal("seat-to-depth"),
      depth_mm: Type.Number(),
      tolerance_mm: Type.Number({ exclusiveMinimum: 0 }),
      source,
    },
    closed,
  ),
  Type.Object({ kind: Type.Literal("until-stop"), seen: Words }, closed),
  Type.Object({ kind: Type.Literal("seated"), seen: Words }, closed),
  Type.Object({ kind: Type.Literal("to-ask-for"), whom: Words }, closed),
);
export type EndCondition = Static<typeof EndCondition>;

/** Which way something is turned, and how far. */
export const Turn = Type.Object(
  {
    way: oneOf("left", "right"),
    turns: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 500 })),
    degrees: Type.Optional(
      Type.Number({
        exclusiveMinimum: 0,
        maximum: 359,
        description: "Where it is less than a turn. It goes back as far the other way.",
      }),
    ),
  },
  {
    ...closed,
    title: "Turned",
    description: "Left is anticlockwise. A fastener that says nothing has a right-hand thread.",
  },
);

/** Several sets of bolts hold one body: which of them, and where it sits, seen from above. */
export const BoltSet = Type.Object(
  {
    letter: Type.String({ minLength: 1, maxLength: 2 }),
    at: oneOf("top", "foot", "left", "right"),
    hinge: Type.Optional(Type.Boolean({ description: "The body swings on its last bolt." })),
  },
  { ...closed, title: "Set of bolts" },
);
export type BoltSet = Static<typeof BoltSet>;
