import type { Line } from "@/core/formats";
import {
  type Alternative,
  alternatives,
  type IsolationDemand,
  type IsolationFailure,
  type IsolationPlan,
  planOn,
  prepareCuts,
} from "@/core/isolation";
import { checkLine, type Network, network } from "@/core/line";
import { err, type Result } from "@/core/result";

/** What the page asks: a line to keep, then plans on it. */
export type IsolationAsk =
  | { readonly kind: "line"; readonly line: Line }
  | { readonly kind: "fetch"; readonly url: string }
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

type Kept = { line: Line; net: Network } | { problems: ReturnType<typeof checkLine> };

/** The line that plans are made on; while it is being fetched, questions wait for it. */
let kept: Promise<Kept> | undefined;

function keep(line: Line): Kept {
  const problems = checkLine(line);
  if (problems.length > 0) return { problems };
  const net = network(line);
  prepareCuts(net);
  return { line, net };
}

function answer(message: IsolationAnswer): void {
  postMessage(message);
}

async function plan(id: number, demand: IsolationDemand): Promise<void> {
  if (kept === undefined) throw new Error("a plan was asked before there was a line");
  const on = await kept;
  const start = performance.now();
  const made =
    "problems" in on
      ? err({ kind: "bad-line" as const, problems: on.problems })
      : planOn(on.line, demand, on.net);
  answer({ kind: "plan", id, plan: made, took: performance.now() - start });
  if (made.ok && "line" in on && made.value.lost.length <= MOST_KEPT)
    answer({ kind: "others", id, others: alternatives(on.line, demand, made.value, on.net) });
}

addEventListener("message", ({ data }: MessageEvent<IsolationAsk>) => {
  switch (data.kind) {
    case "line":
      kept = Promise.resolve(keep(data.line));
      break;
    case "fetch":
      kept = fetch(data.url)
        .then((got) => got.json() as Promise<Line>)
        .then(keep);
      break;
    case "plan":
      void plan(data.id, data.demand);
  }
});
