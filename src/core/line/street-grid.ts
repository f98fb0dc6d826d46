import type { Line } from "../formats";
import { seeded } from "../seeded";

const BLOCK = 120;
/** Streets that are left out, so that there are about three links for two nodes. */
const MISSING = 0.2;

/**
 * A made-up town main of about `size` nodes, to try the engines and the drawing at scale: streets in a grid, each block
 * a pipe or a valve, some valves seized or passing, a hydrant at every sixth corner, fed at the four corners.
 */
export function streetGrid(
  size: number,
  seed = 1,
  more: Pick<Line, "id" | "name"> = { id: `grid-${size}`, name: "Grid" },
): Line {
  const next = seeded(seed);
  const side = Math.round(Math.sqrt(size / 1.17));
  const id = (x: number, y: number) => `J${x}-${y}`;
  const nodes: Line["nodes"] = [];
  const links: Line["links"] = [];
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++) {
      const corner = (x === 0 || x === side - 1) && (y === 0 || y === side - 1);
      const at: [number, number] = [x * BLOCK, y * BLOCK];
      const elevation_m = Math.round(100 * next()) / 10;
      if (corner)
        nodes.push({
          id: id(x, y),
          kind: "source",
          name: `Feed ${y === 0 ? "north" : "south"} ${x === 0 ? "west" : "east"}`,
          elevation_m,
          at,
        });
      else nodes.push({ id: id(x, y), kind: "junction", elevation_m, at });
      if (!corner && (x + 2 * y) % 6 === 0) {
        nodes.push({
          id: `H${x}-${y}`,
          kind: "consumer",
          hydrant: true,
          elevation_m,
          at: [at[0] + 34, at[1] + 40],
        });
        links.push({
          kind: "pipe",
          id: `B${x}-${y}`,
          from: id(x, y),
          to: `H${x}-${y}`,
          dn_mm: 80,
          length_m: 3,
          via: [[at[0] + 34, at[1]]],
        });
      }
      for (const [dx, dy, way] of [
        [1, 0, "E"],
        [0, 1, "S"],
      ] as const) {
        if (x + dx >= side || y + dy >= side || next() < MISSING) continue;
        const ends = { from: id(x, y), to: id(x + dx, y + dy) };
        if (next() < 0.3)
          links.push({ kind: "pipe", id: `P${x}-${y}${way}`, ...ends, dn_mm: 150, length_m: 90 });
        else
          links.push({
            kind: "valve",
            id: `V${x}-${y}${way}`,
            ...ends,
            normally: "open",
            operable: next() > 0.06,
            lockable: next() > 0.2,
            ...(next() < 0.05 && { passes: true }),
            access_min: 2 + Math.floor(8 * next()),
          });
      }
    }
  // A corner that lost all its streets would hang on nothing.
  const touched = new Set(links.flatMap((link) => [link.from, link.to]));
  return {
    format: "loftbell.line",
    version: 1,
    ...more,
    medium: "water",
    rule: "single",
    demonstration: true,
    nodes: nodes.filter((node) => touched.has(node.id)),
    links,
  };
}
