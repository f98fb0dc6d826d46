import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Sheet } from "../formats";
import { offersOf, type StockOffer, smallSolver } from "../store";
import { storeOf } from "../store/store.fixtures";
import { sheetOf } from "../trouble/trouble.fixtures";
import type { Need, ToolToBring } from "./needs";
import { chanceWith, costOf, pack, type Weigh } from "./pack";
import { weightOfPart, weightOfPieces, weightOfTool } from "./weights";

const model = sheetOf("electric-pilot-valve");
const [first] = model.parts;
const PARTS = ["a", "b", "c"] as const;
const KITS = { ab: ["a", "b"], bc: ["b", "c"], abc: ["a", "b", "c"] } as const;
const SHEET: Sheet = {
  ...model,
  parts: PARTS.map((id, index) => ({ ...first!, id, name: id, quantity: 1, weight_kg: 1 + index })),
  kits: Object.entries(KITS).map(([id, contents]) => ({
    id,
    name: id,
    contents: contents.map((part) => ({ part, quantity: 1 })),
    leftovers: [],
  })),
};
const TOOLS: readonly ToolToBring[] = [
  { id: "t", name: "t", kg: 1 },
  { id: "u", name: "u", kg: 2 },
];
const WEIGH: Weigh = { trip_min: 90, kg_min: 1, fetch_min: 7, money_min: 1 };

/** Every way to pack, tried. */
function bestOf(
  needs: readonly Need[],
  offers: readonly StockOffer[],
  foot: boolean,
  most_kg: number,
): number {
  const heavy = offers.map(({ contents }) => weightOfPieces(SHEET, contents));
  let best = 0;
  const counts = offers.map(() => 0);
  const tryTools = () => {
    for (const tools of [[], [TOOLS[0]!], [TOOLS[1]!], [...TOOLS]]) {
      const taken = offers
        .map((offer, index) => ({ offer, count: counts[index]! }))
        .filter(({ count }) => count > 0);
      const kg =
        counts.reduce((sum, count, index) => sum + count * heavy[index]!, 0) +
        tools.reduce((sum, each) => sum + each.kg, 0);
      if (kg > most_kg) continue;
      const won = needs.reduce(
        (sum, need) => sum + chanceWith([need], taken, tools) * (WEIGH.trip_min + need.again_min),
        0,
      );
      const spent =
        taken.reduce((sum, { offer, count }) => {
          const carried = foot || offer.lying.place.kind !== "van";
          const weight = weightOfPieces(SHEET, offer.contents);
          return sum + count * costOf(offer, needs, WEIGH, carried ? weight : 0);
        }, 0) +
        (foot ? tools.reduce((sum, { kg: each }) => sum + each * WEIGH.kg_min, 0) : 0) +
        (taken.some(({ offer }) => offer.lying.place.kind === "shop") ? WEIGH.fetch_min : 0);
      best = Math.max(best, won - spent);
    }
  };
  const next = (at: number): void => {
    if (at === offers.length) {
      tryTools();
      return;
    }
    for (let count = 0; count <= offers[at]!.atMost; count++) {
      counts[at] = count;
      next(at + 1);
    }
    counts[at] = 0;
  };
  next(0);
  return best;
}

describe("the packing", () => {
  it("is worth as much as the best of all ways to pack", () => {
    const need = fc.record({
      chance: fc.double({ min: 0.01, max: 0.3, noNaN: true }),
      pieces: fc.dictionary(fc.constantFrom(...PARTS), fc.integer({ min: 1, max: 2 })),
      tools: fc.subarray(["t", "u"]),
      again_min: fc.integer({ min: 0, max: 60 }),
    });
    const row = fc.record({
      id: fc.constantFrom(...PARTS, ...Object.keys(KITS)),
      place: fc.constantFrom("van", "loft", "supplier"),
      quantity: fc.integer({ min: 1, max: 2 }),
      price: fc.integer({ min: 1, max: 60 }),
    });
    fc.assert(
      fc.property(
        fc.array(need, { maxLength: 4 }),
        fc.uniqueArray(row, { maxLength: 4, selector: ({ id, place }) => `${id} ${place}` }),
        fc.boolean(),
        fc.integer({ min: 1, max: 12 }),
        (wanted, rows, foot, most_kg) => {
          const needs = wanted.map(
            ({ pieces, tools, ...each }): Need => ({
              ...each,
              ends: [],
              pieces: new Map(Object.entries(pieces)),
              tools: new Set(tools),
            }),
          );
          const store = storeOf(
            rows.map(({ id, place, quantity, price }) => ({
              item: { kind: id in KITS ? "kit" : "part", id, sheet: SHEET.id },
              name: id,
              place,
              quantity,
              price,
            })),
          );
          const offers = offersOf(
            SHEET,
            new Map(needs.flatMap(({ pieces }) => [...pieces])),
            store,
            undefined,
          );
          const made = pack(
            { needs, tools: TOOLS },
            offers,
            SHEET,
            WEIGH,
            { by: foot ? "foot" : "van", most_kg },
            smallSolver,
          );
          expect(made.exact).toBe(true);
          expect(made.kg).toBeLessThanOrEqual(most_kg + 1e-9);
          expect(made.worth_min).toBeCloseTo(bestOf(needs, offers, foot, most_kg), 1);
        },
      ),
      { numRuns: 150 },
    );
  });
});

describe("weights", () => {
  it("are as the sheet says, else of outline and material", () => {
    const { weight_kg: _, ...plain } = first!;
    const shape = { ...plain.shape, kind: "body", diameter_mm: 100, height_mm: 100, bore_mm: 0 } as const;
    // A steel cylinder of 100 by 100 mm: 0.785 dm³.
    expect(weightOfPart({ ...plain, material: "steel", shape })).toBeCloseTo(0.785398 * 7.85, 4);
    expect(weightOfPart({ ...plain, material: "steel", shape: { ...shape, bore_mm: 100 } })).toBe(0);
    expect(weightOfPart({ ...plain, shape, weight_kg: 3 })).toBe(3);
    // An M12 × 40 of steel, drawn on a circle of 118 mm: 54 g by the tables of those who sell them.
    const fastener = { thread: "M12", drive: "hex 19 mm", circle_mm: 118 };
    const bolts = { ...shape, kind: "screws", diameter_mm: 118, height_mm: 40 } as const;
    expect(weightOfPart({ ...plain, material: "steel", shape: bolts, fastener })).toBeCloseTo(0.054, 2);
    expect(
      weightOfPieces(
        SHEET,
        new Map([
          ["a", 2],
          ["c", 1],
        ]),
      ),
    ).toBe(5);
    expect(weightOfTool({ id: "x", name: "x", class: "torque-wrench" })).toBe(1.5);
    expect(weightOfTool({ id: "x", name: "x", weight_kg: 4 })).toBe(4);
  });
});
