import { describe, expect, it } from "vitest";
import type { Sheet, Store } from "../formats";
import { demoDocument, librarySheet } from "../job/job.fixtures";
import { chooseKits, stockFor } from ".";

const sheet = librarySheet("brae-quaywall-4");
const store = demoDocument<Store>("stores/works-store.json");
const choose = (parts: Record<string, number>, generation = "C", from: Store | undefined = store) =>
  chooseKits(sheet, new Map(Object.entries(parts)), from, generation);

/** A valve of two parts, and a kit with two rings. */
const twoParts = {
  ...sheet,
  id: "two-parts",
  parts: [{ ...sheet.parts[0]!, id: "ring", name: "Ring" }],
  singles: ["ring"],
  kits: [
    {
      id: "pair",
      name: "Pair",
      contents: [{ part: "ring", quantity: 2 }],
      leftovers: [{ name: "Tag", quantity: 1, why: "For the valve." }],
    },
  ],
} as Sheet;

type Lies = readonly [kind: "kit" | "part", id: string, place: string, quantity: number, price: number];

const storeOf = (stock: readonly Lies[], id = "store"): Store => ({
  format: "loftbell.store",
  version: 1,
  id,
  name: id,
  currency: "SHP",
  places: [
    { id: "van", name: "Van", kind: "van", days: 0 },
    { id: "loft", name: "Loft", kind: "shop", days: 0 },
    { id: "supplier", name: "Supplier", kind: "supplier", days: 3 },
  ],
  stock: stock.map(([kind, item, place, quantity, price]) => ({
    item: { kind, id: item },
    name: item,
    place,
    quantity,
    price,
  })),
});

const chooseFrom = (needs: Record<string, number>, stock: readonly Lies[]) =>
  chooseKits(twoParts, new Map(Object.entries(needs)), storeOf(stock));

describe("kit choice", () => {
  it("takes single parts when they are cheaper than the kit", () => {
    expect(choose({ "gland-gasket": 1, "nozzle-gasket": 1 }).picks.map((pick) => pick.id)).toEqual([
      "gland-gasket",
      "nozzle-gasket",
    ]);
  });

  it("takes the kit when only the kit has the part, and says what is left over", () => {
    const choice = choose({ disc: 1, "friction-ring": 1 });
    expect(choice.picks.map((pick) => pick.id)).toEqual(["BF-K31"]);
    expect(choice.leftovers.map((left) => left.name)).toEqual([
      "White shim ring",
      "Square ring, 3 mm",
      "Stem ring",
      "Gland gasket",
      "Nozzle gasket",
    ]);
  });

  it("rather has it today than cheaper in three days", () => {
    expect(choose({ "friction-ring": 1 }).days).toBe(0);
  });

  it("offers only the kit of this generation, and names the look-alike", () => {
    const choice = choose({ disc: 1 }, "A");
    expect(choice.picks.map((pick) => pick.id)).toEqual(["BF-K21"]);
    expect(choice.doNotTake.map((kit) => kit.id)).toEqual(["BF-K31"]);
  });

  it("names what no stock has", () => {
    expect(choose({ nozzle: 1 }).missing).toEqual([{ part: "nozzle", name: "Nozzle", pieces: 1 }]);
    expect(chooseKits(sheet, new Map([["disc", 1]]), undefined).missing).toEqual([
      { part: "disc", name: "Outlet disc", pieces: 1 },
    ]);
  });

  it("wants nothing when nothing is renewed", () => {
    expect(choose({})).toMatchObject({ picks: [], missing: [], leftovers: [], price: 0 });
  });

  it("counts: two of one kit, the rest singly, from wherever it lies", () => {
    const choice = chooseFrom({ ring: 5 }, [
      ["kit", "pair", "van", 2, 3],
      ["part", "ring", "loft", 9, 2],
    ]);
    expect(choice.picks.map((pick) => [pick.pieces, pick.id, pick.place, pick.price])).toEqual([
      [2, "pair", "Van", 6],
      [1, "ring", "Loft", 2],
    ]);
    expect(choice).toMatchObject({ price: 8, exact: true, missing: [], days: 0 });
  });

  it("brings what there is of a part and says how many pieces no place has", () => {
    const choice = chooseFrom({ ring: 5 }, [["part", "ring", "loft", 3, 2]]);
    expect(choice.picks.map((pick) => pick.pieces)).toEqual([3]);
    expect(choice.missing).toEqual([{ part: "ring", name: "Ring", pieces: 2 }]);
  });

  it("sees dozens of candidates: twenty single parts are all found", () => {
    const parts = Array.from({ length: 20 }, (_, at) => `part-${at}`);
    const choice = chooseFrom(
      Object.fromEntries(parts.map((part) => [part, 1])),
      parts.map((part) => ["part", part, "van", 1, 1]),
    );
    expect(choice.picks).toHaveLength(20);
    expect(choice).toMatchObject({ price: 20, exact: true, missing: [] });
  });

  it("says the second best, which may have to be waited for", () => {
    const dear = chooseFrom({ ring: 1 }, [
      ["part", "ring", "van", 1, 2],
      ["kit", "pair", "loft", 1, 5],
    ]);
    expect(dear.second).toMatchObject({ price: 5, days: 0, picks: [{ id: "pair" }] });
    const late = chooseFrom({ ring: 1 }, [
      ["part", "ring", "van", 1, 2],
      ["kit", "pair", "supplier", 1, 1],
    ]);
    expect(late).toMatchObject({ price: 2, second: { price: 1, days: 3 } });
    expect(chooseFrom({ ring: 1 }, [["part", "ring", "van", 1, 2]]).second).toBeUndefined();
  });

  it("leaves over what a kit has too much of, as often as the kit is taken", () => {
    const choice = chooseFrom({ ring: 3 }, [["kit", "pair", "van", 2, 3]]);
    expect(choice.leftovers.map((left) => [left.name, left.quantity])).toEqual([
      ["Tag", 2],
      ["Ring", 1],
    ]);
  });
});

describe("the stock of several stores", () => {
  const [works, quay] = [
    storeOf([["part", "ring", "van", 1, 2]], "works"),
    storeOf([["part", "ring", "van", 4, 3]], "quay"),
  ];

  it("is seen as one; places of equal id stay two", () => {
    const all = stockFor(twoParts, [works, quay]);
    expect(all?.places.filter(({ name }) => name === "Van").map(({ id }) => id)).toEqual([
      "works:van",
      "quay:van",
    ]);
    expect(chooseKits(twoParts, new Map([["ring", 3]]), all)).toMatchObject({ price: 8, missing: [] });
  });

  it("is what this sheet may need, and is none without a store", () => {
    const other = {
      ...works,
      stock: works.stock.map((each) => ({ ...each, item: { ...each.item, sheet: "another" } })),
    };
    expect(stockFor(twoParts, [other, quay])?.stock.map(({ place }) => place)).toEqual(["quay:van"]);
    expect(stockFor(twoParts, [])).toBeUndefined();
  });
});
