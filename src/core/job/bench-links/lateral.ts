import type { Line } from "../../formats";
import { sumsAt } from "./of-the-sheet";
import { figure, open, type Rule } from "./rule";

/** The longest run of pipe from a valve to one of its heads, as the line draws it: mm, m. */
function longestRun(line: Line, from: string): { dn_mm: number; length_m: number } | undefined {
  const heads = new Set(line.nodes.flatMap(({ id, kind }) => (kind === "consumer" ? [id] : [])));
  let longest: { dn_mm: number; length_m: number } | undefined;
  const walk = (at: string, seen: ReadonlySet<string>, dn_mm: number, length_m: number): void => {
    if (heads.has(at) && length_m > (longest?.length_m ?? 0)) longest = { dn_mm, length_m };
    for (const link of line.links) {
      if (link.kind !== "pipe" || (link.from !== at && link.to !== at)) continue;
      const next = link.from === at ? link.to : link.from;
      if (!seen.has(next))
        walk(next, new Set([...seen, next]), Math.max(dn_mm, link.dn_mm), length_m + link.length_m);
    }
  };
  walk(from, new Set([from]), 0, 0);
  return longest;
}

/** What is flushed behind this valve is as long and as wide as the line draws it. */
export const lateral: Rule = ({ inputs: { line, valve, sheet } }, step) => {
  if (line === undefined || !sumsAt(sheet, step).some(({ sum }) => sum === "zone-flush")) return [];
  const run = longestRun(line, valve.node ?? valve.tag);
  return run === undefined
    ? []
    : [open("zone-flush", { bore: `${figure(run.dn_mm)} mm`, length: `${figure(run.length_m)} m` })];
};
