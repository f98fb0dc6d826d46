import type { Medium } from "../../formats";
import { type StepRule, written } from "../step-rule";
import type { ProvePlace } from "./gauge";

/** Air is drawn out of a section that was open, before its refrigerant comes back. */
export interface EvacuateFacts {
  readonly kind: "evacuate";
  readonly medium: Medium;
  readonly where: ProvePlace;
  readonly node?: string;
}

export const evacuate: StepRule<EvacuateFacts> = {
  ...written,
  acts: ({ node }) => (node === undefined ? [] : [{ do: "evacuate", node }]),
};
