import type { Kept } from "../calculators";
import type { Certificates, JobEvent, TakenWith } from "../formats";

/** What entries leave in the standing of a job. */
export interface Done {
  readonly event: string;
  readonly at: number;
  readonly by: string;
  readonly entry?: string;
}

/** What was entered at each step that is done. */
export interface Noted {
  readonly done: ReadonlyMap<string, Pick<Done, "entry">>;
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

/** What an instrument showed over a time. */
export interface Trace {
  readonly dimension: Extract<JobEvent, { kind: "trace-kept" }>["dimension"];
  /** When its first point was read, ms. */
  readonly from: number;
  /** s between two readings of the instrument. */
  readonly every_s: number;
  /** s since the first; SI; K of the section, where it was read. */
  readonly points: readonly (readonly number[])[];
}

/** A trace that stands in the log. */
export interface KeptTrace extends Trace {
  readonly event: string;
  readonly step: string;
  readonly with: TakenWith;
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
