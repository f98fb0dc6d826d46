import { ticked } from "../step-rule";

/** The shut-in section runs out at its lowest drain. */
export interface DrainFacts {
  readonly kind: "drain";
  readonly node: string;
  readonly name: string;
  /** Litres that run out, and that lie lower and stay. */
  readonly runs_L: number;
  readonly stays_L: number;
  /** Minutes through the bore of the drain. */
  readonly takes_min: number;
  /** Where air gets in, by name. */
  readonly vent?: string;
}

export const drain = ticked;
