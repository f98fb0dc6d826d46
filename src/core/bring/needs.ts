import type { End, Sheet, Trouble, TroubleFacts } from "../formats";
import { byPiece, type Pieces } from "../store";
import { jobOf, type Visit } from "../trouble";
import { weightOfTool } from "./weights";

/** A tool to take along: one of the sheet, or what a look names. */
export interface ToolToBring {
  readonly id: string;
  readonly name: string;
  readonly of?: Sheet["tools"][number];
  readonly kg: number;
}

/** Something that may have to be put right on the visit, and all that has to be along for it. */
export interface Need {
  readonly chance: number;
  readonly ends: readonly string[];
  readonly pieces: Pieces;
  /** Ids of tools to bring. */
  readonly tools: ReadonlySet<string>;
  /** min. To shut off, to open, and all of it back: done twice when it takes a second trip. */
  readonly again_min: number;
}

export interface Needs {
  readonly needs: readonly Need[];
  readonly tools: readonly ToolToBring[];
}

/**
 * What each visit that is ours takes: parts and tools of its jobs, tools of the looks on the way. A job that may condemn
 * more inside stands twice, once with that.
 *
 * @param condemned chance that it does, 0 to 1
 */
export function needsOf(
  visits: readonly Visit[],
  knowledge: Trouble,
  facts: TroubleFacts,
  sheet: Sheet,
  condemned: number,
): Needs {
  const tools = new Map<string, ToolToBring>();
  const toolOf = (name: string): string => {
    const of = sheet.tools.find((tool) => tool.name.toLowerCase() === name.toLowerCase());
    const id = of?.id ?? name.toLowerCase();
    tools.set(id, { id, name: of?.name ?? name, kg: weightOfTool(of), ...(of && { of }) });
    return id;
  };
  const sheetTool = (id: string): string[] => {
    const of = sheet.tools.find((tool) => tool.id === id);
    if (of === undefined) return [];
    tools.set(id, { id, name: of.name, of, kg: weightOfTool(of) });
    return [id];
  };
  const lookTools = new Map(knowledge.looks.map(({ id, tools: of = [] }) => [id, of]));
  const endBy = new Map(knowledge.ends.map((end) => [end.id, end]));
  const merged = new Map<string, Need>();
  const add = (need: Need) => {
    const key = JSON.stringify([need.ends, [...need.pieces].sort(), [...need.tools].sort()]);
    const known = merged.get(key);
    merged.set(key, known === undefined ? need : { ...known, chance: known.chance + need.chance });
  };
  for (const { goes, chance, ends, looks } of visits) {
    if (goes !== "ours" || chance <= 0) continue;
    const jobs = ends.flatMap((id) => endBy.get(id) ?? []);
    const costs = ends.map((id) => facts.costs?.[id]);
    const certain = mostOf(jobs.map((end, index) => costs[index]?.parts ?? partsOf(end, sheet)));
    const maybe = mostOf(costs.map((cost) => cost?.maybe ?? {}));
    const with_ = new Set([
      ...looks.flatMap((look) => (lookTools.get(look) ?? []).map(toolOf)),
      ...costs.flatMap((cost) => (cost?.tools ?? []).flatMap(sheetTool)),
    ]);
    const again_min = costs.reduce((sum, cost) => sum + (cost?.dead_min ?? 0) + (cost?.cover_min ?? 0), 0);
    const need = { ends, tools: with_, again_min };
    const more = maybe.size === 0 ? 0 : condemned;
    if (more < 1) add({ ...need, chance: chance * (1 - more), pieces: byPiece(sheet, certain) });
    if (more > 0) add({ ...need, chance: chance * more, pieces: byPiece(sheet, [...certain, ...maybe]) });
  }
  return { needs: [...merged.values()], tools: [...tools.values()] };
}

/** Where nobody compiled the job: what it renews by the knowledge or the sheet, else what it reaches. */
function partsOf(end: End, sheet: Sheet): Readonly<Record<string, number>> {
  const job = end.kind === "job" ? jobOf(end, sheet) : undefined;
  const renew = job?.renew ?? job?.reach ?? [];
  return Object.fromEntries(
    renew.map((id) => [id, sheet.parts.find((part) => part.id === id)?.quantity ?? 1]),
  );
}

/** Two ends that take the same part take it once. */
function mostOf(of: readonly Readonly<Record<string, number>>[]): Map<string, number> {
  const most = new Map<string, number>();
  for (const pieces of of)
    for (const [part, count] of Object.entries(pieces)) most.set(part, Math.max(most.get(part) ?? 0, count));
  return most;
}
