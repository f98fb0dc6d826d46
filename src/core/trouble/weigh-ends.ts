import { type Case, type EndIn, sparedBy } from "./case";

/** Looks answered on the way to a moment of the search, beside what is answered already. */
export interface OnTheWay {
  readonly look: string;
  readonly answer: string;
  readonly before?: OnTheWay;
}

/** Whether an end may be done by now. */
export function mayBeDone({ once }: EndIn, { answered }: Case, onTheWay?: OnTheWay): boolean {
  if (once === undefined) return true;
  for (let at = onTheWay; at !== undefined; at = at.before)
    if (at.look === once.look) return once.answers.includes(at.answer);
  const answer = answered.get(once.look);
  return answer !== undefined && once.answers.includes(answer);
}

/** Chance that a trial does not help, and what is left to do then. */
const fails = ({ covers }: EndIn, belief: Float64Array, hypothesis: number) =>
  covers[hypothesis] === 1 ? 0 : belief[hypothesis]!;

export interface Acting {
  readonly cost: number;
  readonly end: EndIn;
}

/**
 * The cheapest way to act and look no further; an end that is tried costs nothing when it fails but its own minutes, and
 * the cheapest of the others after it.
 *
 * @param belief chance of each hypothesis, of any sum: the cost is of the same sum
 */
export function act(of: Case, belief: Float64Array, made: number, onTheWay?: OnTheWay): Acting {
  const count = belief.length;
  let sum = 0;
  for (let h = 0; h < count; h++) sum += belief[h]!;
  let cost = Number.POSITIVE_INFINITY;
  let end: EndIn | undefined;
  for (const each of of.ends) {
    if (each.tried) continue;
    let total = -sparedBy(each, made) * sum;
    const { cost: by } = each;
    for (let h = 0; h < count; h++) total += belief[h]! * by[h]!;
    if (total < cost) {
      cost = total;
      end = each;
    }
  }
  for (const each of of.ends) {
    if (!each.tried || !mayBeDone(each, of, onTheWay)) continue;
    let total = each.minutes * sum;
    if (total >= cost) continue;
    total += afterwards(of, each, belief, made);
    if (total < cost) {
      cost = total;
      end = each;
    }
  }
  return { cost, end: end! };
}

/** The cheapest end of all that cannot be tried, for what a trial leaves. */
function afterwards(of: Case, tried: EndIn, belief: Float64Array, made: number): number {
  let least = Number.POSITIVE_INFINITY;
  for (const each of of.ends) {
    if (each.tried) continue;
    let total = 0;
    const spared = sparedBy(each, made);
    for (let h = 0; h < belief.length; h++) total += fails(tried, belief, h) * (each.cost[h]! - spared);
    least = Math.min(least, total);
  }
  return least;
}

/** What it costs at least, if one knew: no look and no end can do better. */
export function atLeast({ least }: Case, belief: Float64Array, spared = 0): number {
  let total = 0;
  for (let h = 0; h < belief.length; h++) total += belief[h]! * Math.max(0, least[h]! - spared);
  return total;
}
