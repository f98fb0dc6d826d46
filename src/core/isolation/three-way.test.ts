import { describe, expect, it } from "vitest";
import { isolationMessage, speaker } from "@/words";
import type { Line } from "../formats";
import { checkLine } from "../line";
import { planIsolation } from ".";
import { lineOf, node, pipe, planned, valve } from "./isolation.fixtures";

const stem = (more = {}) =>
  node("RS", "three-way", {
    name: "Relief stem",
    threeWay: {
      positions: [
        { id: "both", name: "Mid: both in service", joins: [["c", "a", "b"]] },
        { id: "a-off", name: "Front seat: A shut off", joins: [["c", "b"]] },
        { id: "b-off", name: "Back seat: B shut off", joins: [["c", "a"]] },
      ],
      normally: "both",
      operable: true,
      lockable: true,
      access_min: 3,
      ...more,
    },
  });

/** A vessel with two relief valves on a three-way stem, and one with a single relief valve and a liquid feed. */
const twin = (more = {}): Line =>
  lineOf(
    [
      node("V", "vessel", { name: "Receiver" }),
      stem(more),
      node("RA", "relief"),
      node("RB", "relief"),
      node("POT", "vessel", { name: "Oil pot" }),
      node("RP", "relief"),
      node("J"),
    ],
    [
      pipe("c", "V", "RS"),
      pipe("a", "RS", "RA"),
      pipe("b", "RS", "RB"),
      pipe("p", "POT", "RP"),
      valve("OUT", "V", "J"),
      valve("IN", "J", "POT"),
    ],
    { medium: "ammonia" },
  );

describe("a relief set on a three-way stem", () => {
  it("turns the stem to the seat that shuts off the one to be changed", () => {
    const plan = planned(twin(), ["RA"]);
    expect(plan.turned).toMatchObject([{ node: "RS", to: { id: "a-off" }, from: { id: "both" } }]);
    expect(plan.closures).toEqual([]);
    expect(planned(twin(), ["RB"]).turned[0]?.to.id).toBe("b-off");
    expect(plan.restoring.map((act) => act.kind)).toEqual(["turn-back"]);
  });

  it.each([
    ["seized", { operable: false }, {}],
    ["known to pass", { passes: true }, {}],
    ["found to pass today", {}, { passing: ["RS"] }],
    ["to be avoided", {}, { avoid: ["RS"] }],
  ])("is no barrier when it is %s: the vessel has to be pumped out", (_why, flaw, more) => {
    const plan = planIsolation(twin(flaw), { open: ["RA"], ...more });
    expect(plan).toMatchObject({ ok: false, error: { kind: "no-isolation", pumpOut: { id: "V" } } });
  });

  it("never leaves a vessel without a relief valve", () => {
    const valved = twin();
    valved.links = valved.links.map((link) => (link.id === "c" ? valve("c", "V", "RS") : link));
    const plan = planIsolation(valved, { open: ["RS"] });
    expect(plan.ok ? "" : isolationMessage(speaker(), plan.error)).toBe(
      "This would leave Receiver without a relief valve. Pump it out first, or put a second relief valve in service.",
    );
  });

  it("opens the only relief valve of a vessel when that is pumped out and parted from the rest", () => {
    const refused = planIsolation(twin(), { open: ["RP"] });
    expect(refused.ok ? "" : isolationMessage(speaker(), refused.error)).toContain(
      "It becomes possible when Oil pot is pumped out first",
    );
    const plan = planned(twin(), ["RP"], { pumpedOut: ["POT"] });
    expect(plan.closures.map((each) => each.link)).toEqual(["IN"]);
    expect(plan.shutting.map((act) => act.kind)).toEqual(["pump-out", "shut"]);
  });
});

describe("a change-over valve", () => {
  const supply = (more = {}): Line =>
    lineOf(
      [
        node("TOWN", "source"),
        node("WELL", "source"),
        node("X", "three-way", {
          threeWay: {
            positions: [
              { id: "town", name: "Town", joins: [["t", "h"]] },
              { id: "well", name: "Well", joins: [["w", "h"]] },
              { id: "off", name: "Off", joins: [] },
            ],
            normally: "town",
            operable: true,
            lockable: true,
            access_min: 2,
            ...more,
          },
        }),
        node("H", "consumer"),
        node("T", "consumer"),
      ],
      [pipe("t", "TOWN", "X"), pipe("w", "WELL", "X"), pipe("h", "X", "H"), valve("TV", "TOWN", "T")],
    );

  it("stands shut by its own position", () => {
    expect(planned(supply(), ["H"]).turned[0]?.to.id).toBe("off");
    expect(planned(supply(), ["H"]).lost.map((each) => each.node)).toEqual(["H"]);
  });

  it("is checked: links that hang on it, each once, a position it can stand in", () => {
    const change = (edit: (line: Line) => void) => {
      const line = structuredClone(supply());
      edit(line);
      return checkLine(line).map((each) => each.path);
    };
    expect(checkLine(supply())).toEqual([]);
    expect(
      change((line) => {
        line.nodes[2]!.threeWay!.normally = "half";
      }),
    ).toEqual(["/nodes/2/threeWay/normally"]);
    expect(
      change((line) => {
        line.nodes[2]!.threeWay!.positions[1]!.joins = [["w", "TV"]];
      }),
    ).toEqual(["/nodes/2/threeWay/positions/1/joins"]);
    expect(
      change((line) => {
        line.nodes[2]!.threeWay!.positions[0]!.joins = [["t", "h", "t"]];
      }),
    ).toEqual(["/nodes/2/threeWay/positions/0/joins"]);
    expect(
      change((line) => {
        delete line.nodes[2]!.threeWay;
      }),
    ).toEqual(["/nodes/2/threeWay"]);
    expect(
      change((line) => {
        line.nodes[2]!.kind = "junction";
      }),
    ).toEqual(["/nodes/2/threeWay"]);
  });
});
