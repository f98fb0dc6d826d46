import type { Kept } from "../calculators";
import type { Certificates } from "../formats";

/** What entries leave in the standing of a job. */
export interface Done {
  readonly event: string;
  readonly at: number;
  readonly by: string;
  readonly entry?: string;
}

export interface SignedOn extends Done {
  readonly may: Certificates;
  /** Under whose eyes: one watches over gas, another over electricity. */
  readonly under: readonly string[];
}

export interface GivenAnswer {
  readonly event: string;
  readonly at: number;
  readonly by: string;
  readonly answer:
    | { readonly kind: "said"; readonly answer: string; readonly reason?: string }
    | { readonly kind: "measured"; readonly si: number; readonly typed: string }
    | { readonly kind: "pieces"; readonly given: Readonly<Record<number, string>> };
}

/** A bell that is silent until then (ms), and why. */
export interface PutOff {
  readonly until: number;
  readonly reason: string;
  readonly by: string;
}

/** A result of the bench book that was kept in the job. */
export interface KeptResult extends Kept {
  readonly step?: string;
  readonly at: number;
  readonly by: string;
  readonly si: number;
  readonly typed: string;
}
