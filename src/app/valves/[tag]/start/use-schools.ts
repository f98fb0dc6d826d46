"use client";

import { useDeferredValue, useMemo, useState } from "react";
import type { AnyWay, AskedWay, ChosenWay, JobInputs, Topic } from "@/core/formats";
import { costOfWays, schoolsHere, type WayCost } from "@/core/job";
import type { Offer } from "@/core/schools";

/** Stands for the reason while it is being written: the plan shows at once. */
const NO_REASON_YET = "…";

/** The ways that a job on these inputs may be worked by, and those that are chosen. @param inputs without any */
export function useSchools(inputs: JobInputs | undefined) {
  const [asked, setAsked] = useState<readonly AskedWay[]>([]);
  const offers = useMemo(() => (inputs === undefined ? [] : schoolsHere(inputs)), [inputs]);
  // What no longer arises, or must not be here, is let go.
  const valid = useMemo(() => asked.filter((each) => stands(offers, each)), [asked, offers]);
  const chosen = useMemo(() => chosenOf(offers, valid), [offers, valid]);
  const later = useDeferredValue(useMemo(() => ({ inputs, offers, chosen }), [inputs, offers, chosen]));
  const costs = useMemo(() => costsOf(later), [later]);
  return {
    offers,
    chosen,
    asked: valid,
    /** What each way costs, all others as they are chosen; nothing while it is worked out. */
    costs: later.offers === offers ? costs : undefined,
    currency: inputs?.store?.currency ?? "",
    choose: (topic: Topic, way: AnyWay, usual: AnyWay) =>
      setAsked([
        ...asked.filter((each) => each.topic !== topic),
        ...(way === usual
          ? []
          : [{ topic, way, why: asked.find((each) => each.topic === topic)?.why ?? "" }]),
      ]),
    because: (topic: Topic, why: string) =>
      setAsked(asked.map((each) => (each.topic === topic ? { ...each, why } : each))),
  };
}

export type Schools = ReturnType<typeof useSchools>;

const stands = (offers: readonly Offer[], { topic, way }: AskedWay): boolean =>
  offers.some(
    (offer) =>
      offer.topic === topic && offer.ways.some((each) => each.way === way && each.barred === undefined),
  );

const chosenOf = (offers: readonly Offer[], asked: readonly AskedWay[]): ChosenWay[] =>
  offers.map(({ topic, usual, mixed }) => {
    const is = { topic, usual, ...(mixed === true && { mixed }) };
    const other = asked.find((each) => each.topic === topic);
    return other === undefined
      ? { ...is, way: usual }
      : { ...is, way: other.way, why: other.why || NO_REASON_YET };
  });

/** Minutes, money and pull of each way of each topic that may be taken. */
function costsOf({
  inputs,
  offers,
  chosen,
}: {
  readonly inputs: JobInputs | undefined;
  readonly offers: readonly Offer[];
  readonly chosen: readonly ChosenWay[];
}): ReadonlyMap<Topic, ReadonlyMap<AnyWay, WayCost>> {
  if (inputs === undefined) return new Map();
  return new Map(
    offers.map(({ topic, usual, ways }) => [
      topic,
      new Map(
        ways.flatMap(({ way, barred }) => {
          if (barred !== undefined) return [];
          const cost = costOfWays(
            inputs,
            chosen.map((each) => (each.topic === topic ? { topic, way, usual, why: NO_REASON_YET } : each)),
          );
          return cost === undefined ? [] : [[way, cost] as const];
        }),
      ),
    ]),
  );
}
