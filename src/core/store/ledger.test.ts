import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Item, Movement, Store } from "../formats";
import { bookEntries } from "./book-entries";
import { type Asked, moved, stockAt, undone } from "./ledger";
import { storeOf } from "./store.fixtures";

const disc: Item = { kind: "kit", id: "K-31", sheet: "quay" };
const tape: Item = { kind: "supply", id: "tape" };
const works = storeOf([{ item: disc, name: "Disc kit", place: "van", quantity: 2, price: 64 }]);
const asked = (more: Partial<Asked>): Asked => ({
  id: "m",
  at: "2027-03-01T09:00:00Z",
  by: "Tam",
  kind: "in",
  item: disc,
  place: "van",
  quantity: 1,
  ...more,
});
const rowOf = (store: Store, place: string) => store.stock.find((row) => row.place === place);
const pieces = (store: Store, place: string) => rowOf(store, place)?.quantity;
const made = (more: Partial<Asked>, store = works) => {
  const done = moved(store, asked(more));
  if (!done.ok) throw new Error(JSON.stringify(done.error));
  return done.value;
};
const refused = (more: Partial<Asked>, store = works) => {
  const done = moved(store, asked(more));
  return done.ok ? "taken" : done.error;
};

describe("a movement", () => {
  it.each([
    ["in", 3, 5],
    ["back", 1, 3],
    ["out", 2, 0],
    ["used", 1, 1],
    ["scrapped", 1, 1],
    ["counted", 7, 7],
    ["counted", 0, 0],
    ["aside", 2, 2],
  ] as const)("%s of %i leaves %i", (kind, quantity, left) => {
    expect(pieces(made({ kind, quantity }).store, "van")).toBe(left);
  });

  it("from van to loft takes here and puts there, with its name and price", () => {
    const { store } = made({ kind: "moved", to: "loft", quantity: 2 });
    expect([pieces(store, "van"), pieces(store, "loft")]).toEqual([0, 2]);
    expect(rowOf(store, "loft")).toMatchObject({ name: "Disc kit", price: 64 });
  });

  it("that is none from place to place has no other place", () => {
    const { store, entry } = made({ kind: "in", to: "loft", quantity: 2 });
    expect(entry.to).toBeUndefined();
    expect(stockAt(store, [entry], 0).map(({ quantity }) => quantity)).toEqual([2]);
  });

  it("is refused where there is too little, no such place, nothing, or nobody knows the item", () => {
    expect(refused({ kind: "out", quantity: 3 })).toEqual({
      kind: "too-few",
      name: "Disc kit",
      place: "van",
      have: 2,
    });
    expect(refused({ kind: "used", place: "loft" })).toMatchObject({ kind: "too-few", have: 0 });
    expect(refused({ place: "moon" })).toEqual({ kind: "no-such-place", place: "moon" });
    expect(refused({ quantity: 0 })).toEqual({ kind: "nothing" });
    expect(refused({ kind: "moved", to: "van" })).toEqual({ kind: "same-place", place: "van" });
    expect(refused({ item: tape })).toMatchObject({ kind: "no-such-item" });
    expect(refused({ item: tape, name: "PTFE tape", price: 2 })).toBe("taken");
  });

  it("of a count is refused where something was moved while it was counted", () => {
    expect(refused({ kind: "counted", quantity: 5, was: 3 })).toMatchObject({
      kind: "counted-meanwhile",
      have: 2,
    });
    expect(refused({ kind: "counted", quantity: 5, was: 2 })).toBe("taken");
  });

  it("at a price is the price of the place from then on", () => {
    expect(rowOf(made({ price: 70 }).store, "van")?.price).toBe(70);
    expect(rowOf(made({}).store, "van")?.price).toBe(64);
  });
});

describe("pieces that age", () => {
  const aged = made(
    { quantity: 3, until: "2027-06-30" },
    made({ quantity: 2, until: "2027-04-30" }).store,
  ).store;

  it("go earliest first, those without a date last", () => {
    expect(rowOf(aged, "van")?.batches).toEqual([
      { until: "2027-04-30", quantity: 2 },
      { until: "2027-06-30", quantity: 3 },
    ]);
    const out = made({ kind: "used", quantity: 3 }, aged);
    expect(out.entry.batches).toEqual([
      { until: "2027-04-30", quantity: 2 },
      { until: "2027-06-30", quantity: 1 },
    ]);
    expect(rowOf(out.store, "van")?.batches).toEqual([{ until: "2027-06-30", quantity: 2 }]);
  });

  it("can be thrown away by their day, and no more of them than there are", () => {
    const out = made({ kind: "scrapped", quantity: 2, until: "2027-06-30" }, aged);
    expect(rowOf(out.store, "van")?.batches).toEqual([
      { until: "2027-04-30", quantity: 2 },
      { until: "2027-06-30", quantity: 1 },
    ]);
    expect(refused({ kind: "scrapped", quantity: 4, until: "2027-06-30" }, aged)).toEqual({
      kind: "not-of-that-day",
      name: "Disc kit",
      until: "2027-06-30",
      have: 3,
    });
  });

  it("go along when they are moved, and come back when that is taken back", () => {
    const there = made({ kind: "moved", to: "loft", quantity: 2 }, aged);
    expect(rowOf(there.store, "loft")?.batches).toEqual([{ until: "2027-04-30", quantity: 2 }]);
    const back = undone(there.store, there.entry, { id: "u", at: "2027-03-02T09:00:00Z", by: "Ina" });
    expect(back.ok && rowOf(back.value.store, "van")).toEqual(rowOf(aged, "van"));
    expect(back.ok && rowOf(back.value.store, "loft")?.batches).toBeUndefined();
  });

  it("that a count did not find were the earliest", () => {
    expect(rowOf(made({ kind: "counted", quantity: 3 }, aged).store, "van")?.batches).toEqual([
      { until: "2027-06-30", quantity: 1 },
    ]);
  });
});

