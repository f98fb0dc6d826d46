import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { notationOf } from "@/core/quantity";
import { releaseCaution, speaker } from "@/words";
import type { Line } from "../formats";
import { MEDIA } from "../formats";
import { demoDocument } from "../job/job.fixtures";
import {
  checkLine,
  isThreeWay,
  MEDIA_RULES,
  network,
  originOf,
  pointNames,
  reachable,
  standing,
  streetGrid,
  threeWays,
  underLineRule,
  usuallyFed,
} from ".";

const store = demoDocument<Line>("lines/gannet-low-side.json");
const stems = threeWays(store);

/** Every way in which the store's stems can stand. */
const ways = fc
  .tuple(...stems.map((stem) => fc.constantFrom(...stem.threeWay.positions.map((each) => each.id))))
  .map((positions) => new Map(stems.map((stem, index) => [stem.id, positions[index]!])));

describe("a line with its stems in a position", () => {
  it("is a plain line: every link ends at a node, every node is known by its origin, nothing else changes", () => {
    fc.assert(
      fc.property(ways, (positions) => {
        const stood = standing(store, positions);
        const nodes = new Set(stood.nodes.map((node) => node.id));
        const known = new Set(store.nodes.map((node) => node.id));
        for (const link of stood.links) {
          expect(nodes.has(link.from)).toBe(true);
          expect(nodes.has(link.to)).toBe(true);
        }
        for (const node of stood.nodes) expect(known.has(originOf(node.id))).toBe(true);
        expect(stood.links.map((link) => link.id)).toEqual(store.links.map((link) => link.id));
        for (const [index, link] of stood.links.entries()) {
          expect(originOf(link.from)).toBe(store.links[index]!.from);
          expect(originOf(link.to)).toBe(store.links[index]!.to);
        }
      }),
    );
  });

  it("joins just what its position joins", () => {
    fc.assert(
      fc.property(ways, (positions) => {
        const net = network(standing(store, positions));
        for (const stem of stems) {
          const position = stem.threeWay.positions.find((each) => each.id === positions.get(stem.id))!;
          const own = store.links.filter((link) => link.from === stem.id || link.to === stem.id);
          for (const a of own)
            for (const b of own) {
              const end = (link: Line["links"][number]) => {
                const index = net.linkIndex.get(link.id)!;
                return originOf(net.nodes[net.from[index]!]!.id) === stem.id
                  ? net.from[index]!
                  : net.to[index]!;
              };
              const together =
                a === b || position.joins.some((group) => group.includes(a.id) && group.includes(b.id));
              expect(end(a) === end(b), `${stem.id} ${position.id}: ${a.id} ${b.id}`).toBe(together);
            }
        }
      }),
    );
  });

  it("whose seats pass parts nothing", () => {
    const passing = new Set(stems.map((stem) => stem.id));
    const off = new Map(stems.map((stem) => [stem.id, "a-off"]));
    expect(standing(store, off, passing).nodes).toHaveLength(store.nodes.length);
  });

  it("of a line without stems is that very line", () => {
    const quay = demoDocument<Line>("lines/north-quay.json");
    expect(standing(quay, new Map())).toBe(quay);
    expect(quay.nodes.some(isThreeWay)).toBe(false);
  });
});

describe("media", () => {
  it("all have a rule, a caution with what to do, and none that scalds, poisons or burns is let out at a cover", () => {
    for (const medium of MEDIA) {
      for (const system of ["metric", "us"] as const) {
        const caution = releaseCaution(speaker(notationOf(system)), medium);
        expect(caution.can.length).toBeGreaterThan(10);
        expect(caution.do.length).toBeGreaterThan(10);
      }
    }
    for (const medium of ["steam", "condensate", "ammonia", "co2", "gas", "electricity"] as const)
      expect(MEDIA_RULES[medium].crackCover, medium).toBe(false);
  });

  it("the line's own rule binds its own medium and what comes of it, not the cable or the air beside it", () => {
    const steam = demoDocument<Line>("lines/lido-steam.json");
    const node = (medium?: Line["medium"]) => ({
      id: "x",
      kind: "junction" as const,
      elevation_m: 0,
      ...(medium && { medium }),
    });
    expect(underLineRule(steam, node())).toBe(true);
    expect(underLineRule(steam, node("condensate"))).toBe(true);
    expect(underLineRule(steam, node("electricity"))).toBe(false);
    expect(underLineRule(steam, node("air"))).toBe(false);
  });
});

describe("finding a place", () => {
  it("by node, by tag or by link", () => {
    expect(pointNames(store).has("GN-HRV1")).toBe(true);
    expect(pointNames(store).has("GN-L1")).toBe(true);
    expect(pointNames(store).has("GN-L99")).toBe(false);
  });
});

describe("a generated town", () => {
  it.each([1_000, 5_000])(
    "of %i places is sound, hangs together nearly whole, and is the same every time",
    (size) => {
      const town = streetGrid(size);
      expect(checkLine(town)).toEqual([]);
      expect(Math.abs(town.nodes.length - size) / size).toBeLessThan(0.03);
      expect(town.links.length / town.nodes.length).toBeGreaterThan(1.4);
      expect(streetGrid(size)).toEqual(town);
      expect(streetGrid(size, 2)).not.toEqual(town);
      const net = network(town);
      const fed = usuallyFed(net).reduce((sum, mark) => sum + mark, 0);
      expect(fed / town.nodes.length).toBeGreaterThan(0.98);
      expect(reachable(net, net.energies, () => true).length).toBe(fed);
    },
  );
});
