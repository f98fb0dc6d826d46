import { type Static, Type } from "@sinclair/typebox";
import { closed, source, titled, Words } from "./shared";

export const mm = (description: string) =>
  Type.Number({ exclusiveMinimum: 0, maximum: 5000, description: `${description}.` });

/** What tells a part from its look-alike: a mark to see, or a size to measure. */
export const Feature = Type.Object(
  {
    name: Words,
    value: Words,
    nominal_mm: Type.Optional(mm("Where it is measured")),
    tolerance_mm: Type.Optional(mm("How far a sound one may differ")),
  },
  closed,
);
export type Feature = Static<typeof Feature>;

export const LookAlike = Type.Object(
  {
    name: Words,
    why: Type.String({ minLength: 1, maxLength: 400, description: "What happens when it is fitted." }),
    features: Type.Array(Feature, { minItems: 1 }),
  },
  closed,
);
export type LookAlike = Static<typeof LookAlike>;

/** What goes in instead of a part that nobody sells any more. */
export const StandIn = Type.Object(
  {
    name: Words,
    why: Words,
    sizes: Type.Array(Type.Object({ name: Words, nominal_mm: mm("Its size") }, closed), {
      description: "Kept sizes, to order it or to make it by.",
    }),
    besides: Type.Optional(
      Type.Array(Words, { title: "Goes with it", description: "Nuts, washers, a tap." }),
    ),
    hottest_C: Type.Optional(
      Type.Number({ title: "Bears up to", description: "°C. A medium that is hotter softens it." }),
    ),
    make: Type.Optional(titled("How it is made", Words)),
    source,
  },
  closed,
);
export type StandIn = Static<typeof StandIn>;
