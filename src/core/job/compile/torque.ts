import { torqueInCondition } from "../../fastening";
import type { EndCondition, PartFit } from "../../formats";
import type { Torque } from "../../quantity";

/** What a sheet states a torque for. */
export type Stated = Extract<EndCondition, { kind: "torque" }>["stated"];

/** What is on the thread decides the pull: what the sheet puts there (locker wets like oil), or what its torque is stated for. */
export function conditionOf(fit: PartFit, stated: Stated): Stated {
  switch (fit.thread?.kind) {
    case "anti-seize":
      return "anti-seize";
    case "locker":
    case "sealant":
      return "oiled";
    case "dry":
      return "dry";
    default:
      return fit.surface?.kind === "lubricate" && fit.surface.on === "thread" ? "grease" : stated;
  }
}

/** The pull with what is on the thread, N·m; nothing where the joint ends otherwise. */
export function torqueOf(fit: PartFit): number | undefined {
  if (fit.end.kind !== "torque") return undefined;
  const { torque_Nm, stated } = fit.end;
  const corrected = torqueInCondition(torque_Nm as Torque, stated, conditionOf(fit, stated));
  return Math.min(corrected, limitOf(fit) ?? Number.POSITIVE_INFINITY);
}

/** What the part bears it bears as preload: on a slippery thread it gets there at a lower torque. N·m. */
export function limitOf(fit: PartFit): number | undefined {
  const { end } = fit;
  if (end.kind !== "torque" || end.maximum_Nm === undefined) return undefined;
  const condition = conditionOf(fit, end.stated);
  return Math.min(end.maximum_Nm, torqueInCondition(end.maximum_Nm as Torque, end.stated, condition));
}

/** Bolts from which a joint is pulled by a pattern. */
const LEAST_PATTERN = 3;

export const patterned = (
  quantity: number,
  end: EndCondition,
): end is Extract<EndCondition, { kind: "torque" }> => end.kind === "torque" && quantity >= LEAST_PATTERN;
