import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Sheet, StockItem, TroubleFacts } from "../formats";
import { storeOf } from "../store/store.fixtures";
import { visitsOf } from "../trouble";
import { DRY, SMALL } from "../trouble/small.fixtures";
import { sheetOf } from "../trouble/trouble.fixtures";
import { bring } from ".";

const model = sheetOf("electric-pilot-valve");
const [first] = model.parts;
const part = (id: string, weight_kg: number) => ({ ...first!, id, name: id, quantity: 1, weight_kg });

/** A coil, a diaphragm, a kit that has both; a wrench. */
const SHEET: Sheet = {
  ...model,
  parts: [part("coil", 0.5), part("diaphragm", 1)],
  kits: [
    {
      id: "both",
      name: "Both",
      contents: [
        { part: "coil", quantity: 1 },
        { part: "diaphragm", quantity: 1 },
      ],
      leftovers: [],
    },
  ],
  tools: [{ id: "wrench", name: "Wrench", weight_kg: 2 }],
};

const FACTS: TroubleFacts = {
  ...DRY,
  from: "telephone",
  weigh: { trip_min: 100, money_min: 1 },
  costs: {
    "renew-coil": { minutes: 40, parts: { coil: 1 }, tools: [] },
    inside: { minutes: 80, parts: { diaphragm: 1 }, tools: ["wrench"], dead_min: 20, cover_min: 10 },
  },
};

const lies = (id: string, place: string, price: number, quantity = 1): StockItem => ({
  item: { kind: id === "both" ? "kit" : "part", id, sheet: SHEET.id },
  name: id,
  place,
  quantity,
  price,
});

const asked = (stock: readonly StockItem[], facts = FACTS) => ({
  knowledge: SMALL,
  facts,
  answers: new Map<string, string>(),
  sheet: SHEET,
  store: storeOf(stock),
  goes: { by: "van", weigh: { condemned: 0 } } as const,
});

const chanceOf = (...ends: string[]) =>
  visitsOf(SMALL, FACTS, new Map()).reduce(
    (sum, visit) =>
      visit.goes === "ours" && visit.ends.every((end) => ends.includes(end)) ? sum + visit.chance : sum,
    0,
  );

describe("what to bring", () => {
  it("without a part nothing but what needs none is finished", () => {
    const { departures, best, unknown } = bring(asked([]));
    expect(departures).toHaveLength(1);
    expect(departures[best]!.chance).toBeCloseTo(chanceOf("open"), 9);
    expect(departures[0]!.items).toEqual([]);
    expect(departures[0]!.uncovered[0]).toMatchObject({ lacks: [{ name: "coil" }] });
    expect(unknown).toBeCloseTo(1 - chanceOf("open", "renew-coil", "inside"), 9);
  });

  it("takes from the van what may be needed, with the tool it needs", () => {
    const [now] = bring(asked([lies("coil", "van", 30), lies("diaphragm", "van", 40)])).departures;
    expect(now!.items.map(({ id }) => id)).toEqual(["coil", "diaphragm"]);
    expect(now!.tools.map(({ id }) => id)).toEqual(["wrench"]);
    expect(now!.chance).toBeCloseTo(chanceOf("open", "renew-coil", "inside"), 9);
    expect(now!.kg).toBeCloseTo(3.5);
    // Without the coil all that a coil would have ended is a second trip.
    expect(now!.items[0]!.without).toBeCloseTo(chanceOf("open", "inside"), 9);
    expect(now!.tools[0]!.without).toBeCloseTo(chanceOf("open", "renew-coil"), 9);
  });

  it("goes by the shop only where that is worth its minutes", () => {
    const near = bring(asked([lies("diaphragm", "loft", 40)])).departures[0]!;
    expect(near.items).toHaveLength(1);
    const far = {
      ...asked([lies("diaphragm", "loft", 40)]),
      goes: { by: "van", weigh: { condemned: 0, fetch_min: 60 } } as const,
    };
    // A fifth of 130 minutes does not pay for an hour.
    expect(bring(far).departures[0]!.items).toEqual([]);
    expect(bring(far).departures[0]!.uncovered).toContainEqual(
      expect.objectContaining({ ends: ["inside"], lacks: [] }),
    );
  });

  it("says what waiting for an order would bring, and what that costs", () => {
    const stock = [lies("coil", "van", 30), lies("diaphragm", "supplier", 40)];
    const { departures, best } = bring(asked(stock));
    expect(departures.map(({ days }) => days)).toEqual([0, 3]);
    expect(departures[1]!.chance).toBeGreaterThan(departures[0]!.chance);
    expect(departures[0]!.uncovered).toContainEqual(
      expect.objectContaining({
        ends: ["inside"],
        lacks: [{ name: "diaphragm", later: { place: "Supplier", days: 3 } }],
      }),
    );
    expect(best).toBe(0);
    const patient = {
      ...asked(stock),
      goes: { by: "van", weigh: { condemned: 0, wait_day_min: 1 } } as const,
    };
    expect(bring(patient).best).toBe(1);
  });

  it("on foot leaves what is too heavy for what it is worth", () => {
    const stock = [lies("coil", "van", 30), lies("diaphragm", "van", 40)];
    const light = bring({ ...asked(stock), goes: { by: "foot", most_kg: 0.6, weigh: { condemned: 0 } } });
    expect(light.departures[0]!.items.map(({ id }) => id)).toEqual(["coil"]);
    expect(light.departures[0]!.tools).toEqual([]);
  });

  it("another van's things are not at hand", () => {
    const question = asked([lies("coil", "van", 30)]);
    const { departures } = bring({ ...question, goes: { ...question.goes, van: "van-2" } });
    expect(departures[0]!.items).toEqual([]);
  });

  it("a job that may condemn more is covered the rest of the way by that", () => {
    const facts = {
      ...FACTS,
      costs: {
        ...FACTS.costs,
        "renew-coil": { minutes: 40, parts: { coil: 1 }, maybe: { diaphragm: 1 }, tools: [] },
      },
    };
    const only = {
      ...asked([lies("coil", "van", 30)], facts),
      goes: { by: "van", weigh: { condemned: 0.2 } } as const,
    };
    const { chance } = bring(only).departures[0]!;
    expect(chance).toBeCloseTo(
      chanceOf("open") + 0.8 * (chanceOf("open", "renew-coil") - chanceOf("open")),
      9,
    );
  });

  it("more in stock never makes the chance smaller; the order of the shelves changes nothing", () => {
    const row = fc.record({
      id: fc.constantFrom("coil", "diaphragm", "both"),
      place: fc.constantFrom("van", "loft", "supplier"),
      price: fc.integer({ min: 1, max: 200 }),
    });
    fc.assert(
      fc.property(
        fc.uniqueArray(row, { maxLength: 6, selector: ({ id, place }) => `${id} ${place}` }),
        (rows) => {
          const stock = rows.map(({ id, place, price }) => lies(id, place, price));
          const worth = (of: readonly StockItem[]) =>
            bring(asked(of)).departures.map(({ worth_min }) => worth_min);
          const all = worth(stock);
          expect(worth([...stock].reverse()).map((each) => each.toFixed(2))).toEqual(
            all.map((each) => each.toFixed(2)),
          );
          for (const left of stock.keys())
            expect(Math.max(...all)).toBeGreaterThanOrEqual(
              Math.max(...worth(stock.filter((_, index) => index !== left))) - 0.01,
            );
        },
      ),
      { numRuns: 60 },
    );
  });
});
