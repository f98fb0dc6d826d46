interface Named {
  readonly name: string;
  readonly valves: number;
  readonly here?: boolean;
  /** What its plate says, where that is not a figure. */
  readonly label?: string;
}

/** A mark on the map, at its place in drawing units. */
export interface Mark<M extends Named> {
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

const LEAST_HALF = 15;

/** Half the width of a plate: as long as what it says. */
export const halfOf = ({ label }: Pick<Named, "label">): number =>
  Math.max(LEAST_HALF, 6 + 4.5 * (label?.length ?? 0));

/** How far from the middle of its plate a name begins to its right, or ends to its left. */
export const besideOf = (mark: Pick<Named, "label">): { readonly right: number; readonly left: number } => {
  const wider = halfOf(mark) - LEAST_HALF;
  return { right: 30 + wider, left: -24 - wider };
};

const apart = (a: Box, b: Box) =>
  a.right <= b.left || b.right <= a.left || a.bottom <= b.top || b.bottom <= a.top;

function plate<M extends Named>({ mark, x, y }: Mark<M>): Box {
  const wider = halfOf(mark) - LEAST_HALF;
  return {
    left: x - PLATE.left - wider,
    right: x + PLATE.right + wider,
    top: y - PLATE.above,
    bottom: y + PLATE.below,
  };
}

function nameBox<M extends Named>({ mark, x, y }: Mark<M>, side: Side): Box {
  const width = mark.name.length * LETTER;
  const beside = besideOf(mark);
  const left =
    side === "right" ? x + beside.right - 1 : side === "left" ? x + beside.left + 2 - width : x - width / 2;
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
export function fitNames<M extends Named>(
  marks: readonly Mark<M>[],
  wide?: number,
): (Mark<M> & { readonly side: Side | undefined })[] {
  const taken: Box[] = marks.map((each) => plate(each));
  const weight = ({ mark }: Mark<M>) => (mark.here ? Number.MAX_VALUE : mark.valves);
  const sides = new Map<Mark<M>, Side>();
  for (const each of [...marks].sort((a, b) => weight(b) - weight(a))) {
    const side = SIDES.find((wanted) => {
      const box = nameBox(each, wanted);
      const inside = wide === undefined || (box.left >= 0 && box.right <= wide);
      return inside && taken.every((other) => apart(box, other));
    });
    if (side === undefined) continue;
    sides.set(each, side);
    taken.push(nameBox(each, side));
  }
  return marks.map((each) => ({ ...each, side: sides.get(each) }));
}
