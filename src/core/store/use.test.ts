import { describe, expect, it } from "vitest";
import type { Item, KnownItem, Store } from "../formats";
import { librarySheet } from "../job/job.fixtures";
import { freeStock, type Held } from "./free-stock";
import { cardOf, withCard, withoutItem } from "./item-card";
import { chooseKits } from "./kit-choice";
import { notAside } from "./ledger";
import { mergeStores, withoutTwins } from "./merge-stores";
import { orderList } from "./order-list";
import { placeMeant, stockFor } from "./stock";
import { storeOf } from "./store.fixtures";
import { usedUp } from "./used-up";

const sheet = librarySheet("brae-quaywall-4");
const [kit] = sheet.kits.filter(
  ({ lookAlike, generations }) => lookAlike === undefined && generations === undefined,
);
const item: Item = { kind: "kit", id: kit!.id, sheet: sheet.id };
const [first] = kit!.contents;
const newer: Item = { kind: "kit", id: "NEW-1", sheet: sheet.id };
const row = { item, name: kit!.name, place: "van", quantity: 2, price: 40 };
const works = storeOf([row]);
const NOW = Date.parse("2027-03-01T09:00:00Z");
const wanted = [[first!.part, 1]] as const;

describe("what a job used up", () => {
  const { picks } = chooseKits(sheet, wanted, works);

  it("is the kits that had to be opened; good parts of them go back, singly", () => {
    const { taken, back, unknown } = usedUp(sheet, picks, wanted);
    expect(taken).toEqual([{ item, name: kit!.name, from: "van", pieces: 1 }]);
    expect(unknown).toEqual([]);
    const over = kit!.contents.filter(
      ({ part }) => part !== first!.part && sheet.parts.some(({ id }) => id === part),
    );
    expect(back.map((each) => each.item.id).sort()).toEqual(
      [...new Set(over.map(({ part }) => part))].sort(),
    );
  });

  it("is nothing where nothing was fitted, and says what no pick brought", () => {
    expect(usedUp(sheet, picks, [])).toEqual({ taken: [], back: [], unknown: [] });
    expect(usedUp(sheet, [], wanted).unknown).toMatchObject([{ part: first!.part, pieces: 1 }]);
  });

  it("takes single parts before it opens a kit", () => {
    const part: Item = { kind: "part", id: first!.part, sheet: sheet.id };
    const both = chooseKits(sheet, wanted, {
      ...works,
      stock: [row, { item: part, name: "Part", place: "van", quantity: 1, price: 90 }],
    });
    const single = { ...both.picks[0]!, kind: "part" as const, id: first!.part, item: part };
    expect(usedUp(sheet, [...both.picks, single], wanted).taken).toMatchObject([{ item: part, pieces: 1 }]);
  });
});

describe("what replaced an item", () => {
  const shelf = (known: Partial<KnownItem>): Store => ({
    ...works,
    stock: [{ ...row, item: newer, name: "New kit" }],
    items: [{ item, ...known }],
  });

  it("serves in its place, by its own name on the books", () => {
    const { picks } = chooseKits(sheet, wanted, shelf({ replacedBy: newer }));
    expect(picks).toMatchObject([{ id: kit!.id, item: newer, name: "New kit", insteadOf: kit!.name }]);
    expect(chooseKits(sheet, wanted, shelf({ instead: [newer] })).picks).toMatchObject([{ item: newer }]);
    expect(chooseKits(sheet, wanted, shelf({})).picks).toEqual([]);
  });

  it("serves for what was replaced twice, also through a job's own store", () => {
    const middle: Item = { kind: "kit", id: "MID", sheet: "another" };
    const store = {
      ...shelf({ replacedBy: middle }),
      items: [
        { item, replacedBy: middle },
        { item: middle, replacedBy: newer },
      ],
    };
    expect(chooseKits(sheet, wanted, stockFor(sheet, [store])).picks).toMatchObject([{ item: newer }]);
  });
});

