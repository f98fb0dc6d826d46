import type { StepRule } from "../step-rule";

/** What another job holds, and the tag that job is on. */
export interface HeldOff {
  readonly link: string;
  readonly name: string;
  readonly job: string;
  readonly valve: string;
}

/** Somebody who stays without by another job, and the tag that job is on. */
export interface NotYet {
  readonly node: string;
  readonly name: string;
  readonly valve: string;
}

/** A wait for other jobs: it is over when what they hold is open again, and by nothing that is said here. */
export interface OthersFacts {
  readonly kind: "others";
  readonly when: "shared" | "first" | "later";
  readonly held: readonly HeldOff[];
}

export const others: StepRule<OthersFacts> = {
  takes: {},
  stands: () => ({ kind: "waits-for-others" }),
  acts: ({ held }) => [{ do: "others-open", at: held.map((each) => each.link) }],
};
