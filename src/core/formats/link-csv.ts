import { err, ok, type Problem, type Result } from "../result";
import { type LineLink, LinkSchema } from "./line";
import { LINK_COLUMNS, type LinkRow } from "./link-rows";
import { readAs } from "./read";

const NUMBERS: ReadonlySet<string> = new Set(["dn_mm", "length_m", "access_min", "turns"]);
const ANSWERS: Readonly<Record<string, boolean>> = { yes: true, no: false, true: true, false: false };
const YES_NO: ReadonlySet<string> = new Set(["operable", "lockable", "passes", "confined"]);

/**
 * Reads rows back into links; every problem names its row, counted as a spreadsheet counts them (the header is row 1).
 * Drawn corners are not in the rows: a link that is known keeps its own.
 */
export function linksFromRows(
  rows: readonly LinkRow[],
  known: readonly LineLink[],
): Result<LineLink[], Problem[]> {
  const problems: Problem[] = [];
  const corners = new Map(
    known.flatMap((link) => (link.via === undefined ? [] : [[link.id, link.via] as const])),
  );
  const links = rows.flatMap((row, index) => {
    const at = `/row ${index + 2}`;
    const fields = Object.entries(row).flatMap(([column, typed]): [string, unknown][] => {
      const text = (typed ?? "").trim();
      if (text === "") return [];
      if (NUMBERS.has(column)) return [[column, Number(text.replace(",", "."))]];
      if (YES_NO.has(column)) return [[column, ANSWERS[text.toLowerCase()] ?? text]];
      return [[column, text]];
    });
    const unread = fields.find(([, value]) => typeof value === "number" && !Number.isFinite(value));
    if (unread !== undefined) {
      problems.push({
        path: `${at}/${unread[0]}`,
        message: `"${row[unread[0]]}" is not a number. Type digits only.`,
      });
      return [];
    }
    const read = readAs(LinkSchema, Object.fromEntries(fields), at);
    if (!read.ok) {
      problems.push(...read.error);
      return [];
    }
    const via = corners.get(read.value.id);
    return [via === undefined ? read.value : { ...read.value, via }];
  });
  if (rows.length === 0)
    problems.push({
      path: "",
      message: `No rows. Give the columns ${LINK_COLUMNS.slice(0, 5).join(", ")} and one row a link.`,
    });
  return problems.length > 0 ? err(problems) : ok(links);
}
