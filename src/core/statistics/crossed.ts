/** Something observed of a row and, where that is known, a column: a family and a crew. */
export interface Crossed {
  readonly row: string;
  readonly column: string | undefined;
  readonly value: number;
}

/** Standard deviations that are believed before anything is seen. */
export interface Spread {
  /** Of all together. */
  readonly all: number;
  /** Of rows. */
  readonly rows: number;
  /** Of columns. */
  readonly columns: number;
  /** From one observation to the next of the same row and column. */
  readonly each: number;
  /** How many observations the belief in `each` is worth. */
  readonly worth: number;
}

/** What the next observation will be: its middle and its standard deviation. */
export interface Foreseen {
  readonly middle: number;
  readonly deviation: number;
}

/** What was learnt: 0 where nothing was. */
export interface CrossedEffects {
  /** What belongs to the row, with what belongs to all. */
  readonly row: (row: string) => number;
  readonly column: (column: string) => number;
  readonly next: (row: string, column: string | undefined) => Foreseen;
}

/**
 * A value as the sum of what belongs to all, to its row, to its column, and chance, each normal about zero: the best
 * linear unbiased prediction. What was seen seldom stays near what is believed; how far one observation lies from the
 * next is learnt from those of the same row and column.
 *
 * @see C. R. Henderson, "Best Linear Unbiased Estimation and Prediction under a Selection Model", Biometrics 31 (1975) 423
 */
export function crossedEffects(seen: readonly Crossed[], spread: Spread): CrossedEffects {
  const rows = new Map([...new Set(seen.map(({ row }) => row))].map((row, at) => [row, at + 1]));
  const columns = new Map(
    [...new Set(seen.flatMap(({ column }) => column ?? []))].map((column, at) => [
      column,
      rows.size + at + 1,
    ]),
  );
  const size = 1 + rows.size + columns.size;
  const variance = varianceOfEach(seen, spread);
  const table = Array.from({ length: size }, (_, at) => {
    const deviation = at === 0 ? spread.all : at <= rows.size ? spread.rows : spread.columns;
    return Array.from({ length: size }, (_, other) => (other === at ? 1 / deviation ** 2 : 0));
  });
  const right = Array.from({ length: size }, () => 0);
  const touched = (row: string, column: string | undefined) =>
    [0, rows.get(row), column === undefined ? undefined : columns.get(column)].filter(
      (at): at is number => at !== undefined,
    );
  for (const { row, column, value } of seen) {
    const own = touched(row, column);
    for (const at of own) {
      right[at]! += value / variance;
      for (const other of own) table[at]![other]! += 1 / variance;
    }
  }
  const root = choleskyOf(table);
  const effects = solved(root, right);
  return {
    row: (row) => effects[0]! + (effects[rows.get(row) ?? -1] ?? 0),
    column: (column) => effects[columns.get(column) ?? -1] ?? 0,
    next: (row, column) => {
      const own = touched(row, column);
      const asked = Array.from({ length: size }, (_, at) => (own.includes(at) ? 1 : 0));
      const known = solved(root, asked).reduce((sum, each, at) => sum + each * asked[at]!, 0);
      const unseen =
        (rows.has(row) ? 0 : spread.rows ** 2) + (columns.has(column ?? "") ? 0 : spread.columns ** 2);
      return {
        middle: own.reduce((sum, at) => sum + effects[at]!, 0),
        deviation: Math.sqrt(known + unseen + variance),
      };
    },
  };
}

/** Within rows and columns, the belief counting as so many more. */
function varianceOfEach(seen: readonly Crossed[], { each, worth }: Spread): number {
  const cells = new Map<string, number[]>();
  for (const { row, column, value } of seen) {
    const cell = JSON.stringify([row, column ?? null]);
    cells.set(cell, [...(cells.get(cell) ?? []), value]);
  }
  let [squares, free] = [worth * each ** 2, worth];
  for (const cell of cells.values()) {
    const mean = cell.reduce((sum, value) => sum + value, 0) / cell.length;
    squares += cell.reduce((sum, value) => sum + (value - mean) ** 2, 0);
    free += cell.length - 1;
  }
  return squares / free;
}

/** The lower triangle whose square is a positive definite table. */
function choleskyOf(table: readonly (readonly number[])[]): number[][] {
  const root = table.map((row) => row.map(() => 0));
  for (const [at, row] of table.entries())
    for (let to = 0; to <= at; to++) {
      let rest = row[to]!;
      for (let k = 0; k < to; k++) rest -= root[at]![k]! * root[to]![k]!;
      root[at]![to] = at === to ? Math.sqrt(rest) : rest / root[to]![to]!;
    }
  return root;
}

/** x of root · rootᵀ · x = right. */
function solved(root: readonly (readonly number[])[], right: readonly number[]): number[] {
  const x = [...right];
  for (const [at, row] of root.entries()) {
    for (let k = 0; k < at; k++) x[at]! -= row[k]! * x[k]!;
    x[at]! /= row[at]!;
  }
  for (let at = root.length - 1; at >= 0; at--) {
    for (let k = at + 1; k < root.length; k++) x[at]! -= root[k]![at]! * x[k]!;
    x[at]! /= root[at]![at]!;
  }
  return x;
}
