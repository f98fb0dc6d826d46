/** One whole number to be found. */
export interface Variable {
  readonly cost: number;
  /** No answer needs more than this. */
  readonly most: number;
  /** Whether more could be wanted: otherwise `most` only tells what follows from the rows. */
  readonly limited: boolean;
}

/** A sum over variables, by their places in the list, and what it is held to. */
export interface Row {
  readonly terms: readonly (readonly [variable: number, coefficient: number])[];
  readonly bound: "at-least" | "at-most";
  readonly value: number;
}

/** The cheapest whole numbers, none below zero, that keep every row. */
export interface IntegerProgram {
  readonly variables: readonly Variable[];
  readonly rows: readonly Row[];
}

export interface IntegerAnswer {
  readonly values: readonly number[];
  /** Proven to be the cheapest; otherwise the cheapest that was found. */
  readonly proven: boolean;
}

/** Answers, or gives nothing where there is no answer or none was found in time. */
export type IntegerSolver = (program: IntegerProgram) => IntegerAnswer | undefined;
