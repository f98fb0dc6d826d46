import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Item, Movement, Store } from "../formats";
import { type Asked, moved, piecesAt } from "./ledger";

const disc: Item = { kind: "kit", id: "K-31", sheet: "quay" };
const tape: Item = { kind: "supply", id: "tape" };
const works: Store = {
  format: "loftbell.store",
  version: 1,
  id: "works",
  name: "Works",
  currency: "SHP",
  places: [
    { id: "van", name: "Van", kind: "van", days: 0 },
    { id: "loft", name: "Loft", kind: "shop", days: 0 },
  ],
  stock: [{ item: disc, name: "Disc kit", place: "van", quantity: 2, price: 64 }],
};
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
const pieces = (store: Store, place: string) => store.stock.find((row) => row.place === place)?.quantity;
const made = (more: Partial<Asked>, store = works) => {
  const done = moved(store, asked(more));
  if (!done.ok) throw new Error(JSON.stringify(done.error));
  return done.value;
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
  ] as const)("%s of %i leaves %i", (kind, quantity, left) => {
    expect(pieces(made({ kind, quantity }).store, "van")).toBe(left);
  });

  it("from van to loft takes here and puts there, with its name and price", () => {
    const { store } = made({ kind: "moved", to: "loft", quantity: 2 });
    expect([pieces(store, "van"), pieces(store, "loft")]).toEqual([0, 2]);
    expect(store.stock.find(({ place }) => place === "loft")).toMatchObject({ name: "Disc kit", price: 64 });
  });

  it("is refused where there is too little, no such place, nothing, or nobody knows the item", () => {
    const refused = (more: Partial<Asked>) => {
      const done = moved(works, asked(more));
      return done.ok ? "taken" : done.error;
    };
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
    expect(moved(works, asked({ item: tape, name: "PTFE tape", price: 2 })).ok).toBe(true);
  });

  const act = fc.record({
    kind: fc.constantFrom("in", "out", "moved", "used", "back", "counted", "scrapped"),
    place: fc.constantFrom("van", "loft"),
    quantity: fc.nat({ max: 5 }),
  });

  it("never leaves anything below zero, and the stock of any moment is what it was then", () => {
    fc.assert(
      fc.property(fc.array(act, { maxLength: 20 }), (acts) => {
        let store = works;
        const entries: Movement[] = [];
        const then: Store[] = [works];
        for (const [index, { kind, place, quantity }] of acts.entries()) {
          const at = new Date(1000 * (index + 1)).toISOString();
          const to = place === "van" ? "loft" : "van";
          const done = moved(
            store,
            asked({ id: `m${index}`, at, kind, place, quantity, ...(kind === "moved" && { to }) }),
          );
          if (done.ok) {
            store = done.value.store;
            entries.push(done.value.entry);
          }
          then.push(store);
          for (const row of store.stock) expect(row.quantity).toBeGreaterThanOrEqual(0);
        }
        for (const [index, was] of then.entries())
          for (const place of ["van", "loft"])
            expect(piecesAt(store, entries, disc, place, index * 1000)).toBe(pieces(was, place) ?? 0);
      }),
    );
  });
});
