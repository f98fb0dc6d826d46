import type { IsolationFailure, IsolationPlan } from "../../isolation";
import type { Result } from "../../result";
import type { HeldShut } from "../as-it-stands";
import type { GivenAnswer, KeptResult, Noted } from "../entered";
import { readStepId, type StepRef } from "../step-id";

/** What the plan is compiled from of all that happened: it reads nothing else of where a job stands. */
export interface PlannedFrom extends Noted {
  /** Parts whose removal was ticked. */
  readonly stripped: ReadonlyMap<string, unknown>;
  /** Links and stems that were shut. */
  readonly shut: ReadonlyMap<string, unknown>;
  readonly passing: readonly string[];
  /** What other jobs keep shut now, and what they kept when this one shut its first. */
  readonly held: HeldShut;
  readonly heldAtFirst: HeldShut;
  readonly answers: ReadonlyMap<string, Pick<GivenAnswer, "answer">>;
  readonly judged: ReadonlyMap<string, { readonly disposition: "reuse" | "renew"; readonly reason: string }>;
  /** Results of the bench book that were kept. */
  readonly kept: readonly Pick<KeptResult, "calculator" | "output" | "si">[];
}

/** Steps whose entry the plan reads. */
const READ: ReadonlySet<StepRef["is"]> = new Set(["mark", "task", "shut-by-hand"]);

/** What a plan takes off and shuts by itself. */
interface Planned {
  readonly removed: readonly string[];
  readonly isolation: Result<IsolationPlan, IsolationFailure> | undefined;
}

/** Links and stems that the plan both shuts and brings back: jobs of before left some out. */
function turnedBy({ isolation }: Planned): readonly string[] {
  if (isolation?.ok !== true) return [];
  const { shutting, restoring } = isolation.value;
  const back = restoring.filter(({ kind }) => kind !== "leave-stem" && kind !== "shut-vent");
  return shutting.flatMap(({ id }) => (back.some((act) => act.id === id) ? [id] : []));
}

/**
 * What a plan was compiled from, as a text: where it says the same of two standings, the plan is the same for both.
 * That a part came off, or a link was shut, which the plan takes off and shuts itself changes nothing in it.
 */
export function basisOf(planned: Planned, from: PlannedFrom): string {
  const { done, stripped, shut, passing, held, heldAtFirst, answers, judged, kept } = from;
  const beside = (ids: Iterable<string>, known: readonly string[]) =>
    [...ids].filter((id) => !known.includes(id));
  return JSON.stringify([
    [...done].flatMap(([id, { entry }]) => {
      const ref = entry === undefined ? undefined : readStepId(id);
      return ref !== undefined && READ.has(ref.is) ? [[id, entry]] : [];
    }),
    beside(stripped.keys(), planned.removed),
    beside(shut.keys(), turnedBy(planned)),
    // Whether others are waited for is settled before the first is shut.
    heldAtFirst.size > 0 && shut.size > 0,
    passing,
    [...held],
    [...heldAtFirst],
    [...answers].map(([check, { answer }]) => [check, answer]),
    [...judged],
    kept.map(({ calculator, output, si }) => [calculator, output, si]),
  ]);
}
