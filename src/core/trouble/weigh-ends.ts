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

export interface Acting {
  readonly cost: number;
  readonly end: EndIn;
}

/** What is weighed a hundred thousand times: ends apart, what each is spared by what is made, no list made anew. */
interface Laid {
  readonly final: readonly EndIn[];
  readonly tried: readonly EndIn[];
  /** By what is made, 0 to 7, what each of the final ends is spared. */
  readonly spared: readonly Float64Array[];
}

const laid = new WeakMap<readonly EndIn[], Laid>();

function layOut(ends: readonly EndIn[]): Laid {
  const known = laid.get(ends);
  if (known !== undefined) return known;
  const final = ends.filter((each) => !each.tried);
  const made: Laid = {
    final,
    tried: ends.filter((each) => each.tried),
    spared: Array.from({ length: 8 }, (_, bits) => Float64Array.from(final, (each) => sparedBy(each, bits))),
  };
  laid.set(ends, made);
  return made;
}

/**
 * The cheapest way to act and look no further; an end that is tried costs nothing when it fails but its own minutes, and
 * the cheapest of the others after it.
 *
 * @param belief chance of each hypothesis, of any sum: the cost is of the same sum
 */
export function act(of: Case, belief: Float64Array, made: number, onTheWay?: OnTheWay): Acting {
  const { final, tried, spared } = layOut(of.ends);
  const mass = massOf(belief);
  const best = cheapest(final, spared[made]!, belief, mass);
  let { cost } = best;
  let end = final[best.index]!;
  for (const each of tried) {
    const own = each.minutes * mass;
    if (own >= cost || !mayBeDone(each, of, onTheWay)) continue;
    const rest = belief.map((chance, h) => (each.covers[h] === 1 ? 0 : chance));
    const total = own + cheapest(final, spared[made]!, rest, massOf(rest)).cost;
    if (total < cost) {
      cost = total;
      end = each;
    }
  }
  return { cost, end };
}

/** The cheapest of the ends that end it, whatever it was. */
function cheapest(
  final: readonly EndIn[],
  spared: Float64Array,
  belief: Float64Array,
  mass: number,
): { cost: number; index: number } {
  const count = belief.length;
  let cost = Number.POSITIVE_INFINITY;
  let index = 0;
  for (let at = 0; at < final.length; at++) {
    const by = final[at]!.cost;
    let total = -spared[at]! * mass;
    // What costs more already is not summed up to its end.
    for (let h = 0; h < count && total < cost; h++) total += belief[h]! * by[h]!;
    if (total < cost) {
      cost = total;
      index = at;
    }
  }
  return { cost, index };
}

export function massOf(belief: Float64Array): number {
  let sum = 0;
  for (let h = 0; h < belief.length; h++) sum += belief[h]!;
  return sum;
}

/** What it costs at least, if one knew: no look and no end can do better. */
export function atLeast({ least }: Case, belief: Float64Array, spared = 0): number {
  let total = 0;
  for (let h = 0; h < belief.length; h++) total += belief[h]! * Math.max(0, least[h]! - spared);
  return total;
}
