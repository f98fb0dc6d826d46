import type { Line } from "../formats";
import type { Result } from "../result";
import { planIsolation } from "./isolation-plan";
import type { IsolationDemand, IsolationFailure, IsolationPlan } from "./plan";

/** What is shut, and by which demand. */
export interface ShutForWork {
  readonly demand: IsolationDemand;
  readonly plan: Result<IsolationPlan, IsolationFailure>;
}

/**
 * What a job shuts to open something: who must not be without stays in service where that can be had, at the price of more
 * to shut; a relief valve that is the only one of its vessel comes off when the vessel is empty, and not before.
 */
export function shutForWork(line: Line, demand: IsolationDemand): ShutForWork {
  const plain = keepingService(line, demand);
  if (plain.plan.ok) return plain;
  const first = vesselsToPumpOut(plain.plan.error);
  if (first.length === 0) return plain;
  const pumped = planned(line, { ...demand, pumpedOut: first });
  return pumped.plan.ok ? pumped : plain;
}

/** The plan of it alone. */
export const planForWork = (line: Line, demand: IsolationDemand): ShutForWork["plan"] =>
  shutForWork(line, demand).plan;

const planned = (line: Line, demand: IsolationDemand): ShutForWork => ({
  demand,
  plan: planIsolation(line, demand),
});

function keepingService(line: Line, demand: IsolationDemand): ShutForWork {
  const plain = planned(line, demand);
  if (!plain.plan.ok) return plain;
  const must = new Set(line.nodes.flatMap(({ id, mustKeep }) => (mustKeep === undefined ? [] : [id])));
  const keep = plain.plan.value.lost.flatMap(({ node }) => (must.has(node) ? [node] : []));
  if (keep.length === 0) return plain;
  const kept = planned(line, { ...demand, keep });
  return kept.plan.ok ? kept : plain;
}

function vesselsToPumpOut(failure: IsolationFailure): string[] {
  if (failure.kind === "unprotected") return failure.vessels.map((each) => each.id);
  return failure.kind === "no-isolation" && failure.pumpOut !== undefined ? [failure.pumpOut.id] : [];
}