describe("pieces put aside", () => {
  const kept = made({ kind: "aside", quantity: 2, why: "Thursday's round" }).store;

  it("lie there and are not promised twice", () => {
    expect(rowOf(kept, "van")).toMatchObject({
      quantity: 2,
      aside: [{ for: "Thursday's round", quantity: 2 }],
    });
    expect(refused({ kind: "aside", quantity: 1, why: "the Lido" }, kept)).toMatchObject({
      kind: "too-few",
      have: 0,
    });
  });

  it("are freed by what they were for, no more than there are", () => {
    expect(refused({ kind: "freed", quantity: 1, why: "the Lido" }, kept)).toMatchObject({
      kind: "not-aside",
    });
    const freed = made({ kind: "freed", quantity: 1, why: "Thursday's round" }, kept).store;
    expect(rowOf(freed, "van")?.aside).toEqual([{ for: "Thursday's round", quantity: 1 }]);
    expect(
      rowOf(made({ kind: "freed", quantity: 1, why: "Thursday's round" }, freed).store, "van")?.aside,
    ).toBeUndefined();
  });
});

describe("an entry taken back", () => {
  const as = { id: "u", at: "2027-03-02T09:00:00Z", by: "Ina" };

  it("leaves the stock as if it had not been, by a contrary entry", () => {
    const came = made({ quantity: 4, price: 70 });
    const priced = { ...came.entry, before: 64 };
    const back = undone(came.store, priced, as);
    expect(back.ok && back.value.store).toEqual(works);
    expect(back.ok && back.value.entry).toMatchObject({ kind: "undone", undoes: "m", change: -4, by: "Ina" });
  });

  it("is refused where what came is gone, and is not taken back itself", () => {
    const came = made({ quantity: 4 });
    const gone = made({ kind: "out", quantity: 5 }, came.store);
    expect(undone(gone.store, came.entry, as)).toMatchObject({ error: { kind: "too-few", have: 1 } });
    const there = made({ kind: "moved", to: "loft", quantity: 2 });
    const used = made({ kind: "used", place: "loft", quantity: 1 }, there.store);
    expect(undone(used.store, there.entry, as)).toMatchObject({ error: { kind: "too-few", place: "loft" } });
    const back = undone(came.store, came.entry, as);
    expect(back.ok && undone(back.value.store, back.value.entry, as)).toMatchObject({
      error: { kind: "undone-already" },
    });
  });
});

describe("the ledger", () => {
  const act = fc.record({
    kind: fc.constantFrom("in", "out", "moved", "used", "back", "counted", "scrapped", "aside", "freed"),
    place: fc.constantFrom("van", "loft"),
    quantity: fc.nat({ max: 5 }),
    until: fc.option(fc.constantFrom("2027-04-30", "2027-06-30"), { nil: undefined }),
    takenBack: fc.boolean(),
  });

  it("never leaves anything below zero, and the stock of any moment is what it was then", () => {
    fc.assert(
      fc.property(fc.array(act, { maxLength: 20 }), (acts) => {
        let store = works;
        const entries: Movement[] = [];
        const then: Store[] = [works];
        for (const [index, { kind, place, quantity, until, takenBack }] of acts.entries()) {
          const at = new Date(1000 * (index + 1)).toISOString();
          const to = place === "van" ? "loft" : "van";
          const last = entries.at(-1);
          const done =
            takenBack && last !== undefined
              ? undone(store, last, { id: `m${index}`, at, by: "Ina" })
              : moved(
                  store,
                  asked({
                    id: `m${index}`,
                    at,
                    kind,
                    place,
                    quantity,
                    why: "a round",
                    ...(kind === "moved" && { to }),
                    ...(until !== undefined && { until }),
                  }),
                );
          if (done.ok) {
            store = done.value.store;
            entries.push(done.value.entry);
          }
          then.push(store);
          for (const { quantity: left, batches = [] } of store.stock) {
            expect(left).toBeGreaterThanOrEqual(0);
            expect(batches.reduce((sum, each) => sum + each.quantity, 0)).toBeLessThanOrEqual(left);
          }
        }
        for (const [index, was] of then.entries()) {
          for (const row of stockAt(store, entries, index * 1000))
            expect(row.quantity).toBe(pieces(was, row.place) ?? 0);
        }
      }),
    );
  });

  it("says of a store that was changed as a whole what was counted and priced by it", () => {
    let number = 0;
    const as = { at: "2027-03-02T09:00:00Z", by: "Ina", newId: () => `b${++number}` };
    const after: Store = {
      ...works,
      stock: [
        { item: disc, name: "Disc kit", place: "van", quantity: 2, price: 70 },
        { item: tape, name: "PTFE tape", place: "loft", quantity: 6, price: 2 },
      ],
    };
    expect(bookEntries(works, after, as)).toEqual([
      expect.objectContaining({ kind: "priced", item: disc, change: 0, price: 70, before: 64 }),
      expect.objectContaining({ kind: "counted", item: tape, quantity: 6, change: 6, price: 2 }),
    ]);
    expect(bookEntries(after, { ...after, stock: [] }, as).map(({ change }) => change)).toEqual([-2, -6]);
    expect(bookEntries(after, after, as)).toEqual([]);
  });
});
