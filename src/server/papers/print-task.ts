import type { JobEvent, JobInputs, Line } from "@/core/formats";
import type { IsolationPlan } from "@/core/isolation";
import type { LabelSheet } from "@/core/papers";
import type { Notation } from "@/core/quantity";
import type { Paper } from "@/words";

/** A paper to be set. */
export type PaperTask = Extract<PrintTask, { kind: "paper" }>;

export type PaperSize = "A4" | "LETTER";

/** One label: what stands on it, and the address that its code opens. */
export interface PrintedLabel {
  readonly plate: string;
  readonly name: string;
  /** Below the name, smaller: where it stands. */
  readonly place: string;
  readonly opens: string;
}

/** A line, what is planned to be shut on it, and the place that is opened. */
export interface PrintedSection {
  readonly line: Line;
  readonly plan: IsolationPlan;
  readonly target?: string;
}

/** What is printed in a worker: everything it needs is in it. */
export type PrintTask =
  | {
      readonly kind: "paper";
      readonly paper: Paper;
      readonly size: PaperSize;
      /** IANA name of the zone that its moments are told in. */
      readonly zone: string;
      /** JPEG bytes by the name of a photograph; one that is missing is said to be. */
      readonly photos: Readonly<Record<string, Uint8Array>>;
      readonly notation: Notation;
      /** The job that its drawings are of; or lines and what is planned to be shut on them. */
      readonly job?: { readonly inputs: JobInputs; readonly events: readonly JobEvent[] };
      readonly sections?: readonly PrintedSection[];
    }
  | {
      readonly kind: "labels";
      readonly sheet: LabelSheet;
      /** Places on the first sheet that are used up already. */
      readonly skip: number;
      readonly labels: readonly PrintedLabel[];
    };
