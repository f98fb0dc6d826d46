import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cheapestCover, type Offer, secondCover } from "./cover";
import { everyCover, priceOf, smallStore } from "./cover.fixtures";
import type { IntegerSolver } from "./integer-program";
import { smallSolver } from "./small-solver";

const offer = (item: string, price: number, atMost: number, contents: Record<string, number>): Offer => ({
  item,
  price,
  atMost,
  contents: new Map(Object.entries(contents)),
});
const taken = (cover: ReturnType<typeof cheapestCover>) =>
  cover?.taken.map(({ offer: { item }, count }) => `${count} ${item}`);
const best = (needs: Record<string, number>, offers: Offer[], solve: IntegerSolver = smallSolver) =>
  cheapestCover(new Map(Object.entries(needs)), offers, solve);

describe("the cheapest cover", () => {
  it("takes some from a kit and the rest singly", () => {
    const offers = [offer("kit", 500, 9, { ring: 2, disc: 1 }), offer("ring", 90, 9, { ring: 1 })];
    expect(taken(best({ ring: 3, disc: 1 }, offers))).toEqual(["1 kit", "1 ring"]);
  });

  it("takes several of one kit when that is cheaper than the large one", () => {
    const offers = [offer("small", 100, 9, { ring: 2 }), offer("large", 310, 9, { ring: 6 })];
    expect(best({ ring: 5 }, offers)).toMatchObject({ price: 300, exact: true });
  });

  it("takes from a second place what the first has too few of", () => {
    const offers = [offer("ring", 10, 2, { ring: 1 }), offer("ring", 12, 9, { ring: 1 })];
    expect(best({ ring: 5 }, offers)).toMatchObject({ price: 56, exact: true });
  });

  it("of equally cheap ones takes the one with fewest pieces", () => {
    const offers = [offer("ring", 10, 9, { ring: 1 }), offer("pair", 20, 9, { ring: 2 })];
    expect(taken(best({ ring: 4 }, offers))).toEqual(["2 pair"]);
  });

  it("takes nothing when nothing is needed, not even what costs nothing", () => {
    expect(best({ ring: 0 }, [offer("gift", 0, 9, { ring: 1 })])).toEqual({
      taken: [],
      price: 0,
      exact: true,
    });
    expect(best({}, [])).toEqual({ taken: [], price: 0, exact: true });
  });

  it("is none when one piece cannot be had", () => {
    expect(best({ ring: 3 }, [offer("ring", 10, 2, { ring: 1 })])).toBeUndefined();
  });

  it("is as cheap as the cheapest of all purchases, whatever the order of the list", () => {
    let covered = 0;
    fc.assert(
      fc.property(smallStore, ({ needs, offers }) => {
        const cheapest = Math.min(...[...everyCover(needs, offers)].map((counts) => priceOf(offers, counts)));
        const found = cheapestCover(needs, offers, smallSolver);
        if (found !== undefined) covered++;
        expect(found?.price ?? Number.POSITIVE_INFINITY).toBe(cheapest);
        expect(cheapestCover(needs, [...offers].reverse(), smallSolver)?.price).toBe(found?.price);
      }),
      { numRuns: 400 },
    );
    expect(covered).toBeGreaterThan(100);
  });

  it("of a solver that gives up takes what covers and says that it is not proven", () => {
    const offers = [offer("ring", 10, 9, { ring: 1 }), offer("dear", 99, 1, { ring: 1 })];
    expect(best({ ring: 2 }, offers, () => undefined)).toMatchObject({ price: 20, exact: false });
  });

  it("does not believe a solver whose answer does not cover", () => {
    const wrong: IntegerSolver = ({ variables }) => ({ values: variables.map(() => 0), proven: true });
    expect(best({ ring: 2 }, [offer("ring", 10, 9, { ring: 1 })], wrong)).toMatchObject({
      price: 20,
      exact: false,
    });
  });

  it("takes out what a solver took too much of", () => {
    const much: IntegerSolver = ({ variables }) => ({
      values: variables.map(({ most }) => most),
      proven: true,
    });
    const offers = [offer("ring", 10, 9, { ring: 1 }), offer("pair", 30, 9, { ring: 2 })];
    expect(taken(best({ ring: 2 }, offers, much))).toEqual(["2 ring"]);
  });
});

describe("the second best cover", () => {
  const second = (needs: Record<string, number>, offers: Offer[]) => {
    const wanted = new Map(Object.entries(needs));
    return secondCover(wanted, offers, cheapestCover(wanted, offers, smallSolver)!, smallSolver);
  };

  it("leaves something out that the best one takes", () => {
    const offers = [
      offer("kit", 50, 9, { ring: 1, disc: 1 }),
      offer("ring", 30, 9, { ring: 1 }),
      offer("disc", 40, 9, { disc: 1 }),
    ];
    expect(taken(second({ ring: 1, disc: 1 }, offers))).toEqual(["1 ring", "1 disc"]);
  });

  it("is none when there is no other way; the same from another place is no other way", () => {
    expect(
      second({ ring: 2 }, [offer("ring", 10, 9, { ring: 1 }), offer("ring", 11, 9, { ring: 1 })]),
    ).toBeUndefined();
    expect(second({}, [])).toBeUndefined();
  });

  it("is the cheapest of all that take fewer of something", () => {
    let compared = 0;
    fc.assert(
      fc.property(smallStore, ({ needs, offers }) => {
        const first = cheapestCover(needs, offers, smallSolver);
        if (first === undefined) return;
        const perItem = (counts: readonly number[]) => {
          const sums = new Map<string, number>();
          for (const [at, { item }] of offers.entries()) sums.set(item, (sums.get(item) ?? 0) + counts[at]!);
          return sums;
        };
        const had = new Map<string, number>();
        for (const {
          offer: { item },
          count,
        } of first.taken)
          had.set(item, (had.get(item) ?? 0) + count);
        const others = [...everyCover(needs, offers)].filter((counts) => {
          const sums = perItem(counts);
          return [...had].some(([item, count]) => sums.get(item)! < count);
        });
        const cheapest = Math.min(...others.map((counts) => priceOf(offers, counts)));
        if (others.length > 0) compared++;
        expect(secondCover(needs, offers, first, smallSolver)?.price ?? Number.POSITIVE_INFINITY).toBe(
          cheapest,
        );
      }),
      { numRuns: 300 },
    );
    expect(compared).toBeGreaterThan(40);
  });
});
