import type { Dimension } from "../quantity";
import type { Result } from "../result";

interface Field {
  readonly name: string;
  readonly label: string;
  readonly help: string;
}

/** A measured input: SI bounds; outside them there is no answer, only the reason. */
export interface MeasuredInput extends Field {
  readonly kind: "measured";
  readonly dimension: Dimension;
  /** Unit ids by system. */
  readonly units: { readonly metric: string; readonly us: string };
  readonly least: number;
  readonly most: number;
  /** SI value taken when nothing is given; a field without one must be filled. */
  readonly usual?: number;
}

export interface ChoiceInput extends Field {
  readonly kind: "choice";
  readonly options: readonly { readonly id: string; readonly label: string }[];
  readonly usual?: string;
}

export type CalculatorInput = MeasuredInput | ChoiceInput;

export interface CalculatorOutput {
  readonly name: string;
  readonly label: string;
  readonly dimension: Dimension;
  readonly units: { readonly metric: string; readonly us: string };
}

export type Verdict = "pass" | "watch" | "fail" | "stop";

/** What a calculation says: SI values by output name, and a verdict where a decision hangs on it. */
export interface Outcome {
  readonly outputs: Readonly<Record<string, number>>;
  readonly verdict?: Verdict;
  readonly reasons: readonly string[];
  readonly cautions: readonly string[];
}

/** Inputs as `compute` sees them: complete, in range, SI. */
export interface Given {
  si(name: string): number;
  choice(name: string): string;
}

export interface Refused {
  readonly input: string;
  readonly message: string;
}

export interface WorkedExample {
  readonly source: string;
  readonly inputs: Readonly<Record<string, { readonly value: number | string; readonly unit?: string }>>;
  readonly outputs: Readonly<
    Record<string, { readonly value: number; readonly unit: string; readonly within: number }>
  >;
  readonly verdict?: Verdict;
}

/** One calculation: its form, its route, its help and its printed sheet are all made from this. */
export interface Calculator {
  readonly id: string;
  readonly title: string;
  readonly says: string;
  /** Words a technician would look for. */
  readonly words: readonly string[];
  readonly inputs: readonly CalculatorInput[];
  readonly outputs: readonly CalculatorOutput[];
  readonly compute: (given: Given) => Result<Outcome, Refused>;
  readonly sources: readonly string[];
  readonly examples: readonly WorkedExample[];
}
