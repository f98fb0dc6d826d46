import type { Item, Sheet } from "../formats";
import type { Pick } from "./kit-choice";
import { byPiece, contentsOf, nameOfPieces } from "./stack-pieces";

/** So many of an item, from the place it was to be taken from. */
export interface Portion {
  readonly item: Item;
  readonly name: string;
  /** Id of the place, as the job knows it. */
  readonly from: string;
  readonly pieces: number;
}

/** What a job took out of the store: by what was really fitted. */
export interface UsedUp {
  /** Kits that were opened and parts that went in. */
  readonly taken: readonly Portion[];
  /** Good parts out of opened kits that were not fitted: they go back as single parts. */
  readonly back: readonly Portion[];
  /** Pieces that were fitted and that nothing of the plan brought. */
  readonly unknown: readonly { readonly part: string; readonly name: string; readonly pieces: number }[];
}

/**
 * Which of the picks were used up by what was fitted: single parts first, then kits, as few as had to be opened. A kit
 * that stayed shut is not used.
 *
 * @param picks what was brought · @param fitted new pieces that went in, by part, or by piece of a stack
 */
export function usedUp(
  sheet: Sheet,
  picks: readonly Pick[],
  fitted: Iterable<readonly [string, number]>,
): UsedUp {
  const left = new Map(byPiece(sheet, fitted));
  const take = (key: string, most: number): number => {
    const pieces = Math.min(most, left.get(key) ?? 0);
    if (pieces > 0) left.set(key, (left.get(key) ?? 0) - pieces);
    return pieces;
  };
  const taken: Portion[] = [];
  const back: Portion[] = [];
  for (const { item, name, from, id, pieces } of picks.filter(({ kind }) => kind === "part")) {
    const used = take(id, pieces);
    if (used > 0) taken.push({ item, name, from, pieces: used });
  }
  for (const { item, name, from, id, pieces } of picks.filter(({ kind }) => kind === "kit")) {
    const kit = sheet.kits.find((each) => each.id === id);
    if (kit === undefined) continue;
    const contents = contentsOf(sheet, kit);
    let opened = 0;
    for (let one = 0; one < pieces; one++) {
      if (![...contents.keys()].some((key) => (left.get(key) ?? 0) > 0)) break;
      opened += 1;
      for (const [key, many] of contents) {
        const over = Math.floor(many - take(key, many));
        // A piece of a stack has no place of its own on the books.
        if (over > 0 && sheet.parts.some((part) => part.id === key))
          back.push({
            item: { kind: "part", id: key, sheet: sheet.id },
            name: nameOfPieces(sheet, key),
            from,
            pieces: over,
          });
      }
    }
    if (opened > 0) taken.push({ item, name, from, pieces: opened });
  }
  return {
    taken,
    back: together(back),
    unknown: [...left].flatMap(([part, pieces]) =>
      pieces > 0 ? [{ part, name: nameOfPieces(sheet, part), pieces }] : [],
    ),
  };
}

function together(portions: readonly Portion[]): Portion[] {
  const by = new Map<string, Portion>();
  for (const each of portions) {
    const key = `${each.from} ${each.item.id}`;
    by.set(key, { ...each, pieces: each.pieces + (by.get(key)?.pieces ?? 0) });
  }
  return [...by.values()];
}
