import type { LineLink, LineValve } from "../formats";

/** Why a link cannot be counted on to hold. */
export type Unfit = "no-valve" | "check-valve" | "control-valve" | "seized" | "passes" | "avoided";

/** Minutes added when a valve has no lock point: a chain, a tag and somebody told. */
const NO_LOCK_POINT_MIN = 5;

/** Whether a link may stand as a barrier between a person and an energy; if not, why not. */
export function unfitness(
  link: LineLink,
  passing: ReadonlySet<string>,
  avoid: ReadonlySet<string>,
): Unfit | undefined {
  switch (link.kind) {
    case "pipe":
    case "cable":
    case "trap":
    case "pump":
      return "no-valve";
    case "check":
      return "check-valve";
    case "control-valve":
      return "control-valve";
    case "valve":
      if (!link.operable) return "seized";
      if (link.passes === true || passing.has(link.id)) return "passes";
      return avoid.has(link.id) ? "avoided" : undefined;
  }
}

/** What closing and locking this valve costs, in minutes. */
export const closingMinutes = (valve: LineValve): number =>
  valve.access_min + (valve.lockable ? 0 : NO_LOCK_POINT_MIN);
