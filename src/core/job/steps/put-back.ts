import { type StepRule, ticked } from "../step-rule";
import { type Moved, movedBack } from "./standing";

/** What a card moved for its own sake stands again as it stood before it. */
export interface PutBackFacts {
  readonly kind: "put-back";
  readonly moved: readonly Moved[];
}

export const putBack: StepRule<PutBackFacts> = { ...ticked, acts: ({ moved }) => movedBack(moved) };
