import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { inOrder, type Placed } from "./placing";

const placed = (key: string, ...after: string[]): Placed => ({ key, after: new Set(after) });
const keys = (items: readonly Placed[]) => inOrder(items).map((each) => each.key);

describe("what waits for what", () => {
  it("stands as given where nothing waits", () => {
    expect(keys([placed("b"), placed("a"), placed("c")])).toEqual(["b", "a", "c"]);
  });

  it("stands right behind the last it waits for, and whoever waits for nothing goes ahead", () => {
    expect(keys([placed("a", "c"), placed("b"), placed("c"), placed("d")])).toEqual(["b", "c", "a", "d"]);
  });

  it("waits for nobody who is not there, and not for itself", () => {
    expect(keys([placed("a", "ghost", "a"), placed("b")])).toEqual(["a", "b"]);
  });

  it("a ring stands as given, and loses nobody", () => {
    expect(keys([placed("a", "b"), placed("b", "a"), placed("c")])).toEqual(["c", "a", "b"]);
  });

  /** Each waits only for some of those before it in a hidden order, so that there is an order; given shuffled. */
  const solvable = fc
    .array(fc.array(fc.nat(9), { maxLength: 3 }), { minLength: 1, maxLength: 10 })
    .map((waits) =>
      waits.map((each, index) =>
        placed(`${index}`, ...each.filter((other) => other < index).map((other) => `${other}`)),
      ),
    )
    .chain((items) => fc.shuffledSubarray(items, { minLength: items.length }));

  it("everything once, and behind all it waits for", () => {
    fc.assert(
      fc.property(solvable, (items) => {
        const order = keys(items);
        expect([...order].sort()).toEqual(items.map((each) => each.key).sort());
        for (const { key, after } of items)
          for (const before of after) expect(order.indexOf(before)).toBeLessThan(order.indexOf(key));
      }),
    );
  });

  it("what may come next comes in the order given", () => {
    fc.assert(
      fc.property(solvable, (items) => {
        const order = keys(items);
        const at = (key: string) => items.findIndex((each) => each.key === key);
        order.forEach((key, place) => {
          const done = new Set(order.slice(0, place));
          const earlier = items.slice(0, at(key)).filter((each) => !done.has(each.key));
          // Whoever was given earlier and still waits, waits for somebody.
          for (const each of earlier) expect([...each.after].some((one) => !done.has(one))).toBe(true);
        });
      }),
    );
  });
});
