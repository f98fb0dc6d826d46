import { type StepRule, ticked } from "../step-rule";

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
  /** Where air gets in: by name, and the node. */
  readonly vent?: string;
  readonly airAt?: string;
}

export const drain: StepRule<DrainFacts> = {
  ...ticked,
  acts: ({ node, airAt }) => [
    { do: "open-point", node },
    ...(airAt === undefined ? [] : [{ do: "open-point" as const, node: airAt }]),
    { do: "drain", node },
  ],
};
