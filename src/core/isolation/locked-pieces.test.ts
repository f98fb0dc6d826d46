import { describe, expect, it } from "vitest";
import type { Line } from "../formats";
import { network } from "../line";
import { lineOf, node, pipe, valve } from "./isolation.fixtures";
import { lockedPieces } from "./locked-pieces";
import { shutInSection } from "./section";

/** What stays full between closures, with the work at "work". */
function locked(line: Line, shut: readonly string[], bled: readonly string[] = []) {
  const net = network(line);
  const closed = new Set(shut.map((id) => line.links.findIndex((link) => link.id === id)));
  const section = shutInSection(net, [line.nodes.findIndex((each) => each.id === "work")], closed);
  const bleeds = bled.map((id) => ({ node: id, name: id, between: [] }));
  return lockedPieces(net, { closed, section, bleeds });
}

/** feed – v1 – a – b – v2 – work: two barriers with a full pipe between them. */
const between = (
  more: { medium?: Line["medium"]; a?: object; b?: object; rating_bar?: number; source?: object } = {},
) =>
  lineOf(
    [
      node("feed", "source", more.source ?? {}),
      node("a", "junction", more.a ?? {}),
      node("b", "junction", more.b ?? {}),
      node("work", "junction"),
    ],
    [valve("v1", "feed", "a"), pipe("held", "a", "b"), valve("v2", "b", "work")],
    { medium: more.medium ?? "water", ...(more.rating_bar !== undefined && { rating_bar: more.rating_bar }) },
  );

describe("liquid locked between closures", () => {
  it("is found between two barriers, with its content and its rise", () => {
    const [piece, ...none] = locked(between({ rating_bar: 16 }), ["v1", "v2"]);
    expect(none).toEqual([]);
    expect([...piece!.nodes].sort()).toEqual(["a", "b"]);
    expect(piece!.volume_L).toBeCloseTo((Math.PI / 4) * 0.1 ** 2 * 10 * 1000, 6);
    // Water at 15 °C in steel: about 2 bar a kelvin (API 521 speaks of several).
    expect(piece!.barPerKelvin).toBeGreaterThan(0.5);
    expect(piece!.barPerKelvin).toBeLessThan(5);
    expect(piece!.kelvinToRating! * piece!.barPerKelvin).toBeCloseTo(16, 9);
    expect(piece!.untilDrained).toBe(false);
  });

  it("is none where one side stays open to what feeds, or is bled", () => {
    expect(locked(between(), ["v2"])).toEqual([]);
    expect(locked(between(), ["v1", "v2"], ["b"])).toEqual([]);
    expect(locked(between(), ["v1", "v2"], ["elsewhere"])).toHaveLength(1);
  });

  it.each([
    ["a vessel", { kind: "vessel" }],
    ["a relief", { kind: "relief" }],
    ["a content of its own", { volume_L: 5 }],
    ["something that feeds back", { feedsBack: true }],
  ])("%s in it gives way", (_, at) => {
    expect(locked(between({ a: at }), ["v1", "v2"])).toEqual([]);
  });

  it.each(["steam", "air", "gas"] as const)("%s is no liquid and gives", (medium) => {
    expect(locked(between({ medium }), ["v1", "v2"])).toEqual([]);
  });

  it.each(["ammonia", "co2"] as const)("%s counts only where the line says liquid stands there", (medium) => {
    const liquid = { stream: "liquid" };
    expect(locked(between({ medium }), ["v1", "v2"])).toEqual([]);
    expect(locked(between({ medium, a: liquid }), ["v1", "v2"])).toHaveLength(1);
    expect(locked(between({ medium, a: liquid, b: { stream: "hot-gas" } }), ["v1", "v2"])).toEqual([]);
  });

  it("ammonia locked in rises several times as fast as cold water", () => {
    const [cold] = locked(between(), ["v1", "v2"]);
    const [ammonia] = locked(between({ medium: "ammonia", a: { stream: "liquid" } }), ["v1", "v2"]);
    expect(ammonia!.barPerKelvin).toBeGreaterThan(3 * cold!.barPerKelvin);
  });

  it("what is hotter than its surroundings cools while it stands, and draws in", () => {
    expect(locked(between({ source: { temperature_C: 60 } }), ["v1", "v2"])).toEqual([]);
    expect(locked(between({ source: { temperature_C: 30 } }), ["v1", "v2"])).toHaveLength(1);
  });

  it("less than a cup gives at its joints", () => {
    const line = between();
    const short = {
      ...line,
      links: line.links.map((link) => (link.kind === "pipe" ? { ...link, dn_mm: 10, length_m: 1 } : link)),
    };
    expect(locked(short, ["v1", "v2"])).toEqual([]);
  });

  it("a check valve locks as a shut one does: liquid goes out through it and not back", () => {
    const line = lineOf(
      [node("feed", "source"), node("a"), node("b"), node("work")],
      [{ kind: "check", id: "c1", from: "feed", to: "a" }, pipe("held", "a", "b"), valve("v2", "b", "work")],
    );
    expect(locked(line, ["v2"])).toHaveLength(1);
    const outward: Line = {
      ...line,
      links: [{ kind: "check", id: "c1", from: "a", to: "feed" }, ...line.links.slice(1)],
    };
    expect(locked(outward, ["v2"])).toEqual([]);
  });

  it("the section itself is locked until it is drained", () => {
    const line = lineOf(
      [node("feed", "source"), node("work"), node("c"), node("far", "consumer")],
      [valve("v1", "feed", "work"), pipe("held", "work", "c"), valve("v2", "c", "far")],
    );
    expect(locked(line, ["v1", "v2"])[0]).toMatchObject({ untilDrained: true });
  });
});
