import { type StepRule, waited } from "../step-rule";
import type { ProvePlace } from "./gauge";

/** The section stands shut in: what passes shows in time. */
export interface HoldFacts {
  readonly kind: "hold";
  readonly where: ProvePlace;
  /** What let the section out, shut while it stands: else nothing could show. By node and name. */
  readonly shutFirst: readonly { readonly node: string; readonly name: string }[];
}

export const hold: StepRule<HoldFacts> = {
  ...waited,
  acts: ({ minutes, shutFirst }) => [
    ...shutFirst.map(({ node }) => ({ do: "shut-point" as const, node })),
    { do: "wait", minutes, for: "the-section" },
  ],
};