describe("what is free", () => {
  const held: Held = { store: "works", place: "van", item, pieces: 2, job: "j1", valve: "H-2" };

  it("is what no open job counts on and nobody put aside; a supplier's is always", () => {
    const store: Store = {
      ...works,
      stock: [
        { ...row, quantity: 5, aside: [{ for: "a round", quantity: 1 }] },
        { ...row, place: "supplier", quantity: 9 },
      ],
    };
    const [free] = freeStock([store], [held, { ...held, place: "supplier" }], NOW);
    expect(free!.stock.map(notAside)).toEqual([2, 9]);
    expect(notAside(freeStock([store], [{ ...held, pieces: 9 }], NOW)[0]!.stock[0]!)).toBe(0);
  });

  it("is all that a plan counts on; what is promised is missing, with what it is for", () => {
    const [free] = freeStock([works], [held], NOW);
    const choice = chooseKits(sheet, wanted, free);
    expect(choice.picks).toEqual([]);
    expect(choice.missing).toMatchObject([
      { part: first!.part, promised: [{ name: kit!.name, place: "Van", for: "H-2" }] },
    ]);
    const one = chooseKits(sheet, wanted, freeStock([works], [{ ...held, pieces: 1 }], NOW)[0]);
    expect(one).toMatchObject({ picks: [{ item, pieces: 1 }], missing: [] });
    expect(chooseKits(sheet, wanted, { ...works, stock: [] }).missing[0]).not.toHaveProperty("promised");
  });

  it("is not what may not be used any more", () => {
    const aged = {
      ...row,
      quantity: 5,
      batches: [
        { until: "2027-02-28", quantity: 2 },
        { until: "2027-03-01", quantity: 1 },
      ],
    };
    const store = { ...works, stock: [{ ...aged, least: 4 }] };
    expect(freeStock([store], [], NOW)[0]!.stock[0]).toMatchObject({ quantity: 3 });
    expect(orderList(store, [], [], [], NOW).order).toMatchObject([{ lines: [{ pieces: 1, free: 3 }] }]);
  });

  it("lies at a place that is still found when a second store names one alike", () => {
    const other: Store = { ...works, id: "other", stock: [] };
    expect(placeMeant([works], "van")).toMatchObject({ store: { id: "works" }, place: { id: "van" } });
    expect(placeMeant([works, other], "other:van")).toMatchObject({ store: { id: "other" } });
    expect(placeMeant([works, other], "van")).toMatchObject({ store: { id: "works" } });
    expect(placeMeant([works], "moon")).toBeUndefined();
  });
});

