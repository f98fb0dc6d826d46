/** How a log, or the readings of a valve, stood when it was anchored. */
export interface AnchoredHead {
  readonly subject: "job" | "readings";
  readonly id: string;
  readonly entries: number;
  readonly head: string;
}

/** What find can lead to. */
export const FINDABLE_KINDS = [
  "job",
  "valve",
  "place",
  "line",
  "link",
  "sheet",
  "part",
  "kit",
  "person",
  "instrument",
] as const;
export type FindableKind = (typeof FINDABLE_KINDS)[number];
