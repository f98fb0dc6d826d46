import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Line } from "../formats";
import { network } from "../line";
import { lineOf, node, pipe, randomLine, reachedFrom, valve } from "./isolation.fixtures";
import { shutInSection } from "./section";

/** The section round a place with these links shut. */
function sectionOf(line: Line, at: string, shut: readonly string[]) {
  const net = network(line);
  const closed = new Set(shut.map((id) => line.links.findIndex((link) => link.id === id)));
  return shutInSection(net, [line.nodes.findIndex((each) => each.id === at)], closed);
}
const sized = (id: string, from: string, to: string, dn_mm: number, length_m: number) => ({
  ...pipe(id, from, to),
  dn_mm,
  length_m,
});
/** Litres in a pipe, by hand. */
const litres = (dn_mm: number, length_m: number) => (Math.PI / 4) * (dn_mm / 100) ** 2 * length_m * 10;

/** A feed, a run that climbs to a hydrant and falls to a drain, and more behind. */
const SLOPE = lineOf(
  [
    node("feed", "source"),
    node("top", "consumer", { hydrant: true, elevation_m: 6 }),
    node("work", "junction", { elevation_m: 2 }),
    node("foot", "drain", { elevation_m: 0, opening_mm: 20 }),
    node("gauge", "gauge", { elevation_m: 2 }),
    node("behind", "consumer"),
  ],
  [
    valve("v1", "feed", "top"),
    sized("climb", "top", "work", 100, 10),
    sized("fall", "work", "foot", 50, 4),
    pipe("stub", "work", "gauge"),
    valve("v2", "foot", "behind"),
  ],
);

describe("the section that is shut in", () => {
  it("holds what hangs together with the work, and its pipes' content", () => {
    const section = sectionOf(SLOPE, "work", ["v1", "v2"]);
    expect([...section.nodes].sort()).toEqual(["foot", "gauge", "top", "work"]);
    expect([...section.links].sort()).toEqual(["climb", "fall", "stub"]);
    expect(section.volume_L).toBeCloseTo(litres(100, 10) + litres(50, 4) + litres(100, 10), 6);
  });

  it("is drained at its lowest drain, vented at its highest hydrant or vent, read at its lowest gauge", () => {
    const section = sectionOf(SLOPE, "work", ["v1", "v2"]);
    expect([section.drain?.node, section.vent?.node, section.gauge?.node]).toEqual(["foot", "top", "gauge"]);
    const without = sectionOf(SLOPE, "gauge", ["stub"]);
    expect(without).toMatchObject({ nodes: ["gauge"], links: [], volume_L: 0 });
    expect([without.drain, without.vent]).toEqual([undefined, undefined]);
  });

  it("without a drain, what lies higher than the opened place runs out there", () => {
    const dead = { ...SLOPE, nodes: SLOPE.nodes.filter(({ id }) => id !== "foot") };
    const line = { ...dead, links: SLOPE.links.filter(({ id }) => id !== "fall" && id !== "v2") };
    const section = sectionOf(line, "work", ["v1"]);
    expect(section.drain).toBeUndefined();
    // The stub to the gauge lies as high as the work itself and empties with it.
    expect(section.atOpening_L).toBeCloseTo(section.volume_L, 6);
    expect(sectionOf(line, "top", ["v1"]).atOpening_L).toBeCloseTo(0, 6);
    expect(sectionOf(SLOPE, "work", ["v1", "v2"]).atOpening_L).toBeUndefined();
  });

  it("runs out by Torricelli from its highest point through the drain's own opening", () => {
    const { drain, volume_L } = sectionOf(SLOPE, "work", ["v1", "v2"]);
    const opening = (Math.PI / 4) * 0.02 ** 2;
    const seconds = (2 * volume_L) / 1000 / (0.62 * opening) / Math.sqrt(2 * 9.80665 * 6);
    expect(drain!.minutes).toBeCloseTo(seconds / 60, 6);
    expect(drain!.staysBelow_L).toBe(0);
  });

  it("what lies below the drain stays in, and is told", () => {
    const sump = lineOf(
      [
        node("feed", "source"),
        node("work", "drain", { elevation_m: 1 }),
        node("low", "junction", { elevation_m: -1 }),
        node("lower", "consumer", { elevation_m: -2 }),
      ],
      [
        valve("v1", "feed", "work"),
        sized("down", "work", "low", 80, 2),
        sized("under", "low", "lower", 80, 3),
      ],
    );
    const { drain } = sectionOf(sump, "work", ["v1"]);
    // The pipe falls from the drain itself: nothing of it runs out there.
    expect(drain).toMatchObject({ runs_L: 0 });
    expect(drain?.staysBelow_L).toBeCloseTo(litres(80, 2) + litres(80, 3), 6);
  });

  it("a vessel's content counts as it is given", () => {
    const vessel = lineOf(
      [node("feed", "source"), node("work", "vessel", { volume_L: 300 })],
      [valve("v1", "feed", "work"), pipe("spare", "work", "work2")],
    );
    const line = { ...vessel, nodes: [...vessel.nodes, node("work2", "drain")] };
    expect(sectionOf(line, "work", ["v1"]).volume_L).toBeCloseTo(300 + litres(100, 10), 6);
  });

  it("is what a plain search from the work reaches, on any line and whatever is shut", () => {
    let seen = 0;
    fc.assert(
      fc.property(randomLine(8, 14), fc.array(fc.nat(13), { maxLength: 6 }), (line, picks) => {
        const shut = [...new Set(picks.map((pick) => line.links[pick % line.links.length]!.id))];
        const section = sectionOf(line, "n1", shut);
        const reached = reachedFrom(line, ["n1"], new Set(shut));
        expect([...section.nodes].sort()).toEqual([...reached].sort());
        const own = line.links.filter((link) => !shut.includes(link.id) && reached.has(link.from));
        expect([...section.links].sort()).toEqual(own.map((link) => link.id).sort());
        if (section.nodes.length > 1) seen++;
      }),
    );
    expect(seen).toBeGreaterThan(20);
  });
});
