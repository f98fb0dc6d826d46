/**
 * The order in which a ring of bolts is pulled so that the joint closes evenly: bolts are numbered round the circle
 * from 0. Multiples of four go quarter by quarter (opposite, then across), as ASME PCC-1's legacy pattern does;
 * other even counts go in opposite pairs; with an odd count each next bolt is the one that keeps the joint most even.
 *
 * @param count bolts, 3 or more · @returns places round the circle in pulling order
 */
export function crossingOrder(count: number): number[] {
  if (!Number.isInteger(count) || count < 3)
    throw new Error(`a bolt circle has 3 or more bolts, not ${count}`);
  if (count % 4 === 0) {
    const quarter = count / 4;
    return spread(quarter).flatMap((first) => [
      first,
      first + 2 * quarter,
      first + quarter,
      first + 3 * quarter,
    ]);
  }
  if (count % 2 === 0) {
    const half = count / 2;
    const step = (half - 1) / 2;
    return Array.from({ length: half }, (_, turn) => (turn * step) % half).flatMap((first) => [
      first,
      first + half,
    ]);
  }
  return evenest(count);
}

/** What an oval weighs beside a pull to one side: with a quarter neither grows with the count. */
const OVAL = 0.25;

/** Each next bolt the one, no neighbour of the last, after which the pulled ones lie most evenly round the circle. */
function evenest(count: number): number[] {
  const left = new Set(Array.from({ length: count }, (_, bolt) => bolt));
  const order: number[] = [];
  let pulled: Sums = [0, 0, 0, 0];
  while (left.size > 0) {
    const [next] = [...left]
      .filter(
        (bolt) => count < LEAST_APART || order.length === 0 || !areNeighbours(bolt, order.at(-1)!, count),
      )
      .map((bolt) => ({ bolt, sums: withBolt(pulled, (2 * Math.PI * bolt) / count) }))
      .sort((a, b) => uneven(a.sums) - uneven(b.sums) || a.bolt - b.bolt);
    if (next === undefined) throw new Error(`${count} bolts leave only neighbours after ${order}`);
    order.push(next.bolt);
    left.delete(next.bolt);
    pulled = next.sums;
  }
  return order;
}

/** Fewer bolts than this have no bolt that is not a neighbour. */
const LEAST_APART = 5;
const areNeighbours = (a: number, b: number, count: number) => [1, count - 1].includes(Math.abs(a - b));

/** Forces of the pulled bolts at their angles, and at twice their angles, added up. */
type Sums = readonly [x: number, y: number, x2: number, y2: number];

const withBolt = ([x, y, x2, y2]: Sums, angle: number): Sums => [
  x + Math.cos(angle),
  y + Math.sin(angle),
  x2 + Math.cos(2 * angle),
  y2 + Math.sin(2 * angle),
];

/** Rounded, so that equal ones are equal and the lower number comes first. */
const uneven = ([x, y, x2, y2]: Sums) =>
  Math.round((x ** 2 + y ** 2 + OVAL * (x2 ** 2 + y2 ** 2)) * 1e9) / 1e9;

/** 0 … size−1, neighbours kept apart: 0 2 1 3 · 0 2 4 1 3 · 0 3 1 4 2 5. */
function spread(size: number): number[] {
  if (size < 4) return Array.from({ length: size }, (_, index) => index);
  const half = size / 2;
  return size % 2 === 0
    ? Array.from({ length: half }, (_, index) => [index, index + half]).flat()
    : [...range(0, size, 2), ...range(1, size, 2)];
}

const range = (from: number, to: number, step: number) =>
  Array.from({ length: Math.ceil((to - from) / step) }, (_, index) => from + index * step);
