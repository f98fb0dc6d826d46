import type { Dimension } from "../quantity";
import type { Result } from "../result";

/** Unit ids by system. */
export interface Shown<D extends Dimension = Dimension> {
  readonly dimension: D;
  readonly units: { readonly metric: string; readonly us: string };
}

/** An input that only counts while a choice stands so. */
export interface When {
  readonly input: string;
  readonly is: readonly string[];
}

interface Field {
  readonly name: string;
  readonly label: string;
  readonly help: string;
  readonly when?: When;
}

/** A measured input: SI bounds; outside them there is no answer, only the reason. */
export interface MeasuredInput extends Field, Shown {
  readonly kind: "measured";
  readonly least: number;
  readonly most: number;
  /** SI value taken when nothing is given; a field without one must be filled, unless it is optional. */
  readonly usual?: number;
  /** May be left empty: then it was not measured. */
  readonly optional?: true;
}

export interface ChoiceInput extends Field {
  readonly kind: "choice";
  readonly options: readonly { readonly id: string; readonly label: string }[];
  readonly usual?: string;
}

/** A day, or a day and time of day where the work is: "2026-03-01" or "2026-03-01T08:30". No clock is asked. */
export interface DateInput extends Field {
  readonly kind: "date";
  readonly withTime?: true;
  readonly optional?: true;
  /** A screen fills in the present day or minute. */
  readonly usual?: "now";
}

/** Whole numbers in an order, typed with spaces or commas between: "1 5 3 7". */
export interface ListInput extends Field {
  readonly kind: "list";
  /** Least and greatest of them. */
  readonly least: number;
  readonly most: number;
  readonly longest: number;
}

export type CalculatorInput = MeasuredInput | ChoiceInput | DateInput | ListInput;

interface OutputField {
  readonly name: string;
  readonly label: string;
  /** Left out where it says nothing. */
  readonly optional?: true;
}

export interface MeasuredOutput extends OutputField, Shown {
  readonly kind?: "measured";
}

/** An answer in words: a thread, a class, a day. */
export interface NamedOutput extends OutputField {
  readonly kind: "named";
}

export type CalculatorOutput = MeasuredOutput | NamedOutput;

/** A list among the answers: candidates, points of a curve, phases. */
export interface TableDeclaration {
  readonly name: string;
  readonly title: string;
  readonly columns: readonly CalculatorOutput[];
}

export type Verdict = "pass" | "watch" | "fail" | "stop";

/** SI values, or words, by name. */
export type Values = Readonly<Record<string, number | string | undefined>>;

/** What a calculation says: SI values by output name, and a verdict where a decision hangs on it. */
export interface Outcome {
  readonly outputs: Values;
  readonly tables?: Readonly<Record<string, readonly Values[]>>;
  readonly verdict?: Verdict;
  readonly reasons: readonly string[];
  readonly cautions: readonly string[];
  /** A wait that can ring. */
  readonly bell?: BellToSet;
}

/** When it rings, seconds since 1970 on the wall clock or seconds from now, and what to look at then. */
export type BellToSet = { readonly look: string } & (
  | { readonly kind: "at"; readonly wall: number }
  | { readonly kind: "in"; readonly seconds: number }
);

/** Inputs as a calculation sees them: complete, in range, SI; a date is seconds since 1970 on the wall clock. */
export type Given = Readonly<Record<string, number | string | readonly number[] | undefined>>;

/** An SI value in words, in the units of whoever asks: for reasons. */
export interface Say {
  /** An SI value in the reader's unit of a field. */
  (si: number, shown: Shown): string;
  /** A bare figure, with so many decimals or as many as are of use. */
  readonly figure: (value: number, decimals?: number) => string;
}

export interface Refused {
  readonly input: string;
  readonly message: string;
}

/** Inputs as typed ("3/16 in", "8.8"); outputs as "218 ± 1 N·m", or the words themselves. */
export interface WorkedExample {
  readonly source: string;
  readonly inputs: Readonly<Record<string, string>>;
  readonly outputs: Readonly<Record<string, string>>;
  readonly verdict?: Verdict;
}

/** The chapters of the bench book, in the order a job meets them. */
export const CHAPTERS = [
  "Bolts and threads",
  "Seals and fit",
  "Water and fire",
  "Steam and heating",
  "Refrigeration",
  "Water treatment",
  "Irrigation and electrics",
  "Gas",
  "Safety margins",
  "Deciding and timing",
] as const;
export type Chapter = (typeof CHAPTERS)[number];

/** One calculation: its form, its route, its help and its printed sheet are all made from this. */
export interface Calculator {
  readonly id: string;
  readonly chapter: Chapter;
  readonly title: string;
  readonly says: string;
  /** Words a technician would look for. */
  readonly words: readonly string[];
  readonly inputs: readonly CalculatorInput[];
  readonly outputs: readonly CalculatorOutput[];
  readonly tables?: readonly TableDeclaration[];
  readonly compute: (given: Given, say: Say) => Result<Outcome, Refused>;
  readonly sources: readonly string[];
  readonly examples: readonly WorkedExample[];
}
