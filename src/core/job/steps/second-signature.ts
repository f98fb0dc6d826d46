import { type StepRule, ticked } from "../step-rule";

/** A second person looks at it and signs, before the job does. */
export interface SecondSignatureFacts {
  readonly kind: "second-signature";
  readonly why: string;
}

export const secondSignature: StepRule<SecondSignatureFacts> = { ...ticked };
