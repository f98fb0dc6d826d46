import { type DaySheet, type ShutDown, shutDownsOf } from "@/core/due-work";
import { planForWork } from "@/core/isolation";
import { lineAsItStands } from "@/core/job";
import { dayBlocks, heldWhere, isolationMessage, isolationSet, type PaperBlock, type Speaker } from "@/words";
import { heldShut } from "../jobs/open-job";
import type { Services } from "../services";
import type { PaperTask, PrintedSection } from "./print-task";

/** One crew's day on paper, with each of its isolations as a set behind it. */
export function dayPaper(
  services: Services,
  sheet: DaySheet,
  words: Speaker,
  { origin, zone }: { readonly origin: string; readonly zone: string | undefined },
): Pick<PaperTask, "paper" | "sections"> {
  const { things, library } = services;
  const sections: PrintedSection[] = [];
  const shutOffs = shutDownsOf(sheet).flatMap((each): readonly PaperBlock[] => {
    const { blocks, section } = shutOff(services, each, words, sections.length);
    if (section !== undefined) sections.push(section);
    return blocks;
  });
  const day = new Intl.DateTimeFormat("en-GB", {
    weekday: "long",
    day: "numeric",
    month: "long",
    year: "numeric",
    ...(zone !== undefined && { timeZone: zone }),
  }).format(sheet.from);
  const house = things.one("house", "house")?.name;
  const lines = new Set(sheet.stops.flatMap(({ line }) => line ?? []));
  return {
    paper: {
      plate: sheet.crew,
      title: words.say.papers.day.title,
      says: [house, day].filter(Boolean).join(". "),
      demonstration: [...lines].some((id) => library.line(id)?.demonstration === true),
      blocks: [...dayBlocks(words, sheet), ...shutOffs],
      foot: [],
      opens: `${origin}/rounds/day?${new URLSearchParams({ crew: sheet.crew, day: new Date(sheet.from).toISOString() })}`,
    },
    sections,
  };
}

function shutOff(
  services: Services,
  { tags, opens, line: id }: ShutDown,
  words: Speaker,
  at: number,
): { readonly blocks: readonly PaperBlock[]; readonly section?: PrintedSection } {
  const line = services.library.line(id);
  if (line === undefined) return { blocks: [] };
  const { isolation, day } = words.say.papers;
  const head = (tone: "plain" | "stop", says: string): PaperBlock[] => [
    { kind: "page" },
    {
      kind: "text",
      tone,
      lead: isolation.toOpen(line.name, words.say.common.commas(tags)),
      says: [says],
    },
  ];
  const standing = lineAsItStands(line, heldShut(services, id), heldWhere(words));
  const plan = planForWork(standing, { open: opens });
  if (!plan.ok) return { blocks: head("stop", ` ${day.notIsolated}${isolationMessage(words, plan.error)}`) };
  return {
    blocks: [...head("plain", ""), ...isolationSet(words, line, plan.value, { section: at })],
    section: { line: standing, plan: plan.value, target: opens[0]! },
  };
}
