import type { EndCondition } from "../../formats";
import { type StepRule, ticked } from "../step-rule";

/** What was left loose is tightened, now that what it waited for is in. */
export interface TightenOneFacts {
  readonly kind: "tighten-one";
  readonly name: string;
  readonly waitedFor: string;
  readonly end: EndCondition;
  readonly torque_Nm?: number;
  readonly limit_Nm?: number;
}

export const tightenOne: StepRule<TightenOneFacts> = {
  ...ticked,
  acts: ({ part = "", torque_Nm, tools }) => [
    {
      do: "tighten",
      part,
      tools: tools.map(({ id }) => id),
      ...(torque_Nm !== undefined && { most_Nm: torque_Nm }),
    },
  ],
};
