import type { LineLink } from "./line";

/** Columns of the links of a line as CSV; a column that a kind of link does not have is empty. */
export const LINK_COLUMNS = [
  "kind",
  "id",
  "name",
  "from",
  "to",
  "medium",
  "stream",
  "dn_mm",
  "length_m",
  "type",
  "normally",
  "operable",
  "lockable",
  "passes",
  "access_min",
  "confined",
  "where",
  "turns",
  "opens",
  "bypass",
  "door",
  "hardToReach",
  "asset",
  "motor",
] as const;

export type LinkRow = Readonly<Record<string, string>>;

/** Links as rows of words: yes and no, figures in the unit that the column names. */
export function linkRows(links: readonly LineLink[]): LinkRow[] {
  return links.map((link) => {
    const fields = link as unknown as Readonly<Record<string, unknown>>;
    return Object.fromEntries(
      LINK_COLUMNS.map((column) => {
        const value = fields[column];
        return [
          column,
          value === undefined ? "" : typeof value === "boolean" ? (value ? "yes" : "no") : String(value),
        ];
      }),
    );
  });
}
