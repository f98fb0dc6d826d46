import { describe, expect, it } from "vitest";
import { type Line, NODE_KINDS } from "@/core/formats";
import { demoDocument } from "@/core/job/job.fixtures";
import { labelOf } from "@/ui/schema-form/schema";
import { checkDocument } from "@/workers/check-document";
import { changeNode, threeWayOf } from "./edit-line";
import { LINK, nodeSchema, OF_LINE, referencesOf } from "./item-fields";

const line = demoDocument<Line>("lines/gannet-low-side.json");

describe("what the line editor asks for", () => {
  it.each(NODE_KINDS)("of a %s: what every place has, and not where it is drawn", (kind) => {
    const { properties } = nodeSchema(kind);
    expect(Object.keys(properties!)).toEqual(
      expect.arrayContaining(["kind", "name", "elevation_m", "stored"]),
    );
    for (const hidden of ["id", "at", "asset"]) expect(properties).not.toHaveProperty(hidden);
    for (const field of Object.values(properties!)) expect(field).toBeDefined();
  });

  it("of a place what its kind has", () => {
    expect(nodeSchema("vessel").properties).toHaveProperty("volume_L");
    expect(nodeSchema("junction").properties).not.toHaveProperty("volume_L");
    expect(nodeSchema("three-way").properties).toHaveProperty("threeWay");
  });

  it("of a link of any kind all but its id and its corners", () => {
    expect(LINK.oneOf!.length).toBeGreaterThan(5);
    for (const { properties } of LINK.oneOf!) {
      expect(properties).toHaveProperty("from");
      for (const hidden of ["id", "via"]) expect(properties).not.toHaveProperty(hidden);
    }
  });

  it("of the line what runs in it, its rule and what it bears", () => {
    expect(Object.keys(OF_LINE.properties!)).toEqual(["medium", "rule", "rating_bar", "demonstration"]);
    expect(labelOf("rating_bar", OF_LINE.properties!.rating_bar)).toBe("Rated for");
  });

  it("in the words of the trade", () => {
    const valve = LINK.oneOf!.find(({ properties }) => properties?.kind?.const === "valve")!;
    const label = (name: string) => labelOf(name, valve.properties![name]);
    expect(["normally", "operable", "lockable", "passes", "access_min"].map(label)).toEqual([
      "Stands",
      "Can be moved",
      "Has a lock point",
      "Known to pass",
      "Minutes to shut",
    ]);
  });
});

describe("what a field may name", () => {
  const stem = line.nodes.find((node) => node.threeWay !== undefined)!;
  const of = referencesOf(line, stem);

  it("is a place of the line, but not itself as its own equipment", () => {
    expect(of("from")).toHaveLength(line.nodes.length);
    expect(of("with")).toHaveLength(line.nodes.length - 1);
    expect(of("with")!.map(({ id }) => id)).not.toContain(stem.id);
    expect(of("name")).toBeUndefined();
  });

  it("is for the ports of a stem one of its own links, and for how it stands one of its positions", () => {
    const own = line.links.filter(({ from, to }) => [from, to].includes(stem.id)).map(({ id }) => id);
    expect(own.length).toBeGreaterThan(1);
    expect(of("joins")!.map(({ id }) => id)).toEqual(own);
    expect(of("normally")!.map(({ id }) => id)).toEqual(stem.threeWay!.positions.map(({ id }) => id));
    expect(referencesOf(line, undefined)("normally")).toEqual([]);
  });
});

describe("a place that becomes a three-way valve", () => {
  it("begins sound, with all its links joined in the middle", () => {
    const crossing = line.nodes.find(
      (node) =>
        node.kind === "junction" &&
        line.links.filter(({ from, to }) => [from, to].includes(node.id)).length === 3,
    )!;
    const made = threeWayOf(line, crossing);
    expect(made.positions.map(({ joins }) => joins[0]!.length)).toEqual([3, 2]);
    const changed = changeNode(line, crossing.id, { ...crossing, kind: "three-way", threeWay: made });
    expect(checkDocument(changed)).toEqual([]);
  });
});
