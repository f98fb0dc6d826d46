import type { Line } from "../formats";
import { ok, type Result } from "../result";
import { planIsolation } from "./isolation-plan";
import type { IsolationDemand, IsolationFailure, IsolationPlan } from "./plan";

/**
 * What a job shuts to open something: who must not be without stays in service where that can be had, at the price of more
 * to shut; a relief valve that is the only one of its vessel comes off when the vessel is empty, and not before.
 */
export function planForWork(line: Line, demand: IsolationDemand): Result<IsolationPlan, IsolationFailure> {
  const plain = keepingService(line, demand);
  if (plain.ok) return plain;
  const first = vesselsToPumpOut(plain.error);
  if (first.length === 0) return plain;
  const pumped = planIsolation(line, { ...demand, pumpedOut: first });
  return pumped.ok ? pumped : plain;
}

function keepingService(line: Line, demand: IsolationDemand): Result<IsolationPlan, IsolationFailure> {
  const plain = planIsolation(line, demand);
  if (!plain.ok) return plain;
  const must = new Set(line.nodes.flatMap(({ id, mustKeep }) => (mustKeep === undefined ? [] : [id])));
  const keep = plain.value.lost.flatMap(({ node }) => (must.has(node) ? [node] : []));
  if (keep.length === 0) return plain;
  const kept = planIsolation(line, { ...demand, keep });
  return kept.ok ? ok(kept.value) : plain;
}

function vesselsToPumpOut(failure: IsolationFailure): string[] {
  if (failure.kind === "unprotected") return failure.vessels.map((each) => each.id);
  return failure.kind === "no-isolation" && failure.pumpOut !== undefined ? [failure.pumpOut.id] : [];
}
