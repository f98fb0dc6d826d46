import type { DaySheet, Packed } from "@/core/due-work";
import { fixed, formatDuration } from "@/core/quantity";
import { toolName } from "../handling";
import type { Speaker } from "../speaker";
import { savesWords } from "../together";
import { columns } from "./isolation-paper";
import { listOf, type Moment, type PaperBlock, type PaperRow, type Said } from "./paper";

const hour = (at: number): Moment => ({ at, hour: true });

/** One crew's day on paper: where to and when, what to take along, whom to tell. */
export function dayBlocks(words: Speaker, sheet: DaySheet): PaperBlock[] {
  const said = words.say.papers.day;
  return [
    { kind: "text", tone: sheet.overMin >= 1 ? "wait" : "plain", says: headOf(words, sheet) },
    {
      kind: "table",
      title: said.order,
      columns: columns(said.orderColumns, [5, 17, 34, 30, 14]),
      rows: sheet.stops.map(({ order, tag, name, place, what, parts, lateMin, with: beside }) => [
        { says: [String(order)] },
        {
          says: [hour(parts[0]!.from), said.to, hour(parts.at(-1)!.to)],
          ...(parts.length > 1 && {
            small: [said.stands, hour(parts[0]!.to), said.to, hour(parts[1]!.from)] as Said,
          }),
        },
        {
          says: [`${tag}, ${name}`],
          strong: true,
          small: [beside.length === 0 ? what : `${what}. ${said.once(words.say.common.commas(beside))}`],
        },
        { says: [place], ...(lateMin > 0 && { small: [said.late], wrong: true as const }) },
        { says: [""] },
      ]),
    },
    told(words, sheet),
    ...sheet.joint.flatMap(({ tags, saves }): PaperBlock[] =>
      saves === undefined
        ? []
        : [
            {
              kind: "text",
              tone: "plain",
              lead: said.shutOnce(words.say.common.and(tags)),
              says: [` ${savesWords(words, saves)}`],
            },
          ],
    ),
    { kind: "page" },
    ...packed(words, sheet),
  ];
}

function headOf({ say, mark }: Speaker, sheet: DaySheet): Said {
  const said = say.papers.day;
  const { stops, from, to, back, km, overMin, people } = sheet;
  return [
    said.head(say.common.commas(people), stops.length, formatDuration((back - from) / 1000)),
    said.from,
    hour(from),
    said.till,
    hour(to),
    said.way(fixed(km, 1, mark)),
    hour(back),
    overMin >= 1 ? said.over : ".",
  ];
}

function told({ say }: Speaker, { tell }: DaySheet): PaperBlock {
  const said = say.papers.day;
  if (tell.length === 0) return listOf(said.tell, [], said.nobody);
  return {
    kind: "table",
    title: said.tell,
    columns: columns(said.tellColumns, [34, 20, 28, 18]),
    rows: tell.map(({ names, who, phone, days, by, from, to, tags }) => [
      { says: [say.common.commas(names)], strong: true as const, small: [say.common.commas(tags)] },
      { says: [hour(from), said.to, hour(to)] },
      {
        says: [[who, phone].filter(Boolean).join(", ")],
        ...(days !== undefined &&
          by !== undefined && { small: [said.by, { at: by }, said.daysBefore(days)] }),
      },
      { says: [""] },
    ]),
  };
}

/** What goes into the van, to be ticked. */
function packed(words: Speaker, sheet: DaySheet): PaperBlock[] {
  const said = words.say.papers.day;
  const row = (name: string, place: string, tags: readonly string[]): PaperRow[] => [
    { says: [name], strong: true },
    { says: [place] },
    { says: [words.say.common.commas(tags)] },
    { says: [""] },
  ];
  const things = (some: readonly Packed[]) =>
    some.map(({ name, pieces, place, for: tags }) =>
      row(pieces !== undefined && pieces > 1 ? `${name} × ${pieces}` : name, place ?? "", tags),
    );
  const rows = [
    ...things(sheet.kits),
    ...things(sheet.supplies),
    ...sheet.tools.map(({ tool, for: tags }) => row(toolName(words, tool), "", tags)),
    ...things(sheet.gear),
    ...(sheet.locks > 0 ? [row(said.locks(sheet.locks), said.atATime, [])] : []),
  ];
  return [
    ...sheet.missing.map(
      ({ name, for: tags }): PaperBlock => ({
        kind: "text",
        tone: "stop",
        says: [said.missing(name, words.say.common.commas(tags))],
      }),
    ),
    {
      kind: "table",
      title: said.pack,
      columns: columns(said.packColumns, [42, 26, 22, 10]),
      rows,
    },
  ];
}
