import { type StepRule, written } from "../step-rule";

/** Whoever relies on what goes out of service hears it before, not after. By name. */
export interface NotifyFacts {
  readonly kind: "notify";
  /** Of all who go without. */
  readonly nodes: readonly string[];
  readonly hydrants: readonly string[];
  /** Zones of fire protection. */
  readonly zones: readonly string[];
  readonly others: readonly string[];
  /** Who keeps cold water and loses the hot. */
  readonly coldAlone?: readonly string[];
  /** The valve itself, where no line says what hangs on it. */
  readonly itself: readonly string[];
}

export const notify: StepRule<NotifyFacts> = { ...written, acts: ({ nodes }) => [{ do: "tell", nodes }] };
