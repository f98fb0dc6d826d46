import type { StayAt } from "../../formats";
import { stepAbout } from "../step-id";
import { entryOf, type StepRule, unlessDone } from "../step-rule";

/** The joint is opened by a crack while some of its bolts still hold it, in case pressure is left. */
export interface CrackFacts {
  readonly kind: "crack";
  readonly bolts: string;
  readonly of: number;
  readonly stay: number;
  /** Where those sit that stay in; opposite each other when left out. */
  readonly stayAt?: StayAt;
  /** What they hold, by name. */
  readonly joint?: string;
}

/** What may come out of a joint that is dead; anything else is not. */
export const CAME_OUT = ["dry", "dripped out"] as const;

export const crack: StepRule<CrackFacts> = {
  takes: {
    "step-done": (_, event) =>
      CAME_OUT.some((each) => each === entryOf(event))
        ? undefined
        : { path: "/entry", kind: "say-what-came-out" },
    "still-pressure": () => undefined,
  },
  acts: ({ part = "" }) => [{ do: "crack", part }],
  stands: unlessDone(({ part = "" }) => stepAbout("strip", part)),
};

/** Where the bolts sit that stay in; with three bolts none are opposite each other, and they stay as far apart as they can. */
export const staysAt = ({ of, stay, stayAt }: Pick<CrackFacts, "of" | "stay" | "stayAt">): StayAt | "apart" =>
  stayAt ?? (of % stay === 0 ? "opposite" : "apart");
