import type { Static } from "@sinclair/typebox";
import type { Line, TROUBLE_QUESTION, TroubleFacts } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import { answersGiven, around, checkTrouble, readWorld } from "@/core/trouble";
import type { TaskResult } from "./tasks";

type Refused = Extract<TaskResult, { ok: false }>;

/** The trouble that a question tells of, held against itself: facts with what is read in the world, answers judged. */
export function troubleAsked({
  knowledge,
  facts,
  answers = [],
  sheet,
  line,
  at,
}: Static<typeof TROUBLE_QUESTION>): Result<
  { readonly facts: TroubleFacts; readonly given: ReadonlyMap<string, string> },
  Refused
> {
  const refused = (title: string, problems: readonly Problem[]) =>
    err({ ok: false as const, status: 422 as const, title, problems });
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
  return ok({ facts: { ...facts, ...(world && { world }) }, given: given.value });
}

const stands = ({ nodes, links }: Line, at: string | undefined): boolean =>
  [...nodes, ...links].some((each) => each.id === at || ("asset" in each && each.asset === at));
