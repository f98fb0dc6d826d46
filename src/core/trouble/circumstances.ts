import type { Circumstance, TroubleFacts } from "../formats";

/** Whether it is so; nothing known counts as no. */
export function holds(when: Circumstance, facts: TroubleFacts): boolean {
  switch (when.kind) {
    case "older-than":
      return (facts.age_years ?? 0) > when.years;
    case "not-serviced-for":
      return (facts.sinceService_months ?? 0) > when.months;
    case "worked-on-within":
      return (facts.worked ?? []).some(
        ({ days, parts }) => days <= when.days && (when.part === undefined || parts.includes(when.part)),
      );
    case "season":
      return facts.season === when.is;
    case "frost":
      return facts.frost === true;
    case "water":
      return facts.water?.includes(when.is) === true;
    case "duty":
      return facts.duty === when.is;
    case "trend":
      return facts.trends?.[when.what] === when.way;
    case "neighbour-passes":
      return facts.neighbourPasses === true;
    case "held-by-a-job":
      return facts.heldByJob === true;
  }
}
