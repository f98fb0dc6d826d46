import type { Line } from "@/core/formats";
import {
  type Alternative,
  alternatives,
  type IsolationDemand,
  type IsolationFailure,
  type IsolationPlan,
  planOn,
} from "@/core/isolation";
import { checkLine, type Network, network } from "@/core/line";
import { err, type Result } from "@/core/result";

/** What the page asks: a line to keep, then plans on it. */
export type IsolationAsk =
  | { readonly kind: "line"; readonly line: Line }
  | { readonly kind: "plan"; readonly id: number; readonly demand: IsolationDemand };

export type IsolationAnswer =
  | {
      readonly kind: "plan";
      readonly id: number;
      readonly plan: Result<IsolationPlan, IsolationFailure>;
      /** ms that the plan took, without the other ways. */
      readonly took: number;
    }
  | { readonly kind: "others"; readonly id: number; readonly others: readonly Alternative[] };

/** More consumers than this are not each tried for a way to keep them in service. */
const MOST_KEPT = 12;

let kept: { line: Line; net: Network } | { problems: ReturnType<typeof checkLine> } | undefined;

function answer(message: IsolationAnswer): void {
  postMessage(message);
}

addEventListener("message", ({ data }: MessageEvent<IsolationAsk>) => {
  if (data.kind === "line") {
    const problems = checkLine(data.line);
    kept = problems.length > 0 ? { problems } : { line: data.line, net: network(data.line) };
    return;
  }
  if (kept === undefined) throw new Error("a plan was asked before there was a line");
  const start = performance.now();
  const plan =
    "problems" in kept
      ? err({ kind: "bad-line" as const, problems: kept.problems })
      : planOn(kept.line, data.demand, kept.net);
  answer({ kind: "plan", id: data.id, plan, took: performance.now() - start });
  if (plan.ok && "line" in kept && plan.value.lost.length <= MOST_KEPT)
    answer({ kind: "others", id: data.id, others: alternatives(kept.line, data.demand, plan.value) });
});
