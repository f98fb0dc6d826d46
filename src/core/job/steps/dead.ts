import { type StepRule, written } from "../step-rule";

/** A place is proven electrically dead with a tester. */
export interface DeadFacts {
  readonly kind: "dead";
  readonly node: string;
  readonly name: string;
}

export const dead: StepRule<DeadFacts> = { ...written, acts: ({ node }) => [{ do: "prove-dead", node }] };
