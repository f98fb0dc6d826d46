import { type Line, TROUBLE_QUESTION } from "@/core/formats";
import { advise, answersGiven, around, checkTrouble, readWorld } from "@/core/trouble";
import { readTask } from "./read-task";
import type { TaskResult } from "./tasks";

/** What may be wrong by these answers, and what to look at next; nothing stored. */
export function troubleTask(body: Uint8Array): TaskResult {
  const read = readTask(body, TROUBLE_QUESTION);
  if (!read.ok) return read.error;
  const { knowledge, facts, answers = [], sheet, line, at } = read.value;
  const refused = (title: string, problems: readonly { path: string; message: string }[]): TaskResult => ({
    ok: false,
    status: 422,
    title,
    problems,
  });
  const faults = checkTrouble(knowledge, sheet === undefined ? [] : [sheet]);
  if (faults.length > 0)
    return refused(
      "The knowledge is not valid",
      faults.map((each) => ({ ...each, path: `/knowledge${each.path}` })),
    );
  if (!knowledge.complaints.some(({ id }) => id === facts.complaint))
    return refused("Not valid", [
      {
        path: "/facts/complaint",
        message: `There is no complaint "${facts.complaint}". There are: ${knowledge.complaints.map(({ id }) => id).join(", ")}.`,
      },
    ]);
  if (sheet !== undefined && line !== undefined && !stands(line, at))
    return refused("Not valid", [
      { path: "/at", message: "Name the node of the line, or the tag, at which the valve stands." },
    ]);
  const given = answersGiven(knowledge, answers, sheet);
  if (!given.ok) return refused("Not valid", given.error);
  const place = sheet && { sheet, ...(line !== undefined && { line }), ...(at !== undefined && { at }) };
  const world = facts.world ?? (place && readWorld(knowledge, around(place), place.sheet));
  return { ok: true, value: advise(knowledge, { ...facts, ...(world && { world }) }, given.value) };
}

const stands = ({ nodes, links }: Line, at: string | undefined): boolean =>
  [...nodes, ...links].some((each) => each.id === at || ("asset" in each && each.asset === at));
