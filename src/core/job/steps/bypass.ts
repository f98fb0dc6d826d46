import type { ActReason } from "../../isolation";
import { type StepRule, ticked } from "../step-rule";

/** A way round what is shut: opened before it, so that nobody goes without, and shut again after it. */
export interface BypassFacts {
  readonly kind: "bypass";
  readonly link: string;
  readonly name: string;
  readonly how: "open" | "shut";
  /** Who stays in service by it. */
  readonly keeps: readonly string[];
  readonly why: ActReason;
  readonly where?: string;
  readonly turns?: number;
}

export const bypass: StepRule<BypassFacts> = {
  ...ticked,
  acts: ({ link, how }) => [how === "open" ? { do: "open", link, crack: true } : { do: "shut", link }],
};
