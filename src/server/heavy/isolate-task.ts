import { ISOLATE_QUESTION } from "@/core/formats";
import { type Alternative, alternatives, type IsolationPlan, planIsolation } from "@/core/isolation";
import { isolationMessage, speaker, spokenPlan } from "@/words";
import { readTask } from "./read-task";
import type { TaskResult } from "./tasks";

/** More consumers than this are not each tried for a way to keep them in service: each is a whole plan. */
const MOST_TRIED = 12;

function others(
  line: Parameters<typeof planIsolation>[0],
  demand: Parameters<typeof planIsolation>[1],
  plan: IsolationPlan,
): { readonly alternatives: readonly Alternative[]; readonly bound: string } {
  const { length } = plan.lost;
  return length > MOST_TRIED
    ? {
        alternatives: [],
        bound: `${length} consumers lose service; other ways are looked for up to ${MOST_TRIED}. Name those to keep.`,
      }
    : {
        alternatives: alternatives(line, demand, plan),
        bound: "Every consumer that loses service was tried.",
      };
}

export function isolateTask(body: Uint8Array): TaskResult {
  const read = readTask(body, ISOLATE_QUESTION);
  if (!read.ok) return read.error;
  const { line, ...demand } = read.value;
  const plan = planIsolation(line, demand);
  if (plan.ok)
    return { ok: true, value: { ...spokenPlan(speaker(), plan.value), ...others(line, demand, plan.value) } };
  const failure = plan.error;
  if (failure.kind === "bad-line")
    return {
      ok: false,
      status: 422,
      title: "The line is not valid",
      problems: failure.problems.map((each) => ({ path: `/line${each.path}`, message: each.message })),
    };
  return {
    ok: false,
    status: 422,
    title: "There is no isolation",
    problems: [{ path: "/open", message: isolationMessage(speaker(), failure) }],
    more: { ...failure },
  };
}
