import type { IntegerProgram, Row, StockOffer, Variable } from "../store";
import type { Need, ToolToBring } from "./needs";

/** All that is weighed, in minutes: what a met need is worth, what each thing costs to take along. */
export interface Packable {
  readonly needs: readonly { readonly need: Need; readonly worth_min: number }[];
  readonly items: readonly {
    readonly offer: StockOffer;
    readonly most: number;
    readonly kg: number;
    readonly cost_min: number;
  }[];
  readonly tools: readonly (ToolToBring & { readonly cost_min: number })[];
  /** Places that are a way of their own. */
  readonly shops: readonly string[];
  readonly fetch_min: number;
  readonly most_kg: number | undefined;
}

/** A solver's figures are whole: thousandths of a minute, and grams. */
const FINE = 1000;
const whole = (minutes: number) => Math.round(minutes * FINE);
/** Nothing is taken along for nothing. */
const dear = (minutes: number) => Math.max(1, whole(minutes));

/**
 * The packing as an integer program. Variables, in this order: needs that are met (0 or 1), pieces of each item, tools
 * along (0 or 1), shops passed by (0 or 1).
 */
export function programOf({ needs, items, tools, shops, fetch_min, most_kg }: Packable): IntegerProgram {
  const once = (cost: number): Variable => ({ cost, most: 1, limited: true });
  const itemAt = needs.length;
  const toolAt = itemAt + items.length;
  const shopAt = toolAt + tools.length;
  const atTool = new Map(tools.map(({ id }, index) => [id, toolAt + index]));
  const having = (part: string) =>
    items.flatMap(({ offer }, index) => {
      const pieces = offer.contents.get(part);
      return pieces === undefined ? [] : [[itemAt + index, pieces] as const];
    });
  const met = needs.flatMap(({ need }, at): Row[] => [
    ...[...need.pieces].map(
      ([part, count]): Row => ({ terms: [...having(part), [at, -count]], bound: "at-least", value: 0 }),
    ),
    ...[...need.tools].map(
      (tool): Row => ({
        terms: [
          [atTool.get(tool)!, 1],
          [at, -1],
        ],
        bound: "at-least",
        value: 0,
      }),
    ),
  ]);
  const passed = shops.map((shop, index): Row => {
    const from = items.flatMap(({ offer, most }, item) =>
      offer.lying.place.id === shop ? [{ at: itemAt + item, most }] : [],
    );
    const all = from.reduce((sum, { most }) => sum + most, 0);
    return {
      terms: [...from.map(({ at }) => [at, 1] as const), [shopAt + index, -all]],
      bound: "at-most",
      value: 0,
    };
  });
  const grams = [...items, ...tools].map(({ kg }, index) => [itemAt + index, Math.ceil(kg * FINE)] as const);
  return {
    variables: [
      ...needs.map(({ worth_min }) => once(-whole(worth_min))),
      ...items.map(({ cost_min, most }) => ({ cost: dear(cost_min), most, limited: true })),
      ...tools.map(({ cost_min }) => once(dear(cost_min))),
      ...shops.map(() => once(whole(fetch_min))),
    ],
    rows: [
      ...met,
      ...passed,
      ...(most_kg === undefined
        ? []
        : [{ terms: grams, bound: "at-most" as const, value: Math.floor(most_kg * FINE) }]),
    ],
  };
}