describe("the order list", () => {
  const low: Store = {
    ...works,
    stock: [
      { ...row, quantity: 1, least: 4 },
      { ...row, place: "loft", quantity: 3, least: 2 },
      { ...row, place: "supplier", quantity: 50, price: 38 },
    ],
  };
  const order = {
    id: "O-1",
    store: "works",
    at: "2027-03-01",
    by: "Ina",
    due: "2027-03-04",
    lines: [{ item, name: kit!.name, to: "van", quantity: 2, price: 38 }],
  };
  const came = (change: number) => ({
    id: "m",
    at: "2027-03-02T09:00:00Z",
    by: "Ina",
    store: "works",
    kind: "in" as const,
    item,
    name: kit!.name,
    place: "van",
    quantity: change,
    change,
    order: "O-1",
  });

  it("fills from what another place can spare, and orders the rest where it is sold", () => {
    const list = orderList(low, [], [], [], NOW);
    expect(list.shift).toMatchObject([{ pieces: 1, from: { id: "loft" }, to: { id: "van" } }]);
    expect(list.order).toMatchObject([
      { supplier: { id: "supplier" }, lines: [{ pieces: 2, price: 38, least: 4, free: 1 }], sum: 76 },
    ]);
  });

  it("counts what is coming, until it has come", () => {
    expect(orderList(low, [], [order], [], NOW).order).toEqual([]);
    expect(orderList(low, [], [order], [came(1)], NOW).order).toMatchObject([
      { lines: [{ pieces: 1, coming: 1 }] },
    ]);
    expect(orderList(low, [], [{ ...order, closed: true }], [], NOW).order).toMatchObject([
      { lines: [{ pieces: 2 }] },
    ]);
  });

  it("orders whole packs of what is sold now, for what open jobs were promised, too", () => {
    const sold: Store = {
      ...low,
      stock: [{ ...row, quantity: 1 }],
      items: [
        { item, replacedBy: newer },
        { item: newer, pack: 5, order: "77-1", supplier: "supplier" },
      ],
    };
    const held = [{ store: "works", place: "van", item, pieces: 3, job: "j1", valve: "H-2" }];
    expect(orderList(sold, held, [], [], NOW).order).toMatchObject([
      { supplier: { id: "supplier" }, lines: [{ buy: newer, order: "77-1", pieces: 5, free: -2 }] },
    ]);
    expect(orderList(sold, [], [], [], NOW).order).toEqual([]);
  });

  it("says where nobody is known to sell it", () => {
    const unsold = { ...low, stock: [{ ...row, quantity: 0, least: 1 }] };
    expect(orderList(unsold, [], [], [], NOW).order).toMatchObject([
      { supplier: undefined, lines: [{ pieces: 1 }] },
    ]);
  });

  it("never takes from a van to fill the shop", () => {
    const shop = {
      ...works,
      stock: [
        { ...row, quantity: 9 },
        { ...row, place: "loft", quantity: 0, least: 2 },
      ],
    };
    expect(orderList(shop, [], [], [], NOW)).toMatchObject({
      shift: [],
      order: [{ lines: [{ pieces: 2 }] }],
    });
  });
});

describe("an item's card", () => {
  it("changes what is known of it and where it may lie, and no pieces", () => {
    const card = cardOf(works, item)!;
    const after = withCard(works, {
      ...card,
      name: "Disc kit",
      order: "77-1",
      lies: [
        { place: "van", price: 41, least: 1 },
        { place: "loft", price: 40 },
      ],
    });
    expect(after.stock).toEqual([
      { ...row, name: "Disc kit", price: 41, least: 1 },
      { ...row, name: "Disc kit", place: "loft", quantity: 0 },
    ]);
    expect(after.items).toEqual([{ item, order: "77-1" }]);
    expect(
      withCard(after, { ...card, lies: [{ place: "loft", price: 40 }] }).stock.map(({ place }) => place),
    ).toEqual(["van", "loft"]);
    expect(withoutItem(after, item)).toEqual({ ...works, stock: [] });
    expect(cardOf(works, newer)).toBeUndefined();
  });

  it("stands at a place once: what stood there twice is put together", () => {
    const twice = {
      ...works,
      stock: [row, { ...row, quantity: 3, name: "The same" }, { ...row, place: "loft" }],
    };
    expect(withoutTwins(twice).stock).toEqual([
      { ...row, quantity: 5 },
      { ...row, place: "loft" },
    ]);
    expect(withoutTwins(works)).toBe(works);
  });

  it("of two people who change different rows of a store, both hold", () => {
    const mine = withCard(works, { ...cardOf(works, item)!, code: "900" });
    const theirs: Store = { ...works, stock: [{ ...row, quantity: 1 }], currency: "SHP" };
    expect(mergeStores(works, mine, theirs)).toEqual({
      ok: true,
      value: { ...mine, stock: [{ ...row, quantity: 1 }] },
    });
    const clash = mergeStores(
      works,
      { ...works, stock: [{ ...row, price: 1 }] },
      { ...works, stock: [{ ...row, price: 2 }] },
    );
    expect(clash).toMatchObject({ ok: false, error: [{ theirs: 2 }] });
  });
});
