/**
 * The order in which a ring of bolts is pulled so that the joint closes evenly: bolts are numbered round the circle
 * from 0. Multiples of four go quarter by quarter (opposite, then across), as ASME PCC-1's legacy pattern does;
 * other even counts go in opposite pairs; odd counts step round by just under half.
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
  const step = (count - 1) / 2;
  return Array.from({ length: count }, (_, turn) => (turn * step) % count);
}

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
