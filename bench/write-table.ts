import { readFileSync } from "node:fs";
import type { Row } from "./table";

/** The rows that the benches of one run left, as one table. */
const rows = readFileSync(process.argv[2]!, "utf8")
  .trim()
  .split("\n")
  .map((line) => JSON.parse(line) as Row);
const cells = rows.map(({ bench, what, measured, reach = "", ratio = "" }) => [
  bench,
  what,
  measured,
  reach,
  ratio,
]);
const head = ["bench", "what", "measured", "reach", "ratio"];
const widths = head.map((title, at) => Math.max(title.length, ...cells.map((each) => each[at]!.length)));
const line = (each: readonly string[]) =>
  `| ${each.map((text, at) => text.padEnd(widths[at]!)).join(" | ")} |`;
console.log(["", line(head), line(widths.map((width) => "-".repeat(width))), ...cells.map(line)].join("\n"));
