/** Numbers from 0 to 1 that are the same for a seed every time (mulberry32): what is made with them can be made again. */
export function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** The same things in an order that chance gives (Fisher and Yates). */
export function shuffled<T>(list: readonly T[], random: () => number): T[] {
  const mixed = [...list];
  for (let at = mixed.length - 1; at > 0; at--) {
    const other = Math.floor(random() * (at + 1));
    [mixed[at], mixed[other]] = [mixed[other]!, mixed[at]!];
  }
  return mixed;
}
