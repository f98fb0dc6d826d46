import { type AskedWay, type ChosenWay, type Topic, WAYS } from "../formats";
import { err, ok, type Result } from "../result";
import type { NotBecause, Offer } from "./school";

/** Why a way cannot be taken. */
export type ChoiceRefusal = { readonly topic: Topic; readonly at: number } & (
  | { readonly kind: "does-not-arise" }
  | { readonly kind: "no-such-way"; readonly ways: readonly string[] }
  | { readonly kind: "twice" }
  | { readonly kind: "barred"; readonly part?: string; readonly because: NotBecause }
  | { readonly kind: "say-why" }
);

/** What the job keeps: every topic that arises, with the way asked for or else the usual one. */
export function chooseWays(
  offers: readonly Offer[],
  asked: readonly AskedWay[] = [],
): Result<ChosenWay[], ChoiceRefusal> {
  for (const [at, { topic, way, why = "" }] of asked.entries()) {
    const offer = offers.find((each) => each.topic === topic);
    if (offer === undefined) return err({ topic, at, kind: "does-not-arise" });
    if (asked.findIndex((each) => each.topic === topic) !== at) return err({ topic, at, kind: "twice" });
    const here = offer.ways.find((each) => each.way === way);
    if (here === undefined) return err({ topic, at, kind: "no-such-way", ways: WAYS[topic] });
    if (here.barred !== undefined) return err({ topic, at, kind: "barred", ...here.barred });
    if (way !== offer.usual && why.trim() === "") return err({ topic, at, kind: "say-why" });
  }
  return ok(
    offers.map(({ topic, usual, mixed }) => {
      const { way = usual, why } = asked.find((each) => each.topic === topic) ?? {};
      return {
        topic,
        way,
        usual,
        ...(mixed === true && { mixed }),
        ...(way !== usual && why !== undefined && { why: why.trim() }),
      };
    }),
  );
}
