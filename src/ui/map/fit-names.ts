/** A mark on the map, at its place in drawing units. */
export interface Mark<M extends { readonly name: string; readonly valves: number; readonly here?: boolean }> {
  readonly mark: M;
  readonly x: number;
  readonly y: number;
}

export type Side = "right" | "left" | "below" | "above";

interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** Width of a letter of a name, and its height, in drawing units. */
const LETTER = 8;
const HEIGHT = 18;
/** With the figure of what is late at its corner. */
const PLATE = { left: 20, right: 28, above: 24, below: 16 };

const apart = (a: Box, b: Box) =>
  a.right <= b.left || b.right <= a.left || a.bottom <= b.top || b.bottom <= a.top;

const plate = ({ x, y }: { readonly x: number; readonly y: number }): Box => ({
  left: x - PLATE.left,
  right: x + PLATE.right,
  top: y - PLATE.above,
  bottom: y + PLATE.below,
});

function nameBox({ x, y }: { readonly x: number; readonly y: number }, name: string, side: Side): Box {
  const width = name.length * LETTER;
  const left = side === "right" ? x + 29 : side === "left" ? x - 22 - width : x - width / 2;
  const top = side === "below" ? y + 16 : side === "above" ? y - 43 : y - HEIGHT / 2;
  return { left, right: left + width, top, bottom: top + HEIGHT };
}

const SIDES: readonly Side[] = ["right", "left", "below", "above"];

/**
 * On which side of its plate each name stands, so that none covers a plate or another name; a name without room is left
 * out. What the map is about comes first, then the places with most valves.
 *
 * @param wide how wide the drawing is, where no name may leave it
 */
export function fitNames<
  M extends { readonly name: string; readonly valves: number; readonly here?: boolean },
>(marks: readonly Mark<M>[], wide?: number): (Mark<M> & { readonly side: Side | undefined })[] {
  const taken: Box[] = marks.map(plate);
  const weight = ({ mark }: Mark<M>) => (mark.here ? Number.MAX_VALUE : mark.valves);
  const sides = new Map<Mark<M>, Side>();
  for (const each of [...marks].sort((a, b) => weight(b) - weight(a))) {
    const side = SIDES.find((wanted) => {
      const box = nameBox(each, each.mark.name, wanted);
      const inside = wide === undefined || (box.left >= 0 && box.right <= wide);
      return inside && taken.every((other) => apart(box, other));
    });
    if (side === undefined) continue;
    sides.set(each, side);
    taken.push(nameBox(each, each.mark.name, side));
  }
  return marks.map((each) => ({ ...each, side: sides.get(each) }));
}
