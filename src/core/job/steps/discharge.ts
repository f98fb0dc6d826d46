import { type StepRule, waited } from "../step-rule";

/** What is switched off holds a charge, or turns on, for a while: it is waited out before anybody touches it. */
export interface DischargeFacts {
  readonly kind: "discharge";
  /** In the line's words, each with its minutes. */
  readonly of: readonly { readonly says: string; readonly wait_min: number }[];
}

export const discharge: StepRule<DischargeFacts> = {
  ...waited,
  acts: ({ minutes }) => [{ do: "wait", minutes, for: "a-charge" }],
};
