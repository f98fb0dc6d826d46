import type { JobInputs, Where } from "../formats";
import { PLANS_BESIDE_OTHERS } from "./as-it-stands";

export type Away = Exclude<Where, "line">;

/** Out of its line: nothing is shut for it, nothing read at it, and nobody goes without. Nothing where it is in its line. */
export const awayFrom = ({ where = "line", rules = 1 }: JobInputs): Away | undefined =>
  rules < PLANS_BESIDE_OTHERS || where === "line" ? undefined : where;
