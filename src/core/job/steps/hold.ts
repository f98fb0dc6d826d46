import { waited } from "../step-rule";

/** The section stands shut in: what passes shows in time. */
export interface HoldFacts {
  readonly kind: "hold";
  readonly where: string;
}

export const hold = waited;
