import type { TakenWith } from "../formats";

/** A reading of a gauge that stands in the log, SI. */
export interface TakenReading {
  readonly event: string;
  readonly step: string;
  readonly what: string;
  readonly dimension: string;
  readonly si: number;
  readonly typed: string;
  readonly kelvin?: number;
  /** The instrument that handed it over. */
  readonly with?: TakenWith;
  readonly at: number;
  readonly by: string;
}
