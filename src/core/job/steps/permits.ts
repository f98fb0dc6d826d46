import type { PermitKind } from "../../line";
import { type StepRule, written } from "../step-rule";

/** Permits that this work calls for: reminders; the site's rules and the local code decide. */
export interface PermitsFacts {
  readonly kind: "permits";
  readonly permits: readonly PermitKind[];
}

export const permits: StepRule<PermitsFacts> = {
  ...written,
  acts: () => [{ do: "agree", about: "permits" }],
};
