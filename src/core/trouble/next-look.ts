import { type Case, type LookIn, makeReady } from "./case";
import { type Acting, act, atLeast, massOf, type OnTheWay } from "./weigh-ends";

/** A look with what all costs that comes after it. */
export interface Ranked {
  readonly of: LookIn;
  /** min. Expected, all told: this look, what follows, and how it ends. */
  readonly cost: number;
  /** min. To make what it needs and to look. */
  readonly own: number;
}

export interface Search {
  readonly now: Acting;
  /** Cheapest first. */
  readonly looks: readonly Ranked[];
  /** Exact, or how many minutes the least possible may lie below what is given. */
  readonly exact: boolean;
  readonly bound: number;
}

/** Less than this is left of a sum only by rounding. */
const NOTHING = 1e-9;

/** A belief after an answer, not divided by its chance. */
export function after(belief: Float64Array, chance: Float64Array, into?: Float64Array): Float64Array {
  const made = into ?? new Float64Array(belief.length);
  for (let h = 0; h < belief.length; h++) made[h] = belief[h]! * chance[h]!;
  return made;
}

export interface Step {
  readonly cost: number;
  readonly act: Acting;
  /** The look that is worth its minutes; none where acting is cheaper. */
  readonly look?: LookIn;
}

/**
 * The cheaper of acting now and of one more look before it.
 *
 * @param room as long as the belief, written over
 */
export function oneStep(
  of: Case,
  belief: Float64Array,
  made: number,
  { asked, way, room }: { readonly asked?: LookIn; readonly way?: OnTheWay; readonly room: Float64Array },
): Step {
  const acting = act(of, belief, made, way);
  let best = acting.cost;
  let found: LookIn | undefined;
  const sum = massOf(belief);
  const floor = atLeast(of, belief, of.mostSpared);
  for (const next of of.looks) {
    if (next === asked) continue;
    const ready = makeReady(of, next, made);
    let cost = (ready.cost + next.minutes) * sum;
    // Nothing that it could tell would be worth its minutes.
    if (cost + floor >= best) continue;
    let left = floor;
    for (let answer = 0; answer < next.chance.length && cost + left < best; answer++) {
      after(belief, next.chance[answer]!, room);
      left -= atLeast(of, room, of.mostSpared);
      const before = way === undefined ? {} : { before: way };
      cost += act(of, room, ready.made, {
        look: next.look.id,
        answer: next.answers[answer]!,
        ...before,
      }).cost;
    }
    // Cut off, it does not come below the best.
    cost += left > NOTHING ? left : 0;
    if (cost < best) {
      best = cost;
      found = next;
    }
  }
  return { cost: best, act: acting, ...(found !== undefined && { look: found }) };
}

/** Looks that are followed a second step; the others are worth so much less after one that a second changes nothing. */
const FOLLOWED = 8;

/**
 * Looks two steps ahead: each of the best few, then the best of acting and of one more look. What it gives can be had, so
 * the least possible lies between that and what it would cost if one knew.
 */
export function twoSteps(of: Case): Search {
  const now = act(of, of.now, of.made);
  const [first, second] = [new Float64Array(of.now.length), new Float64Array(of.now.length)];
  const costOf = (look: LookIn, follow: boolean): Ranked => {
    const ready = makeReady(of, look, of.made);
    const own = ready.cost + look.minutes;
    const cost = look.chance.reduce((sum, chance, answer) => {
      after(of.now, chance, first);
      const way = { look: look.look.id, answer: look.answers[answer]! };
      const then = follow
        ? oneStep(of, first, ready.made, { asked: look, way, room: second })
        : act(of, first, ready.made, way);
      return sum + then.cost;
    }, own);
    return { of: look, cost, own };
  };
  const cheapest = (a: Ranked, b: Ranked) => a.cost - b.cost || a.own - b.own;
  const once = of.looks.map((look) => costOf(look, false)).sort(cheapest);
  const looks = [
    ...once.slice(0, FOLLOWED).map((each) => costOf(each.of, true)),
    ...once.slice(FOLLOWED),
  ].sort(cheapest);
  const best = Math.min(now.cost, looks[0]?.cost ?? Number.POSITIVE_INFINITY);
  const known = atLeast(of, of.now, of.mostSpared);
  const quickest = Math.min(...looks.map(({ own }) => own));
  const least = Math.min(now.cost, Number.isFinite(quickest) ? known + quickest : now.cost);
  return { now, looks, exact: false, bound: Math.max(0, best - least) };
}
