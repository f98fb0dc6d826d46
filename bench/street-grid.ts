import type { Line } from "@/core/formats";

/** A small repeatable generator (mulberry32), so that every run measures the same town. */
function random(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

/**
 * A town main of about `size` nodes: streets in a grid, each block a pipe or a valve, some valves seized or passing,
 * a hydrant at every sixth corner, fed at the four corners of the town.
 */
export function streetGrid(size: number, seed = 1): Line {
  const next = random(seed);
  const side = Math.round(Math.sqrt(size / 1.17));
  const id = (x: number, y: number) => `n${x}-${y}`;
  const nodes: Line["nodes"] = [];
  const links: Line["links"] = [];
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++) {
      const corner = (x === 0 || x === side - 1) && (y === 0 || y === side - 1);
      nodes.push({ id: id(x, y), kind: corner ? "source" : "junction", elevation_m: 10 * next() });
      if (!corner && (x + 2 * y) % 6 === 0) {
        nodes.push({ id: `h${x}-${y}`, kind: "consumer", hydrant: true, elevation_m: 2 });
        links.push({
          kind: "pipe",
          id: `b${x}-${y}`,
          from: id(x, y),
          to: `h${x}-${y}`,
          dn_mm: 80,
          length_m: 3,
        });
      }
      for (const [dx, dy] of [
        [1, 0],
        [0, 1],
      ] as const) {
        if (x + dx >= side || y + dy >= side || next() < 0.12) continue;
        const ends = { id: `l${x}-${y}-${dx}`, from: id(x, y), to: id(x + dx, y + dy) };
        if (next() < 0.45) links.push({ kind: "pipe", ...ends, dn_mm: 150, length_m: 90 });
        else
          links.push({
            kind: "valve",
            ...ends,
            normally: "open",
            operable: next() > 0.06,
            lockable: next() > 0.2,
            passes: next() < 0.05,
            access_min: 2 + Math.floor(8 * next()),
          });
      }
    }
  // A corner that lost all its streets would hang on nothing.
  const touched = new Set(links.flatMap((link) => [link.from, link.to]));
  return {
    format: "loftbell.line",
    version: 1,
    id: `grid-${size}`,
    name: "Grid",
    medium: "water",
    rule: "single",
    nodes: nodes.filter((node) => touched.has(node.id)),
    links,
  };
}
