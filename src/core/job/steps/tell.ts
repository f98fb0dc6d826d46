import { written } from "../step-rule";

/** Whoever was told that it goes out of service hears that it is back. */
export interface TellFacts {
  readonly kind: "tell";
  readonly names: readonly string[];
}

export const tell = written;
