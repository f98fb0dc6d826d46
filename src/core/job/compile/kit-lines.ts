import type { Pick } from "../../store";
import { nameOfPieces, pieceKey } from "../../store";
import type { TickLine } from "../steps/lines";
import type { Context } from "./context";

/** What is in the picks, line by line: the contents of each kit, and single parts. */
function contentsOf({ sheet }: Context, picks: readonly Pick[]): TickLine[] {
  return picks.flatMap((pick): TickLine[] => {
    const kit = pick.kind === "kit" ? sheet.kits.find(({ id }) => id === pick.id) : undefined;
    const here = `${pick.kind}:${pick.id}:${pick.place}`;
    if (kit === undefined) return [{ id: here, name: pick.name, pieces: pick.pieces, place: pick.place }];
    return kit.contents.map(({ part, piece, quantity }) => {
      const key = piece === undefined ? part : pieceKey(part, piece);
      return {
        id: `${here}:${key}`,
        name: nameOfPieces(sheet, key),
        pieces: quantity * pick.pieces,
        of: pick.name,
        place: pick.place,
        ...(kit.note !== undefined && { note: kit.note }),
      };
    });
  });
}

/** What is taken in the hand before anything is shut: kits line by line, what a look may condemn, what goes on. */
export const linesToBring = (context: Context, inCase: readonly Pick[]): TickLine[] =>
  once([
    ...contentsOf(context, context.kits.picks),
    ...contentsOf(context, inCase),
    ...context.sheet.supplies.map(({ id, name }) => ({ id: `supply:${id}`, name, pieces: 1 })),
  ]);

/** What was brought in the kits and is right to be left on the bench. */
export const linesLeftOver = ({ kits }: Context): TickLine[] =>
  once(kits.leftovers.map(({ name, quantity }) => ({ id: `left:${name}`, name, pieces: quantity })));

const once = (lines: readonly TickLine[]): TickLine[] => [
  ...new Map(lines.map((line) => [line.id, line])).values(),
];
