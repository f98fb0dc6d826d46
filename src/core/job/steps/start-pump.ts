import type { ActReason } from "../../isolation";
import { type StepRule, ticked } from "../step-rule";

/** A pump runs again. */
export interface StartPumpFacts {
  readonly kind: "start-pump";
  readonly link: string;
  readonly name: string;
  readonly why: ActReason;
}

export const startPump: StepRule<StartPumpFacts> = {
  ...ticked,
  acts: ({ link }) => [
    { do: "unlock", at: link },
    { do: "start-pump", link },
  ],
};
