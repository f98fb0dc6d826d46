import { written } from "../step-rule";

/** Whoever relies on what goes out of service hears it before, not after. By name. */
export interface NotifyFacts {
  readonly kind: "notify";
  readonly hydrants: readonly string[];
  /** Zones of fire protection. */
  readonly zones: readonly string[];
  readonly others: readonly string[];
  /** The valve itself, where no line says what hangs on it. */
  readonly itself: readonly string[];
}

export const notify = written;
