import { type Trouble, type TroubleFacts, triedAs } from "../formats";
import { Answering } from "./answering";
import { type Case, caseOf } from "./case";
import type { Policy } from "./play.fixtures";

/** What a way of asking comes to on average for one cause, over every way its answers can go. */
export interface Expected {
  /** Share of the right end. */
  readonly right: number;
  /** min. Looks and what they need, and what was tried on the spot for nothing. */
  readonly looking: number;
  /** min. The end it comes to, and what a wrong one costs. */
  readonly end: number;
  readonly looks: number;
}

/** Ways less likely than this are left out. */
const RARE = 1e-4;
const MOST = 60;

/** Goes through every way that answers can go, each by its chance: what sampling valves would come to in the end. */
export function expecting(
  knowledge: Trouble,
  facts: TroubleFacts,
  policy: Policy,
): (cause: string) => Expected {
  const met = new Map<string, { readonly of: Case; readonly to: ReturnType<Policy> }>();
  const at = (answers: ReadonlyMap<string, string>) => {
    const key = JSON.stringify([...answers].sort(([a], [b]) => (a < b ? -1 : 1)));
    const known = met.get(key) ?? {
      of: caseOf(knowledge, facts, answers),
      to: policy(knowledge, facts, answers),
    };
    met.set(key, known);
    return known;
  };

  return (cause) => {
    const end = knowledge.causes.find(({ id }) => id === cause)!.end;
    const sum = { right: 0, looking: 0, end: 0, looks: 0, seen: 0 };
    const walk = (answers: ReadonlyMap<string, string>, share: number, depth: number): void => {
      if (share < RARE || depth > MOST) return;
      const { of, to } = at(answers);
      if (to.kind === "end") {
        const found = of.ends.find((each) => each.end.id === to.end)!;
        if (to.end !== end && found.tried) {
          sum.looking += share * found.minutes;
          walk(new Map([...answers, [triedAs(to.end), "not"]]), share, depth + 1);
          return;
        }
        const is = of.hypotheses.findIndex(({ causes }) => causes.length === 1 && causes[0] === cause);
        sum.seen += share;
        sum.right += to.end === end ? share : 0;
        sum.end += share * found.cost[is]!;
        return;
      }
      const look = of.looks.find((each) => each.look.id === to.look)!;
      const missing = look.needs & ~(of.made & ~look.undoes);
      sum.looks += share;
      sum.looking +=
        share *
        (look.minutes +
          [1, 2, 4].reduce((all, bit, index) => all + ((missing & bit) === 0 ? 0 : of.setUp[index]!), 0));
      for (const [index, chance] of new Answering(look.look, knowledge, facts).chances([cause]).entries())
        walk(new Map([...answers, [to.look, look.answers[index]!]]), share * chance, depth + 1);
    };
    walk(new Map(), 1, 0);
    const { seen, right, looking, looks } = sum;
    return { right: right / seen, looking: looking / seen, end: sum.end / seen, looks: looks / seen };
  };
}
