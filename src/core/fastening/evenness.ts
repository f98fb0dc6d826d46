/** How a tightening order draws a joint to: what is wrong with it, and how far to one side it pulls. */
export interface Evenness {
  /** Bolts that stand in it twice, and that are missing, numbered from 1. */
  readonly twice: readonly number[];
  readonly missing: readonly number[];
  /** The second pull is not opposite the first. */
  readonly notOpposite: boolean;
  /** The first pull that comes right after its neighbour, counted from 1. */
  readonly neighbourAt: number | undefined;
  /** Largest pull to one side, in bolts: the bolts pulled so far, as forces at their places, added up. */
  readonly oneSided: number;
  /** After how many pulls that is. */
  readonly oneSidedAt: number;
  /** Largest pull into an oval, in bolts: two opposite sides pressed while the other two gape. */
  readonly oval: number;
}

/** Fewer bolts than this have no bolt that is not a neighbour. */
const LEAST_APART = 5;

/**
 * Judges an order by what it does to the joint. Each pulled bolt presses at its place on the circle; the sum of those
 * forces as vectors is how far the cover is pressed to one side (0 when even, n/π for half the circle pulled in turn).
 * The same with twice the angle counts opposite bolts together: how far two sides are down and the two between them not.
 *
 * @param order bolts in pulling order, numbered round the circle from 1
 */
export function evennessOf(order: readonly number[], bolts: number): Evenness {
  const seen = new Set<number>();
  const twice = order.filter((bolt) => {
    const again = seen.has(bolt);
    seen.add(bolt);
    return again;
  });
  const missing = Array.from({ length: bolts }, (_, index) => index + 1).filter((bolt) => !seen.has(bolt));
  const apart = (a: number, b: number) =>
    Math.min((((a - b) % bolts) + bolts) % bolts, (((b - a) % bolts) + bolts) % bolts);
  const [first, second] = order;
  const neighbour =
    bolts < LEAST_APART
      ? -1
      : order.findIndex((bolt, index) => index > 0 && apart(bolt, order[index - 1]!) === 1);
  const toOneSide = sums(order, bolts, 1);
  const oneSided = Math.max(0, ...toOneSide);
  return {
    twice: [...new Set(twice)],
    missing,
    notOpposite: first !== undefined && second !== undefined && apart(first, second) < Math.floor(bolts / 2),
    neighbourAt: neighbour < 0 ? undefined : neighbour + 1,
    oneSided,
    oneSidedAt: toOneSide.findIndex((sum) => sum > oneSided - 1e-9) + 1,
    oval: Math.max(0, ...sums(order, bolts, 2)),
  };
}

/** Length of the sum of the forces after each pull, the angles taken so many times. */
function sums(order: readonly number[], bolts: number, times: number): number[] {
  let [x, y] = [0, 0];
  return order.map((bolt) => {
    const angle = (2 * Math.PI * bolt * times) / bolts;
    [x, y] = [x + Math.cos(angle), y + Math.sin(angle)];
    return Math.hypot(x, y);
  });
}
