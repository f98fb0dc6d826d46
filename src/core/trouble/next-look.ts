import { type Case, type LookIn, makeReady } from "./case";
import { type Acting, act, atLeast, type OnTheWay } from "./weigh-ends";

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

export function massOf(belief: Float64Array): number {
  let sum = 0;
  for (let h = 0; h < belief.length; h++) sum += belief[h]!;
  return sum;
}

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
    for (let answer = 0; answer < next.chance.length && cost < best; answer++) {
      after(belief, next.chance[answer]!, room);
      const before = way === undefined ? {} : { before: way };
      cost += act(of, room, ready.made, {
        look: next.look.id,
        answer: next.answers[answer]!,
        ...before,
      }).cost;
    }
    if (cost < best) {
      best = cost;
      found = next;
    }
  }
  return { cost: best, act: acting, ...(found !== undefined && { look: found }) };
}

/**
 * Looks two steps ahead: each look, then the best of acting and of one more look. What it gives can be had, so the least
 * possible lies between that and what it would cost if one knew.
 */
export function twoSteps(of: Case): Search {
  const now = act(of, of.now, of.made);
  const [first, second] = [new Float64Array(of.now.length), new Float64Array(of.now.length)];
  const looks = of.looks
    .map((look): Ranked => {
      const ready = makeReady(of, look, of.made);
      const own = ready.cost + look.minutes;
      const cost = look.chance.reduce((sum, chance, answer) => {
        after(of.now, chance, first);
        const way = { look: look.look.id, answer: look.answers[answer]! };
        return sum + oneStep(of, first, ready.made, { asked: look, way, room: second }).cost;
      }, own);
      return { of: look, cost, own };
    })
    .sort((a, b) => a.cost - b.cost || a.own - b.own);
  const best = Math.min(now.cost, looks[0]?.cost ?? Number.POSITIVE_INFINITY);
  const known = atLeast(of, of.now, of.mostSpared);
  const cheapest = Math.min(...looks.map(({ own }) => own));
  const least = Math.min(now.cost, Number.isFinite(cheapest) ? known + cheapest : now.cost);
  return { now, looks, exact: false, bound: Math.max(0, best - least) };
}
