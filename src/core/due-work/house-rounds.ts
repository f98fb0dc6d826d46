import type { RoundsPlanAnswer } from "../rounds";

/** A valve that rings and cannot be planned: a job is at it already, or none can be compiled. */
export interface NotPlanned {
  readonly tag: string;
  readonly kind: "at-work" | "no-job";
}

/** A valve's work as a block of a week says it. */
export interface RoundsWork {
  readonly tag: string;
  readonly name: string;
  readonly place: string;
  readonly what: string;
  readonly why: string;
  /** ms. */
  readonly due: number;
  readonly minutes: number;
  readonly needs: readonly string[];
  readonly people: number;
  readonly lost: readonly string[];
  /** Others that are shut by the same valves. */
  readonly together: readonly string[];
  /** Its way is not counted. */
  readonly nowhere?: true;
}

export interface HouseRounds {
  /** When it was planned, ms. */
  readonly at: number;
  /** Days of the weeks that are planned: when each begins, ms. */
  readonly weeks: readonly {
    readonly from: number;
    readonly crews: RoundsPlanAnswer["weeks"][number]["crews"];
  }[];
  readonly crews: readonly {
    readonly id: string;
    readonly people: readonly string[];
    readonly skills: readonly string[];
  }[];
  readonly shifts: RoundsPlanAnswer["shifts"];
  readonly otherwise: RoundsPlanAnswer["otherwise"];
  readonly works: Readonly<Record<string, RoundsWork>>;
  readonly unplaced: readonly { readonly task: string; readonly says: readonly string[] }[];
  /** What rings and is not planned, and why. */
  readonly not: readonly NotPlanned[];
  readonly cost: RoundsPlanAnswer["cost"];
  readonly bound: number;
}
