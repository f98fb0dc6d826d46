import { cutOf } from "../build";
import type { Kit, Sheet } from "../formats";
import type { Pieces } from "./cover";

/**
 * Pieces of a stack are wanted and supplied by their name where a kit of the sheet brings some of them alone: lip seals
 * without their spacers. Such a piece is named "stack/Seal" among the pieces.
 */
export const pieceKey = (part: string, piece: string): string => `${part}/${piece}`;

/** Stacks of which a kit brings single pieces, each with how many of every name it has. */
function stacksByPiece(sheet: Sheet): ReadonlyMap<string, ReadonlyMap<string, number>> {
  const apart = new Set(
    sheet.kits.flatMap(({ contents }) =>
      contents.flatMap(({ part, piece }) => (piece === undefined ? [] : [part])),
    ),
  );
  return new Map(
    sheet.parts.flatMap(({ id, pieces = [] }) => {
      if (!apart.has(id)) return [];
      const counts = new Map<string, number>();
      for (const { name } of pieces) counts.set(name, (counts.get(name) ?? 0) + 1);
      return [[id, counts] as const];
    }),
  );
}

/** Pieces by their keys: a whole stack that can be had by the piece is all of its pieces. */
export function byPiece(sheet: Sheet, wanted: Iterable<readonly [string, number]>): Pieces {
  const stacks = stacksByPiece(sheet);
  const pieces = new Map<string, number>();
  const add = (key: string, more: number) => pieces.set(key, (pieces.get(key) ?? 0) + more);
  for (const [key, count] of wanted) {
    const stack = stacks.get(key);
    if (stack === undefined) add(key, count);
    else {
      const whole = [...stack.values()].reduce((sum, each) => sum + each, 0);
      for (const [name, each] of stack) add(pieceKey(key, name), (each * count) / whole);
    }
  }
  return pieces;
}

/** What a key is called: its part, or the piece of it. */
export function nameOfPieces({ parts }: Sheet, key: string): string {
  const named = parts.find(({ id }) => id === key);
  if (named !== undefined) return named.name;
  const stack = parts.find(({ id }) => key.startsWith(`${id}/`));
  return stack === undefined ? key : key.slice(stack.id.length + 1);
}

/** A flange gasket that is cut otherwise than this valve takes it. */
const otherCut = (sheet: Sheet, { part, cut }: Kit["contents"][number]): boolean => {
  const gasket = cut === undefined ? undefined : sheet.parts.find(({ id }) => id === part);
  return gasket !== undefined && cut !== cutOf(sheet, gasket);
};

/** What of a kit serves this valve. A part that a kit names twice is in it as often as both say. */
export const contentsOf = (sheet: Sheet, kit: Kit): Pieces =>
  byPiece(
    sheet,
    kit.contents
      .filter((item) => !otherCut(sheet, item))
      .map(
        ({ part, piece, quantity }) =>
          [piece === undefined ? part : pieceKey(part, piece), quantity] as const,
      ),
  );
