import { type Case, type EndIn, type LookIn, makeReady } from "./case";
import { after, type Ranked, type Search, twoSteps } from "./next-look";
import { act, atLeast, massOf, mayBeDone, type OnTheWay } from "./weigh-ends";

/** It is worked out to the end where there are no more of them. */
export const MOST_LOOKS = 12;
export const MOST_CAUSES = 8;
/** Moments that are looked at before it is given up: well under a tenth of a second. */
export const MOST_MOMENTS = 2500;
/** min. What could be won by going on is less than this: the moment is left as it is. */
const NOTHING_MIN = 0.002;

/** What stands at a moment of the search: what is likely, what is made, what is left. */
interface Moment {
  readonly belief: Float64Array;
  readonly made: number;
  readonly looks: readonly LookIn[];
  /** Ends that can still be tried; with the others in `of`. */
  readonly tries: readonly EndIn[];
  readonly of: Case;
  readonly way?: OnTheWay;
  /** Which answers and trials led here, whatever their order. */
  readonly key: number;
}

/**
 * The whole tree of looks and answers, each part of it once; nothing where it is too large.
 *
 * What is left out as not worth going on with is less than `NOTHING_MIN` each.
 *
 * @param moments that may be looked at
 */
export function exactly(of: Case, moments = MOST_MOMENTS): Search | undefined {
  const causes = new Set(of.hypotheses.flatMap((each) => each.causes)).size - 1;
  const telling = of.looks.filter(({ chance }) => chance.some((each) => each.some((p) => p !== each[0])));
  if (telling.length > MOST_LOOKS || causes > MOST_CAUSES) return undefined;
  const near = twoSteps(of);
  const tree = new Tree(of, telling, moments);
  // Those that look best go first: what comes after is cut off sooner.
  const order = near.looks.filter((each) => telling.includes(each.of));
  const start = tree.start(order.map((each) => each.of));
  const now = start.tries
    .filter((end) => mayBeDone(end, of))
    .map((end) => ({ end, cost: tree.trial(start, end) }))
    .reduce((best, each) => (each.cost < best.cost ? each : best), near.now);
  let best = now.cost;
  const looks = order.map((each): Ranked => {
    const exact = tree.cost(start, each.of, best);
    if (!(exact < best)) return { ...each, cost: Math.max(each.cost, best) };
    best = exact;
    return { ...each, cost: exact };
  });
  if (tree.givenUp) return undefined;
  return { now, looks: looks.sort((a, b) => a.cost - b.cost || a.own - b.own), exact: true, bound: 0 };
}

class Tree {
  readonly #of: Case;
  readonly #known = new Map<number, number>();
  readonly #stride = new Map<LookIn, number>();
  readonly #triedBit = new Map<EndIn, number>();
  readonly #base: number;
  readonly #cases = new Map<readonly EndIn[], Case>();
  readonly #without = new Map<string, readonly EndIn[]>();
  #left: number;

  constructor(of: Case, telling: readonly LookIn[], moments: number) {
    this.#of = of;
    this.#left = moments;
    let stride = 1;
    for (const look of telling) {
      this.#stride.set(look, stride);
      stride *= look.answers.length + 1;
    }
    for (const end of of.ends)
      if (end.tried) {
        this.#triedBit.set(end, stride);
        stride *= 2;
      }
    this.#base = stride;
  }

  get givenUp(): boolean {
    return this.#left <= 0;
  }

  start(looks: readonly LookIn[]): Moment {
    const of = this.#of;
    return { belief: of.now, made: of.made, looks, tries: of.ends.filter(({ tried }) => tried), of, key: 0 };
  }

  /** Cost of a look and all after it; at least `stop` where it does not come below that. */
  cost(at: Moment, look: LookIn, stop: number): number {
    const ready = makeReady(this.#of, look, at.made);
    const looks = at.looks.filter((each) => each !== look);
    const stride = this.#stride.get(look)!;
    const children = look.chance.map(
      (chance, answer): Moment => ({
        ...at,
        belief: after(at.belief, chance),
        made: ready.made,
        looks,
        way: {
          look: look.look.id,
          answer: look.answers[answer]!,
          ...(at.way !== undefined && { before: at.way }),
        },
        key: at.key + stride * (answer + 1),
      }),
    );
    const floors = children.map((each) => this.#floor(each));
    let total = (ready.cost + look.minutes) * massOf(at.belief) + floors.reduce((sum, each) => sum + each, 0);
    // The likeliest answer first: it decides soonest whether the look is worth it.
    const order = children
      .map((_, index) => index)
      .sort((a, b) => massOf(children[b]!.belief) - massOf(children[a]!.belief));
    for (const answer of order) {
      if (total >= stop) return total;
      total += this.#value(children[answer]!) - floors[answer]!;
    }
    return total;
  }

  /** An end that is tried: done with it, or the rest goes on without what it covers. */
  trial(at: Moment, end: EndIn): number {
    const rest = at.belief.map((each, h) => (end.covers[h] === 1 ? 0 : each));
    const tries = this.#less(at.tries, end);
    return (
      end.minutes * massOf(at.belief) +
      this.#value({
        ...at,
        belief: rest,
        tries,
        of: this.#caseWith(tries),
        key: at.key + this.#triedBit.get(end)!,
      })
    );
  }

  #value(at: Moment): number {
    const key = at.key + this.#base * at.made;
    const before = this.#known.get(key);
    if (before !== undefined) return before;
    if (this.#left-- <= 0) return Number.NaN;
    let best = act(at.of, at.belief, at.made, at.way).cost;
    const worth = () => best - atLeast(this.#of, at.belief, this.#of.mostSpared) > NOTHING_MIN;
    if (worth()) {
      for (const end of at.tries)
        if (mayBeDone(end, this.#of, at.way)) best = Math.min(best, this.trial(at, end));
      for (const look of at.looks) best = Math.min(best, this.cost(at, look, best));
    }
    this.#known.set(key, best);
    return best;
  }

  /** No way on costs less: acting now, or one more look and then knowing. */
  #floor(at: Moment): number {
    const key = at.key + this.#base * at.made;
    const known = this.#known.get(key);
    if (known !== undefined) return known;
    const sure = atLeast(this.#of, at.belief, this.#of.mostSpared);
    if (at.tries.length > 0) return sure;
    const minutes = Math.min(
      ...at.looks.map((look) => makeReady(this.#of, look, at.made).cost + look.minutes),
    );
    return Math.min(act(at.of, at.belief, at.made, at.way).cost, sure + minutes * massOf(at.belief));
  }

  /** The same list for the same trials, whatever their order. */
  #less(tries: readonly EndIn[], end: EndIn): readonly EndIn[] {
    const rest = tries.filter((each) => each !== end);
    const key = rest.map((each) => each.end.id).join(" ");
    const known = this.#without.get(key) ?? rest;
    this.#without.set(key, known);
    return known;
  }

  #caseWith(tries: readonly EndIn[]): Case {
    const known = this.#cases.get(tries) ?? {
      ...this.#of,
      ends: this.#of.ends.filter((each) => !each.tried || tries.includes(each)),
    };
    this.#cases.set(tries, known);
    return known;
  }
}
