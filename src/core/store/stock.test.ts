import { describe, expect, it } from "vitest";
import type { Store } from "../formats";
import { librarySheet } from "../job/job.fixtures";
import { checkStore, chooseKits, stockFor } from ".";
import { lyingFor } from "./stock";
import { storeOf } from "./store.fixtures";

const sheet = librarySheet("brae-quaywall-4");

type Item = Store["stock"][number];
const lies = (
  id: string,
  place: string,
  more: Partial<Item> & { of?: string; kind?: Item["item"]["kind"] } = {},
) => {
  const { of, kind = "part", ...rest } = more;
  const item = { kind, id, ...(of !== undefined && { sheet: of }) } as Item["item"];
  return { item, name: id, place, quantity: 2, price: 3, ...rest };
};
describe("a store that is wrong is told where", () => {
  it("is right as it is", () => {
    expect(checkStore(storeOf([lies("ring", "van"), lies("disc", "supplier")]))).toEqual([]);
  });

  it("uses a place twice", () => {
    const { places } = storeOf([]);
    expect(checkStore(storeOf([], { places: [...places, places[1]!] }))).toEqual([
      { path: "/places/3/id", message: '"loft" is used twice. Give each place its own id.' },
    ]);
  });

  it("has stock that lies nowhere", () => {
    expect(checkStore(storeOf([lies("ring", "van"), lies("disc", "shed")]))).toEqual([
      {
        path: "/stock/1/place",
        message:
          '"disc" lies at "shed", which is no place of this store. Add the place, or say where it lies.',
      },
    ]);
  });
});

describe("what lies anywhere for a sheet", () => {
  const found = (stock: readonly Item[]) =>
    lyingFor(sheet, storeOf(stock)).map(({ kind, id, place, pieces, price }) => [
      kind,
      id,
      place.id,
      pieces,
      price,
    ]);

  it("is its kits and parts, with pieces and price", () => {
    expect(found([lies("BF-K31", "van", { kind: "kit" }), lies("disc", "loft", { of: sheet.id })])).toEqual([
      ["kit", "BF-K31", "van", 2, 3],
      ["part", "disc", "loft", 2, 3],
    ]);
  });

  it("is not what is another sheet's, a supply, used up, or nowhere", () => {
    expect(
      found([
        lies("disc", "van", { of: "another" }),
        lies("grease", "van", { kind: "supply" }),
        lies("disc", "van", { quantity: 0 }),
        lies("disc", "shed"),
      ]),
    ).toEqual([]);
    expect(lyingFor(sheet, undefined)).toEqual([]);
  });

  it("stands soonest first, then by name, then by place", () => {
    const stock = [
      lies("ring", "supplier"),
      lies("ring", "van"),
      lies("ring", "loft"),
      lies("disc", "supplier"),
      lies("disc", "van"),
    ];
    const order = [
      ["disc", "van"],
      ["ring", "loft"],
      ["ring", "van"],
      ["disc", "supplier"],
      ["ring", "supplier"],
    ];
    for (const each of [stock, stock.toReversed()])
      expect(found(each).map(([, id, place]) => [id, place])).toEqual(order);
  });
});

describe("several stores as one", () => {
  const other = storeOf([lies("disc", "van"), lies("seal", "shed")], {
    id: "depot",
    places: [
      { id: "van", name: "Other van", kind: "van", days: 0 },
      { id: "shed", name: "Shed", kind: "shop", days: 1 },
    ],
  });

  it("are none where there is none", () => {
    expect(stockFor(sheet, [])).toBeUndefined();
  });

  it("keep places of the same name apart, and only those", () => {
    const made = stockFor(sheet, [storeOf([lies("ring", "van"), lies("ring", "loft")]), other])!;
    expect(made.places.map(({ id, name }) => [id, name])).toEqual([
      ["works:van", "Van"],
      ["loft", "Loft"],
      ["supplier", "Supplier"],
      ["depot:van", "Other van"],
      ["shed", "Shed"],
    ]);
    expect(made.stock.map(({ name, place }) => [name, place])).toEqual([
      ["ring", "works:van"],
      ["ring", "loft"],
      ["disc", "depot:van"],
      ["seal", "shed"],
    ]);
    expect(checkStore(made)).toEqual([]);
  });

  it("have place names no longer than an id may be", () => {
    const long = storeOf([lies("ring", "van")], { id: "w".repeat(59) });
    const made = stockFor(sheet, [long, other])!;
    expect(made.places[0]!.id).toHaveLength(60);
    expect(made.stock[0]!.place).toBe(made.places[0]!.id);
  });

  it("carry what this sheet may need, and all supplies", () => {
    const made = stockFor(sheet, [
      storeOf([
        lies("disc", "van", { of: "another" }),
        lies("grease", "van", { kind: "supply" }),
        lies("grease of another", "van", { kind: "supply", of: "another" }),
        lies("ring", "van", { of: sheet.id }),
      ]),
    ])!;
    expect(made.stock.map(({ name }) => name)).toEqual(["grease", "grease of another", "ring"]);
  });
});

describe("what a job on such a valve would be offered", () => {
  const needs = new Map([["gland-gasket", 1]]);
  const from = (stock: readonly Item[]) => chooseKits(sheet, needs, storeOf(stock), "C");

  it("is what lies soonest in hand, though it costs more", () => {
    const picked = from([
      lies("gland-gasket", "supplier", { price: 1 }),
      lies("gland-gasket", "loft", { price: 9 }),
    ]);
    expect(picked.picks.map(({ place, price }) => [place, price])).toEqual([["Loft", 9]]);
    expect(picked).toMatchObject({ price: 9, days: 0, missing: [], exact: true, currency: "SHP" });
  });

  it("is waited for where nothing nearer has it", () => {
    const picked = from([lies("gland-gasket", "supplier", { price: 1 })]);
    expect(picked).toMatchObject({ price: 1, days: 3, missing: [] });
  });

  it("is nothing from an empty store, and says what is missing", () => {
    expect(from([])).toMatchObject({
      picks: [],
      price: 0,
      days: 0,
      missing: [{ part: "gland-gasket", pieces: 1 }],
    });
    expect(chooseKits(sheet, needs, undefined, "C")).toMatchObject({ picks: [], currency: "" });
  });

  it("warns of no kit where nothing is needed, and of those that do not fit where something is", () => {
    expect(chooseKits(sheet, new Map(), storeOf([]), "C").doNotTake).toEqual([]);
    const warned = from([]).doNotTake;
    expect(warned.length).toBeGreaterThan(0);
    for (const kit of warned) {
      expect(sheet.kits.some(({ id }) => id === kit.id)).toBe(true);
      if (kit.kind === "look-alike") expect(kit.why.length).toBeGreaterThan(10);
      else expect(kit.fits).not.toContain("C");
    }
  });
});
