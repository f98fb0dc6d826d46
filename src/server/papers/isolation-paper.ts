import type { IsolationDemand } from "@/core/isolation";
import { planIsolation } from "@/core/isolation";
import { lineAsItStands } from "@/core/job";
import { err, ok, type Result } from "@/core/result";
import { heldWhere, isolationMessage, isolationSet, type Speaker } from "@/words";
import { heldShut } from "../jobs/open-job";
import type { Services } from "../services";
import type { NoPaper } from "./job-papers";
import type { PaperTask } from "./print-task";

/** What to shut to open something on a line, with locks, permits and calls, as one set. */
export function isolationPaper(
  all: Services,
  id: string,
  demand: IsolationDemand,
  words: Speaker,
  origin: string,
): Result<Pick<PaperTask, "paper" | "sections">, NoPaper> {
  const line = all.library.line(id);
  if (line === undefined) return err({ kind: "unknown", message: "There is no such line here." });
  const standing = lineAsItStands(line, heldShut(all, id), heldWhere(words));
  const plan = planIsolation(standing, demand);
  if (!plan.ok) return err({ kind: "cannot-be-told", message: isolationMessage(words, plan.error) });
  const house = all.things.one("house", "house")?.name;
  const opens = new URLSearchParams(demand.open.map((tag) => ["open", tag]));
  const said = words.say.papers.isolation;
  const paper = {
    plate: demand.open.join(", "),
    title: said.title,
    says: [house, said.toOpen(line.name, demand.open.join(", "))].filter(Boolean).join(". "),
    demonstration: line.demonstration === true,
    blocks: isolationSet(words, line, plan.value),
    foot: [],
    opens: `${origin}/lines/${encodeURIComponent(id)}?${opens}`,
  };
  const [target] = demand.open;
  return ok({
    paper,
    sections: [{ line: standing, plan: plan.value, ...(target !== undefined && { target }) }],
  });
}
