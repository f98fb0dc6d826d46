import fc from "fast-check";
import type { CoverQuestion } from "../formats";
import { seeded } from "../seeded";
import type { Offer, Pieces } from "./cover";

/** What is needed and what can be had, small enough that every purchase can be tried. */
export const smallStore: fc.Arbitrary<{ needs: Pieces; offers: Offer[] }> = fc
  .tuple(
    fc.array(fc.integer({ min: 0, max: 4 }), { minLength: 1, maxLength: 4 }),
    fc.array(
      fc.record({
        item: fc.constantFrom("a", "b", "c", "d", "e"),
        price: fc.integer({ min: 0, max: 30 }),
        atMost: fc.integer({ min: 0, max: 3 }),
        contents: fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 4, maxLength: 4 }),
      }),
      { maxLength: 5 },
    ),
  )
  .map(([needs, offers]) => ({
    needs: piecesOf(needs),
    offers: offers.map((offer) => ({ ...offer, contents: piecesOf(offer.contents) })),
  }));

const piecesOf = (list: readonly number[]): Pieces => new Map(list.map((pieces, at) => [`p${at}`, pieces]));

/** Every purchase there is that covers, by trying all counts of all offers. */
export function* everyCover(needs: Pieces, offers: readonly Offer[]): Generator<number[]> {
  const counts = offers.map(() => 0);
  for (;;) {
    const covers = [...needs].every(
      ([part, pieces]) =>
        offers.reduce((sum, { contents }, at) => sum + (contents.get(part) ?? 0) * counts[at]!, 0) >= pieces,
    );
    if (covers) yield [...counts];
    let at = 0;
    while (at < offers.length && counts[at] === offers[at]!.atMost) counts[at++] = 0;
    if (at === offers.length) return;
    counts[at]!++;
  }
}

export const priceOf = (offers: readonly Offer[], counts: readonly number[]): number =>
  offers.reduce((sum, { price }, at) => sum + price * counts[at]!, 0);

/** A question as a round of valves asks it: parts in groups, kits for one group or several, seeded. */
export function bigQuestion(seed: number, parts = 40, kits = 60): CoverQuestion {
  const next = seeded(seed);
  const groups = 6;
  const quantity = Array.from({ length: parts }, () => 1 + Math.floor(next() * next() * 6));
  const price = quantity.map(() => 50 + Math.floor(next() * next() * 4000));
  const groupOf = (part: number) => Math.floor((part * groups) / parts);
  return {
    needed: quantity.flatMap((qty, part) => (next() < 0.7 ? [{ part: `p${part}`, qty }] : [])),
    kits: Array.from({ length: kits }, (_, kit) => {
      const from = Math.floor(next() * groups);
      const to = from + Math.floor(next() * next() * groups);
      const share = 0.4 + 0.6 * next();
      const contents = quantity.flatMap((qty, part) =>
        groupOf(part) >= from && groupOf(part) <= to && next() < share ? [{ part: `p${part}`, qty }] : [],
      );
      const singly = contents.reduce((sum, { part, qty }) => sum + qty * price[Number(part.slice(1))]!, 0);
      return {
        id: `k${kit}`,
        price_cents: Math.round(singly * (0.5 + 0.4 * next())),
        in_stock: next() < 0.9,
        contents,
      };
    }),
    parts: price.map((price_cents, part) => ({ part: `p${part}`, price_cents, in_stock: true })),
  };
}
