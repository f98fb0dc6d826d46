import { type Static, Type } from "@sinclair/typebox";
import { closed, Id, oneOf, source, titled, Words } from "./shared";

/** How strong the leak is, how hard it is to get at, how old it is: what makes a shallow repair come back. */
const DepthWhen = oneOf("always", "runs", "hard-access", "old");
export type DepthWhen = Static<typeof DepthWhen>;

/** How deep one can go for a reason: what is reached and renewed, and how often one comes back within the year. */
export const DepthSchema = Type.Object(
  {
    id: Id,
    kind: oneOf("repair", "overhaul", "exchange", "whole-valve"),
    name: Words,
    symptoms: Type.Optional(
      Type.Array(Id, {
        title: "For these reasons",
        description: "All of the sheet when absent.",
        minItems: 1,
      }),
    ),
    reach: Type.Array(Id, { minItems: 1 }),
    renews: Type.Array(Id),
    comesBack: Type.Array(
      Type.Object(
        {
          when: DepthWhen,
          percent: Type.Number({
            minimum: 0,
            maximum: 100,
            description: "Within the year; added to the others.",
          }),
        },
        closed,
      ),
      { title: "Comes back", minItems: 1 },
    ),
    besides: Type.Optional(
      titled(
        "Besides the kit",
        Type.Number({
          minimum: 0,
          description: "What it costs besides, in the currency of the store: a new valve.",
        }),
      ),
    ),
    source,
  },
  closed,
);
export type Depth = Static<typeof DepthSchema>;

/** What was weighed when a job began: the depth that was chosen, and the others with why not. */
export const ChosenDepthSchema = Type.Object(
  {
    id: Id,
    name: Words,
    leak: oneOf("none", "seeps", "runs"),
    access: oneOf("easy", "hard"),
    currency: Type.String({ maxLength: 8 }),
    cost: Type.Number({ minimum: 0 }),
    others: Type.Array(
      Type.Object(
        {
          id: Id,
          name: Words,
          dearer: Type.Number({ description: "Than the chosen one; below zero where it is cheaper." }),
          mostly: oneOf("time", "parts", "outage", "coming-back"),
        },
        closed,
      ),
      { maxItems: 8 },
    ),
    reason: Type.Optional(
      Type.String({ maxLength: 400, description: "Why it was chosen though another one is cheaper." }),
    ),
  },
  closed,
);
export type ChosenDepth = Static<typeof ChosenDepthSchema>;
