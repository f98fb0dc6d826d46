/** Several dates or figures in one cell of a table, each by what it is of: `five=2022-04-26 look=2026-03-27`. */
export const datesToCell = (dates: Readonly<Record<string, string | number>>): string =>
  Object.entries(dates)
    .map(([of, at]) => `${of}=${at}`)
    .join(" ");

/** Reads such a cell; nothing when it is not written so. */
export function datesFromCell(cell: string): Record<string, string> | undefined {
  const pairs = cell.split(/[\s;,]+/).map((pair) => pair.split("="));
  return pairs.every(({ length }) => length === 2) ? Object.fromEntries(pairs) : undefined;
}
