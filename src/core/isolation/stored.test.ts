import { describe, expect, it } from "vitest";
import type { Line } from "../formats";
import { network } from "../line";
import { lineOf, node, pipe, valve } from "./isolation.fixtures";
import { type StoredEnergy, storedEnergies } from "./stored";

type Node = Line["nodes"][number];

/** What stays stored when `work` is opened in a section of these places, fed from `S`. */
function stored(nodes: readonly Node[], open: readonly string[], more: Partial<Line> = {}): StoredEnergy[] {
  const source = nodes.find(({ id }) => id === "S") ?? node("S", "source");
  const others = nodes.filter(({ id }) => id !== "S");
  const links = [
    valve("V", "S", others[0]!.id),
    ...others.slice(1).map(({ id }, at) => pipe(`p${at}`, others[at]!.id, id)),
  ];
  const net = network(lineOf([source, ...others], links, more));
  const section = { nodes: others.map(({ id }) => id), links: [], volume_L: 10 };
  const index = (id: string) => net.nodeIndex.get(id)!;
  return storedEnergies(net, open.map(index), section, [index("S")]);
}
const at = (elevation_m: number) => ({ elevation_m });
const source = (temperature_C?: number, more = {}) =>
  node("S", "source", { ...(temperature_C !== undefined && { temperature_C }), ...more });

describe("what stays when every valve is shut", () => {
  it("is nothing in a level section of cold water", () => {
    expect(stored([source(12), node("work"), node("b")], ["work"])).toEqual([]);
    expect(stored([node("work")], ["work"])).toEqual([]);
  });

  it("is what the line tells of the work and of the section, once each", () => {
    const spring = { kind: "spring" as const, says: "The spring shuts it: hold the stem." };
    const charge = { kind: "capacitor" as const, says: "Wait for the charge.", wait_min: 5 };
    expect(
      stored(
        [
          node("work", "junction", { stored: [spring], name: "Valve" }),
          node("b", "junction", { stored: [charge] }),
        ],
        ["work"],
      ),
    ).toEqual([
      { ...spring, at: "Valve" },
      { ...charge, at: "b" },
    ]);
  });

  it.each([
    [45, undefined],
    [46, "heat"],
    [180, "heat"],
    [20, undefined],
    [-5, undefined],
    [-6, "cold"],
  ])("of what comes at %d °C is %s", (celsius, kind) => {
    const found = stored([source(celsius, { name: "Boiler" }), node("work")], ["work"]);
    expect(found).toEqual(kind === undefined ? [] : [{ kind, at: "Boiler", celsius }]);
  });

  it("is no heat of another medium than the one that is opened", () => {
    const steam = source(180, { medium: "steam" });
    expect(stored([steam, node("work")], ["work"])).toEqual([]);
    expect(stored([steam, node("work", "junction", { medium: "steam" })], ["work"])).toHaveLength(1);
  });

  it("is the liquid that stands more than a metre over the lowest place that is opened", () => {
    expect(stored([node("work"), node("b", "junction", at(1))], ["work"])).toEqual([]);
    expect(
      stored([node("work"), node("b", "junction", at(1.5)), node("c", "junction", at(6))], ["work"]),
    ).toEqual([{ kind: "head", metres: 6 }]);
    expect(
      stored(
        [node("work", "junction", at(5)), node("low", "junction", at(1)), node("c", "junction", at(6))],
        ["work", "low"],
      ),
    ).toEqual([{ kind: "head", metres: 5 }]);
  });

  it("is no head of what lies below, or of a gas", () => {
    expect(stored([node("work", "junction", at(5)), node("b")], ["work"])).toEqual([]);
    expect(stored([node("work"), node("b", "junction", at(9))], ["work"], { medium: "gas" })).toEqual([]);
  });

  it("is heat and head together, with what the line tells first", () => {
    const weight = { kind: "weight" as const, says: "The weight drops: prop it." };
    expect(
      stored(
        [source(70), node("work", "junction", { stored: [weight] }), node("b", "junction", at(4))],
        ["work"],
      ).map(({ kind }) => kind),
    ).toEqual(["weight", "heat", "head"]);
  });
});
