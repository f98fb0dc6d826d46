import { type StepRule, written } from "../step-rule";

/** Whoever was told that it goes out of service hears that it is back. */
export interface TellFacts {
  readonly kind: "tell";
  readonly nodes: readonly string[];
  readonly names: readonly string[];
}

export const tell: StepRule<TellFacts> = { ...written, acts: ({ nodes }) => [{ do: "tell-back", nodes }] };
