import { type StepRule, written } from "../step-rule";

/** Whoever relies on what goes out of service hears it before, not after. By name. */
export interface Told {
  /** The consumer it is about. */
  readonly name: string;
  readonly who: string;
  readonly phone?: string;
  /** Days before the work. */
  readonly days?: number;
}

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
  /** Who is told of each, where the line says so. */
  readonly told?: readonly Told[];
}

export const notify: StepRule<NotifyFacts> = { ...written, acts: ({ nodes }) => [{ do: "tell", nodes }] };
