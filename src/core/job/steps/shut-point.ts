import type { ActReason } from "../../isolation";
import { type StepRule, ticked } from "../step-rule";

/** A bleed or a drain that was opened is shut again. */
export interface ShutPointFacts {
  readonly kind: "shut-point";
  readonly point: "bleed" | "drain" | "vent";
  readonly node: string;
  readonly name: string;
  readonly why: ActReason;
  /** It holds a refrigerant back: its cap is the second barrier. */
  readonly capped?: boolean;
}

export const shutPoint: StepRule<ShutPointFacts> = {
  ...ticked,
  acts: ({ node }) => [{ do: "shut-point", node }],
};
