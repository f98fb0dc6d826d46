import type { CoverQuestion } from "../formats";
import { err, ok, type Problem, type Result } from "../result";
import { type Cover, cheapestCover, lacking, type Offer, type Pieces, secondCover } from "./cover";
import type { IntegerSolver } from "./integer-program";

/** Something to buy, and how many of it. */
export interface Bought {
  readonly kind: "kit" | "part";
  readonly id: string;
  readonly qty: number;
}

/** The cheapest purchase that has all that is needed, or what of it cannot be bought. */
export type CoverAnswer =
  | {
      readonly possible: true;
      readonly cost_cents: number;
      readonly purchase: readonly Bought[];
      readonly exact: boolean;
      /** When it was asked for: the next best purchase, or none when there is no other. */
      readonly second_best?: {
        readonly cost_cents: number;
        readonly purchase: readonly Bought[];
        readonly exact: boolean;
      } | null;
    }
  | {
      readonly possible: false;
      readonly cost_cents: null;
      readonly purchase: readonly [];
      readonly exact: true;
      readonly missing: readonly { readonly part: string; readonly qty: number }[];
    };

interface Sold extends Offer {
  readonly bought: Omit<Bought, "qty">;
}

/** What to buy of kits and parts that can be had in any number. */
export function answerCover(
  question: CoverQuestion,
  solve: IntegerSolver,
): Result<CoverAnswer, readonly Problem[]> {
  const problems = [...twice(question.kits, "kits", "id"), ...twice(question.parts, "parts", "part")];
  if (problems.length > 0) return err(problems);
  const needs = piecesOf(question.needed);
  const offers = offersOf(
    question,
    [...needs.values()].reduce((sum, each) => sum + each, 0),
  );
  const missing = [...lacking(needs, offers)].map(([part, qty]) => ({ part, qty }));
  if (missing.length > 0)
    return ok({ possible: false, cost_cents: null, purchase: [], exact: true, missing });
  const best = cheapestCover(needs, offers, solve);
  if (best === undefined)
    throw new Error(`nothing is lacking and nothing covers: ${JSON.stringify(question)}`);
  const second = question.second_best === true ? secondCover(needs, offers, best, solve) : undefined;
  return ok({
    possible: true,
    ...told(best),
    ...(question.second_best === true && { second_best: second === undefined ? null : told(second) }),
  });
}

function offersOf({ kits, parts }: CoverQuestion, pieces: number): Sold[] {
  return [
    ...kits.flatMap(({ id, price_cents, in_stock, contents }): Sold[] =>
      in_stock
        ? [
            {
              item: `kit ${id}`,
              price: price_cents,
              atMost: pieces,
              contents: piecesOf(contents),
              bought: { kind: "kit", id },
            },
          ]
        : [],
    ),
    ...parts.flatMap(({ part, price_cents, in_stock }): Sold[] =>
      in_stock
        ? [
            {
              item: `part ${part}`,
              price: price_cents,
              atMost: pieces,
              contents: new Map([[part, 1]]),
              bought: { kind: "part", id: part },
            },
          ]
        : [],
    ),
  ].sort((a, b) => (a.item < b.item ? -1 : 1));
}

const told = ({ taken, price, exact }: Cover<Sold>) => ({
  cost_cents: price,
  purchase: taken.map(({ offer, count }): Bought => ({ ...offer.bought, qty: count })),
  exact,
});

function piecesOf(list: readonly { readonly part: string; readonly qty: number }[]): Pieces {
  const pieces = new Map<string, number>();
  for (const { part, qty } of list) pieces.set(part, (pieces.get(part) ?? 0) + qty);
  return pieces;
}

/** What stands in a list twice has two prices: which of them is meant nobody can know. */
function twice<Key extends string>(
  list: readonly Readonly<Record<Key, string>>[],
  name: string,
  key: Key,
): Problem[] {
  const seen = new Set<string>();
  return list.flatMap((each, index) => {
    const known = seen.has(each[key]);
    seen.add(each[key]);
    return known
      ? [
          {
            path: `/${name}/${index}/${key}`,
            message: `"${each[key]}" stands here twice. Keep the one whose price holds.`,
          },
        ]
      : [];
  });
}
