import { type Static, Type } from "@sinclair/typebox";
import { closed, oneOf, Words } from "./shared";

/** What practitioners do differently, and the ways there are. */
export const WAYS = {
  gasket: ["full-face", "ring"],
  freeing: ["oil", "shock"],
  cleaning: ["acid", "water", "dry"],
  lubricant: ["silicone", "food-grade", "none"],
  threads: ["anti-seize", "dry"],
} as const;
export type Topic = keyof typeof WAYS;
export type WayOf<T extends Topic> = (typeof WAYS)[T][number];
export type AnyWay = WayOf<Topic>;

export const TOPICS = Object.keys(WAYS) as readonly Topic[];

const TopicSchema = Type.Unsafe<Topic>(oneOf(...TOPICS));
const WaySchema = Type.Unsafe<AnyWay>(oneOf(...new Set(Object.values(WAYS).flat())));

/** What a crew asks for: another way than the usual one, and why. */
export const AskedWaySchema = Type.Object(
  { topic: TopicSchema, way: WaySchema, why: Type.Optional(Type.String({ maxLength: 400 })) },
  closed,
);
export type AskedWay = Static<typeof AskedWaySchema>;

/** The way a job is worked by, beside the usual one; where they differ, why. */
export const ChosenWaySchema = Type.Object(
  {
    topic: TopicSchema,
    way: WaySchema,
    usual: WaySchema,
    mixed: Type.Optional(
      Type.Literal(true, {
        description: "Its sheet works some parts so and some otherwise: most of them so.",
      }),
    ),
    why: Type.Optional(Words),
  },
  closed,
);
export type ChosenWay = Static<typeof ChosenWaySchema>;
