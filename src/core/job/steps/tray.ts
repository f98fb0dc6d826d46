import { entryOf, type StepRule } from "../step-rule";

/** Nothing left over that should have gone in, nothing in that should have come out. */
export interface TrayFacts {
  readonly kind: "tray";
  /** Pieces that are right to be left on the bench. */
  readonly leftovers: number;
}

export const tray: StepRule<TrayFacts> = {
  acts: () => [{ do: "count-the-tray" }],
  takes: {
    "step-done": ({ leftovers }, event, { tray: { missing, short } }) => {
      if (missing.length > 0) return { path: "/step", kind: "still-on-the-tray", items: missing };
      if (short.length > 0) return { path: "/step", kind: "short-of-pieces", items: short };
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
