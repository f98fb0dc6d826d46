import { Type } from "@sinclair/typebox";
import { closed, Id, oneOf, titled, Words } from "./shared";
import { ToolClass } from "./sheet-part";

export const KitSchema = Type.Object(
  {
    id: Id,
    name: Words,
    generations: Type.Optional(
      Type.Array(Words, { description: "Fits these generations of the valve; all when absent." }),
    ),
    contents: Type.Array(
      Type.Object(
        {
          part: Id,
          quantity: Type.Integer({ minimum: 1 }),
          piece: Type.Optional(
            titled("Only these pieces", {
              ...Words,
              description: "Of a stack: pieces of this name alone.",
            }),
          ),
          cut: Type.Optional({
            ...titled("Cut as", oneOf("full-face", "ring")),
            description: "Of a flange gasket, where it is cut otherwise than the sheet draws it.",
          }),
        },
        closed,
      ),
      { minItems: 1 },
    ),
    note: Type.Optional(
      Type.String({
        minLength: 1,
        maxLength: 400,
        title: "What to know of it",
        description: "What it does better or worse than another kit for the same work.",
      }),
    ),
    lookAlike: Type.Optional(
      Type.String({
        minLength: 1,
        maxLength: 400,
        description: "It looks like a kit for this valve and is none: how it is told, and what it would do.",
      }),
    ),
    leftovers: Type.Array(
      Type.Object({ name: Words, quantity: Type.Integer({ minimum: 1 }), why: Words }, closed),
      {
        description: "What is right to be left over.",
      },
    ),
  },
  closed,
);

export const ToolSchema = Type.Object(
  {
    id: Id,
    name: Words,
    class: Type.Optional(
      titled("Kind of tool", {
        ...ToolClass,
        description: "Where it can harm a part, or is asked for: a hammer, a torque wrench.",
      }),
    ),
    size: Type.Optional(
      titled("Size it goes by", { ...Words, description: "As it is called: 17 mm, no. 2, size 25." }),
    ),
    least_Nm: Type.Optional(titled("Pulls from", Type.Number({ exclusiveMinimum: 0 }))),
    most_Nm: Type.Optional(titled("Pulls up to", Type.Number({ exclusiveMinimum: 0 }))),
    most_bar: Type.Optional(titled("Reads up to", Type.Number({ exclusiveMinimum: 0 }))),
    weight_kg: Type.Optional(titled("Weighs", Type.Number({ exclusiveMinimum: 0, maximum: 2000 }))),
    bears_kg: Type.Optional(titled("Bears", Type.Number({ exclusiveMinimum: 0 }))),
    arm_m: Type.Optional(
      titled(
        "Length of its arm",
        Type.Number({
          exclusiveMinimum: 0,
          maximum: 5,
          description: "m, from square to hand: with it the card says how hard one has to pull.",
        }),
      ),
    ),
    reach_m: Type.Optional(titled("Reaches", Type.Number({ exclusiveMinimum: 0 }))),
    substitutes: Type.Optional(Type.Array(Type.Object({ name: Words, allowedWhen: Words }, closed))),
  },
  closed,
);
