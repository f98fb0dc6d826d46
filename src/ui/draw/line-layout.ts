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
  /** Numbers of the links and nodes that may show in a window. */
  readonly within: (window: Box) => { readonly links: readonly number[]; readonly nodes: readonly number[] };
}

/** Room for labels around the outermost places; they run to the right. */
const MARGIN = 60;
const LABEL = 90;
const CELL = 400;
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
  const tight = boxOf([...at.values()], MARGIN);
  const box = { ...tight, width: tight.width + LABEL };
  const cells = new Map<string, { links: number[]; nodes: number[] }>();
  const cell = (column: number, row: number) => {
    const key = `${column} ${row}`;
    const known = cells.get(key);
    if (known !== undefined) return known;
    const made = { links: [], nodes: [] };
    cells.set(key, made);
    return made;
  };
  line.nodes.forEach((node, index) => {
    const [x, y] = at.get(node.id)!;
    cell(Math.floor(x / CELL), Math.floor(y / CELL)).nodes.push(index);
  });
  courses.forEach(({ first, second }, index) => {
    const covered = boxOf([...first, ...second], 0);
    for (
      let column = Math.floor(covered.x / CELL);
      column <= Math.floor((covered.x + covered.width) / CELL);
      column++
    )
      for (
        let row = Math.floor(covered.y / CELL);
        row <= Math.floor((covered.y + covered.height) / CELL);
        row++
      )
        cell(column, row).links.push(index);
  });
  return {
    at,
    node: new Map(line.nodes.map((node) => [node.id, node])),
    courses,
    box,
    within: ({ x, y, width, height }) => {
      const links = new Set<number>();
      const nodes: number[] = [];
      for (
        let column = Math.floor((x - MARGIN) / CELL);
        column <= Math.floor((x + width + MARGIN) / CELL);
        column++
      )
        for (
          let row = Math.floor((y - MARGIN) / CELL);
          row <= Math.floor((y + height + MARGIN) / CELL);
          row++
        ) {
          const found = cells.get(`${column} ${row}`);
          if (found === undefined) continue;
          for (const link of found.links) links.add(link);
          nodes.push(...found.nodes);
        }
      return { links: [...links], nodes };
    },
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
