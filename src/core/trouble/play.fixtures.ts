import type { Trouble, TroubleFacts } from "../formats";
import { triedAs } from "../formats";
import { advise } from "./advise";
import { Answering } from "./answering";
import { type Case, caseOf, type EndIn, type LookIn } from "./case";
import { mayBeDone } from "./weigh-ends";

/** What to do next, by whatever rule: a look, or an end. */
export type Policy = (
  knowledge: Trouble,
  facts: TroubleFacts,
  answers: ReadonlyMap<string, string>,
) => { readonly kind: "look"; readonly look: string } | { readonly kind: "end"; readonly end: string };

export const byAdvice: Policy = (knowledge, facts, answers) => {
  const { next } = advise(knowledge, facts, answers);
  return next.kind === "look" ? { kind: "look", look: next.look } : { kind: "end", end: next.end };
};

export interface Played {
  readonly right: boolean;
  /** min. Looks, what they needed, the end, and what a wrong end cost. */
  readonly minutes: number;
  readonly looks: number;
  readonly end: string;
}

const MOST = 60;

/** Plays one valve whose hidden cause is this: answers come as the cause gives them, by chance. */
export function play(
  knowledge: Trouble,
  facts: TroubleFacts,
  cause: string,
  policy: Policy,
  random: () => number,
): Played {
  const answers = new Map<string, string>();
  let minutes = 0;
  let looks = 0;
  const end = knowledge.causes.find(({ id }) => id === cause)!.end;
  for (let step = 0; step < MOST; step++) {
    const to = policy(knowledge, facts, answers);
    const of = caseOf(knowledge, facts, answers);
    if (to.kind === "end") {
      const found = of.ends.find((each) => each.end.id === to.end)!;
      const right = to.end === end;
      if (!right && found.tried) {
        minutes += found.minutes;
        answers.set(triedAs(to.end), "not");
        continue;
      }
      const hypothesis = of.hypotheses.findIndex(({ causes }) => causes.length === 1 && causes[0] === cause);
      return { right, minutes: minutes + found.cost[hypothesis]!, looks, end: to.end };
    }
    const look = of.looks.find((each) => each.look.id === to.look)!;
    const missing = look.needs & ~(of.made & ~look.undoes);
    minutes +=
      look.minutes +
      [1, 2, 4].reduce((sum, bit, index) => sum + ((missing & bit) === 0 ? 0 : of.setUp[index]!), 0);
    looks += 1;
    const chances = new Answering(look.look, knowledge, facts).chances([cause]);
    answers.set(to.look, look.answers[drawn(chances, random())]!);
  }
  return { right: false, minutes, looks, end: "" };
}

/** Which of several by chance. @param at 0 to 1 */
function drawn(chances: readonly number[], at: number): number {
  let sum = 0;
  for (const [index, chance] of chances.entries()) {
    sum += chance;
    if (at < sum) return index;
  }
  return chances.length - 1;
}

/** As sure as this, what asks in another order is about as often right as what is advised. */
const SURE = 0.95;

/** Looks until one end is sure, then acts: which look comes next is another's choice. */
const until =
  (choose: (of: Case, knowledge: Trouble) => string | undefined): Policy =>
  (knowledge, facts, answers) => {
    const of = caseOf(knowledge, facts, answers);
    const share = (end: EndIn) => end.covers.reduce((sum, covers, h) => sum + covers * of.now[h]!, 0);
    const best = of.ends
      .filter((end) => mayBeDone(end, of))
      .reduce((most, each) => (share(each) > share(most) ? each : most));
    const look = share(best) >= SURE ? undefined : choose(of, knowledge);
    return look === undefined ? { kind: "end", end: best.end.id } : { kind: "look", look };
  };

export const inFileOrder = until(({ looks }) => looks[0]?.look.id);

/** The look that would speak most clearly for whatever is likeliest by now. */
export const likeliestFirst = until((of) => {
  const best = of.now.indexOf(Math.max(...of.now));
  const clear = ({ chance }: LookIn) =>
    Math.max(...chance.map((by) => by[best]! / by.reduce((sum, each) => sum + each, 0)));
  return [...of.looks].sort((a, b) => clear(b) - clear(a))[0]?.look.id;
});

/** min. What the right end itself takes, whoever looks. */
export function rightEndMinutes(knowledge: Trouble, facts: TroubleFacts, cause: string): number {
  const of = caseOf(knowledge, facts, new Map());
  return of.least[of.hypotheses.findIndex(({ causes }) => causes.length === 1 && causes[0] === cause)]!;
}
