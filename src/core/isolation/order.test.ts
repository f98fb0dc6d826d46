import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Line } from "../formats";
import { planIsolation } from ".";
import { lineOf, node, pipe, planned, valve } from "./isolation.fixtures";

/** A mixer between hot and cold with a pump in its return, and the electricity of both. */
const mixer = (): Line =>
  lineOf(
    [
      node("HOT", "source", { stream: "hot", temperature_C: 65, name: "Calorifier" }),
      node("COLD", "source", { stream: "cold", name: "Cold main" }),
      node("E", "source", { medium: "electricity", name: "Board 3" }),
      node("M", "junction", { with: ["ME"], name: "Mixer" }),
      node("ME", "consumer", { medium: "electricity", name: "Mixer plug" }),
      node("PM", "consumer", { medium: "electricity", name: "Pump motor" }),
      node("R"),
      node("T", "consumer", { name: "Showers" }),
      node("D", "drain", { elevation_m: -1 }),
    ],
    [
      valve("VC", "COLD", "M"),
      valve("VH", "HOT", "M"),
      pipe("t", "M", "T"),
      pipe("r", "M", "R"),
      pipe("d", "M", "D"),
      { kind: "pump", id: "P", name: "Return pump", from: "R", to: "HOT", access_min: 2, motor: "PM" },
      { ...valve("VR", "R", "HOT"), stream: "hot" },
      { ...valve("Q1", "E", "ME"), type: "switch", medium: "electricity" },
      { ...valve("Q2", "E", "PM"), type: "switch", medium: "electricity" },
    ],
  );

describe("the order of a mixing valve", () => {
  const line = mixer();
  line.links = line.links.filter((link) => link.id !== "P");
  const plan = planned(line, ["M"]);

  it("is electricity, hot, then cold; and back: cold, hot, electricity", () => {
    expect(plan.shutting.map((act) => act.kind)).toEqual(["switch-off", "shut", "shut", "shut"]);
    expect(plan.shutting[0]?.id).toBe("Q1");
    expect(plan.shutting[3]?.id).toBe("VC");
    expect(plan.restoring.map((act) => act.kind)).toEqual([
      "shut-drain",
      "open",
      "open",
      "open",
      "switch-on",
    ]);
    expect(plan.restoring[1]?.id).toBe("VC");
    expect(plan.restoring.at(-1)?.why).toMatchObject({ kind: "opened-in-order", stream: "electricity" });
  });

  it("says what is stored and what to ask for", () => {
    expect(plan.stored).toMatchObject([{ kind: "heat", at: "Calorifier" }]);
    expect(plan.permits).toEqual(["electrical"]);
    expect(plan.prove.map((each) => each.how).toSorted()).toEqual(["drain", "tester"]);
  });
});

it("a pump that can push into the open section is stopped, and its motor locked off", () => {
  const within = mixer();
  // The pump now stands between the mixer and its valve.
  within.links = within.links.map((link) =>
    link.id === "P" ? { ...link, to: "R2" } : link.id === "VR" ? { ...link, from: "R2" } : link,
  );
  within.nodes.push(node("R2"));
  const opened = planned(within, ["M"]);
  expect(opened.shutting.slice(0, 2).map((act) => act.kind)).toEqual(["stop-pump", "switch-off"]);
  expect(opened.closures.map((each) => each.link)).toContain("Q2");
  expect(opened.restoring.at(-1)).toMatchObject({ kind: "start-pump", id: "P" });
});

/** Every line with two streams whose order matters. */
const streams = fc.record({
  pair: fc.constantFrom(
    ["hot", "cold"],
    ["liquid", "suction"],
    ["liquid", "hot-gas"],
    ["hot-gas", "suction"],
    ["hot", "mixed"],
  ),
  minutes: fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 4, maxLength: 4 }),
  heights: fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 4, maxLength: 4 }),
});

it("whatever stands where, the dangerous stream goes first and comes back last, and drains are shut before", () => {
  fc.assert(
    fc.property(streams, ({ pair: [first, second], minutes, heights }) => {
      const line = lineOf(
        [
          node("A", "source", { stream: first }),
          node("B", "source", { stream: second }),
          node("E", "source", { medium: "electricity" }),
          node("C", "consumer", { medium: "electricity" }),
          node("M", "junction", { with: ["C"], elevation_m: heights[0] }),
          node("N", "junction", { elevation_m: heights[1] }),
          node("D", "drain", { elevation_m: heights[2] }),
        ],
        [
          valve("va", "A", "M", { access_min: minutes[0] }),
          valve("vb", "B", "N", { access_min: minutes[1] }),
          valve("vb2", "B", "M", { access_min: minutes[2] }),
          pipe("mn", "M", "N"),
          pipe("md", "M", "D"),
          { ...valve("q", "E", "C", { access_min: minutes[3] }), medium: "electricity" },
        ],
        { medium: first === "hot" ? "water" : "ammonia" },
      );
      const plan = planIsolation(line, { open: ["M"] });
      if (!plan.ok) throw new Error("no plan");
      const shut = plan.value.shutting.map((act) => act.id);
      const open = plan.value.restoring.map((act) => act.id);
      for (const second of ["vb", "vb2"]) {
        expect(shut.indexOf("va")).toBeLessThan(shut.indexOf(second));
        expect(open.indexOf("va")).toBeGreaterThan(open.indexOf(second));
      }
      expect(shut[0]).toBe("q");
      expect(open[0]).toBe("D");
      expect(open.at(-1)).toBe("q");
      expect(open.filter((id) => id !== "D").toSorted()).toEqual(shut.toSorted());
    }),
  );
});
