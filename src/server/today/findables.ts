import { CALCULATORS } from "@/core/calculators";
import type { Services } from "../services";

/** Everything that find can lead to. */
export function findables({
  library,
  jobs,
}: Services): { group: string; name: string; words: string; href: string }[] {
  const sheets = library.sheets();
  return [
    ...jobs.open().map(({ inputs }) => ({
      group: "Open jobs",
      name: inputs.valve.tag,
      words: inputs.reason.says,
      href: `/jobs/${inputs.id}`,
    })),
    ...library.valves().map((valve) => ({
      group: "Valves",
      name: valve.tag,
      words: `${valve.name}, ${valve.place}`,
      href: `/valves/${valve.tag}`,
    })),
    ...library
      .lineSummaries()
      .map((line) => ({ group: "Lines", name: line.name, words: line.medium, href: `/lines/${line.id}` })),
    ...CALCULATORS.map((each) => ({
      group: "Bench book",
      name: each.title,
      words: each.words.join(", "),
      href: `/bench/${each.id}`,
    })),
    ...sheets.map((sheet) => ({
      group: "Sheets",
      name: sheet.title,
      words: `${sheet.maker} ${sheet.model}`,
      href: `/sheets/${sheet.id}`,
    })),
    ...sheets.flatMap((sheet) =>
      sheet.parts.map((part) => ({
        group: "Parts",
        name: part.name,
        words: sheet.title,
        href: `/sheets/${sheet.id}?part=${part.id}`,
      })),
    ),
  ];
}
