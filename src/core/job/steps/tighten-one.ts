import type { EndCondition } from "../../formats";
import { ticked } from "../step-rule";

/** What was left loose is tightened, now that what it waited for is in. */
export interface TightenOneFacts {
  readonly kind: "tighten-one";
  readonly name: string;
  readonly waitedFor: string;
  readonly end: EndCondition;
  readonly torque_Nm?: number;
  readonly limit_Nm?: number;
}

export const tightenOne = ticked;
