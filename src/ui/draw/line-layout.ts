import type { Line, LineLink, LineNode } from "@/core/formats";

export type XY = readonly [number, number];
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A link's course, parted in the middle: each half takes the state of its own end. */
export interface Course {
  readonly link: LineLink;
  readonly first: readonly XY[];
  readonly second: readonly XY[];
  readonly middle: XY;
  /** Degrees of the leg in the middle. */
  readonly angle: number;
}

/** Where everything of a line stands on the drawing, and what stands in a window of it. */
export interface LineLayout {
  readonly at: ReadonlyMap<string, XY>;
  readonly node: ReadonlyMap<string, LineNode>;
  readonly courses: readonly Course[];
  readonly box: Box;
  /** What may show in a window, cell by cell, so that a cell once drawn stays as it is while the window moves. */
  readonly near: (window: Box) => readonly Cell[];
  /** The same in large cells, for a look from afar. */
  readonly far: (window: Box) => readonly Cell[];
}

/** Links, by their middles, and nodes of one square of the drawing. */
export interface Cell {
  readonly key: string;
  readonly links: readonly number[];
  readonly nodes: readonly number[];
}

/** Room for labels around the outermost places; they run to the right. */
const MARGIN = 60;
const LABEL = 90;
/** Cells of a line that is drawn whole. */
const MOST_WHOLE = 40;
const NEAR_CELL = 400;
const FAR_CELL = 2400;
/** Places without a position of their own stand in a plain grid until the layout worker has answered. */
const GRID = { perRow: 8, dx: 110, dy: 90 } as const;

export function layOutLine(line: Line): LineLayout {
  const at = new Map(
    line.nodes.map((node, index) => [
      node.id,
      (node.at ?? [(index % GRID.perRow) * GRID.dx, Math.floor(index / GRID.perRow) * GRID.dy]) as XY,
    ]),
  );
  const courses = line.links.map((link) => courseOf(link, at));
  const tight = boxOf([...at.values(), ...line.links.flatMap((link) => link.via ?? [])], MARGIN);
  const box = { ...tight, width: tight.width + LABEL };
  return {
    at,
    node: new Map(line.nodes.map((node) => [node.id, node])),
    courses,
    box,
    near: cellsOf(line, at, courses, NEAR_CELL),
    far: cellsOf(line, at, courses, FAR_CELL),
  };
}

/** Sorts a line into square cells; a window then shows the cells it covers and their neighbours. */
function cellsOf(line: Line, at: ReadonlyMap<string, XY>, courses: readonly Course[], size: number) {
  const cells = new Map<string, { key: string; links: number[]; nodes: number[] }>();
  const cellAt = ([x, y]: XY) => {
    const key = `${Math.floor(x / size)} ${Math.floor(y / size)}`;
    const known = cells.get(key);
    if (known !== undefined) return known;
    const made = { key, links: [], nodes: [] };
    cells.set(key, made);
    return made;
  };
  line.nodes.forEach((node, index) => {
    cellAt(at.get(node.id)!).nodes.push(index);
  });
  courses.forEach((course, index) => {
    cellAt(course.middle).links.push(index);
  });
  return ({ x, y, width, height }: Box): Cell[] => {
    // Few cells, as of a line that is not large, are all drawn: a long pipe then never goes missing.
    if (cells.size <= MOST_WHOLE) return [...cells.values()];
    const shown: Cell[] = [];
    for (let column = Math.floor(x / size) - 1; column <= Math.floor((x + width) / size) + 1; column++)
      for (let row = Math.floor(y / size) - 1; row <= Math.floor((y + height) / size) + 1; row++) {
        const cell = cells.get(`${column} ${row}`);
        if (cell !== undefined) shown.push(cell);
      }
    return shown;
  };
}

function boxOf(points: readonly XY[], margin: number): Box {
  let [left, top, right, bottom] = [
    Number.POSITIVE_INFINITY,
    Number.POSITIVE_INFINITY,
    Number.NEGATIVE_INFINITY,
    Number.NEGATIVE_INFINITY,
  ];
  for (const [x, y] of points) {
    left = Math.min(left, x);
    right = Math.max(right, x);
    top = Math.min(top, y);
    bottom = Math.max(bottom, y);
  }
  return {
    x: left - margin,
    y: top - margin,
    width: right - left + 2 * margin,
    height: bottom - top + 2 * margin,
  };
}

function courseOf(link: LineLink, at: ReadonlyMap<string, XY>): Course {
  const points: XY[] = [at.get(link.from)!, ...(link.via ?? []), at.get(link.to)!];
  const lengths = points
    .slice(1)
    .map((point, index) => Math.hypot(point[0] - points[index]![0], point[1] - points[index]![1]));
  // A valve stands where there is room for it: in the middle of the longest leg.
  const longest = lengths.indexOf(Math.max(...lengths));
  const [a, b] = [points[longest]!, points[longest + 1]!];
  const middle: XY = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  return {
    link,
    first: [...points.slice(0, longest + 1), middle],
    second: [middle, ...points.slice(longest + 1)],
    middle,
    angle: (Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI,
  };
}

export const pathOf = (points: readonly XY[]): string =>
  `M${points.map((point) => point.join(" ")).join("L")}`;
