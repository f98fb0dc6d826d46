import { entryOf, type StepRule } from "../step-rule";
import { refuseTick, refuseUnticked, type TickLine } from "./lines";

/** Nothing left over that should have gone in, nothing in that should have come out. */
export interface TrayFacts {
  readonly kind: "tray";
  /** Pieces that are right to be left on the bench. */
  readonly leftovers: number;
  /** What came in the kits and did not go in, ticked as it lies on the bench. */
  readonly lines?: readonly TickLine[];
}

export const tray: StepRule<TrayFacts> = {
  acts: () => [{ do: "count-the-tray" }],
  takes: {
    "line-ticked": ({ lines }, { line }) => refuseTick(lines, line),
    "step-done": (step, event, { tray: { missing, short }, progress }) => {
      const { leftovers } = step;
      if (missing.length > 0) return { path: "/step", kind: "still-on-the-tray", items: missing };
      if (short.length > 0) return { path: "/step", kind: "short-of-pieces", items: short };
      const unticked = refuseUnticked(step, progress);
      if (unticked !== undefined) return unticked;
      const entry = entryOf(event);
      if (entry === "") return undefined;
      const [, number, reason] = /^(\d+)\s*(?::\s*(.+))?$/.exec(entry) ?? [];
      if (number === undefined) return { path: "/entry", kind: "say-how-many-are-left" };
      return Number(number) !== leftovers && reason === undefined
        ? { path: "/entry", kind: "other-leftovers", expected: leftovers, said: Number(number) }
        : undefined;
    },
  },
};
