import { type Static, Type } from "@sinclair/typebox";
import { closed, Id, oneOf, Words } from "./shared";
import { SheetSchema } from "./sheet";
import { StoreSchema } from "./store";
import { nameless, TROUBLE_QUESTION } from "./trouble-question";

const Minutes = Type.Number({ minimum: 0, maximum: 100_000 });

/** How one goes there, and what that lets one take along. */
export const HowOneGoesSchema = Type.Object(
  {
    by: oneOf("van", "foot"),
    van: Type.Optional({ ...Id, description: "Which one; whatever lies in any of them when absent." }),
    most_kg: Type.Optional(
      Type.Number({
        exclusiveMinimum: 0,
        maximum: 10_000,
        description: "As much as can be carried; on foot what one person carries when absent.",
      }),
    ),
    weigh: Type.Optional(
      Type.Object(
        {
          kg_min: Type.Optional(Minutes),
          fetch_min: Type.Optional(Minutes),
          wait_day_min: Type.Optional(Minutes),
          condemned: Type.Optional(
            Type.Number({
              minimum: 0,
              maximum: 1,
              description: "Chance that a look inside condemns more than the job is for.",
            }),
          ),
        },
        {
          ...closed,
          description:
            "A kilogram carried, a way by the shop, a day waited for what is ordered, all in minutes of work.",
        },
      ),
    ),
  },
  closed,
);
export type HowOneGoes = Static<typeof HowOneGoesSchema>;

/** What the packing is asked: the trouble as the judgement is asked it, with the sheet; where things lie; how one goes. */
export const BRING_QUESTION = Type.Object(
  {
    ...TROUBLE_QUESTION.properties,
    sheet: nameless(SheetSchema),
    generation: Type.Optional({
      ...Words,
      description: "Of the valve: kits for others are not offered.",
    }),
    store: Type.Optional({
      ...nameless(StoreSchema),
      description: "Where kits and parts lie; what is put aside in it is not free.",
    }),
    goes: Type.Optional(HowOneGoesSchema),
  },
  closed,
);
