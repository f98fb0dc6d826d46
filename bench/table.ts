import { appendFileSync } from "node:fs";

/** What one bench measured, as a row of the table that a whole run writes. */
export interface Row {
  readonly bench: string;
  readonly what: string;
  readonly measured: string;
  /** What it is to stay under. */
  readonly reach?: string;
  /** Against what stands beside it, measured in the same run. */
  readonly ratio?: string;
}

/** Puts a row into the table of this run; a bench that is run alone has none. */
export function row(measured: Row): void {
  const file = process.env.LOFTBELL_BENCH_ROWS;
  if (file !== undefined) appendFileSync(file, `${JSON.stringify(measured)}\n`);
}
