/** What is due by now and what rings later, nearest first: so many of the first are worth a card. */
export interface DueList<Of> {
  readonly now: readonly Of[];
  readonly later: readonly Of[];
}

/** @param ringing nearest first · @param room cards that are free */
export function dueList<Of extends { readonly bell: { readonly at: number } }>(
  ringing: readonly Of[],
  now: number,
  room: number,
): DueList<Of> {
  const cards = ringing.filter(({ bell }) => bell.at <= now).slice(0, Math.max(0, room));
  return { now: cards, later: ringing.slice(cards.length) };
}
