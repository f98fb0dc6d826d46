import type { ActReason } from "../../isolation";
import { lockedOn, type StepRule } from "../step-rule";

/** A pump that could push into the open section, or that would run against what is shut, is stopped and locked off. */
export interface StopPumpFacts {
  readonly kind: "stop-pump";
  readonly link: string;
  readonly name: string;
  readonly lockable: boolean;
  readonly why: ActReason;
}

export const stopPump: StepRule<StopPumpFacts> = {
  ...lockedOn,
  acts: ({ link }) => [
    { do: "stop-pump", link },
    { do: "lock", at: link },
  ],
};
