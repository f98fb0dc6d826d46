import { describe, expect, it } from "vitest";
import { notationOf } from "@/core/quantity";
import { lockedWords, speaker, storedWords } from "@/words";
import { lineOf, node, pipe, planned, valve } from "./isolation.fixtures";

/** A liquid line: receiver — A — J — B — evaporator feed, opened beyond B. */
const liquid = (more = {}) =>
  lineOf(
    [
      node("REC", "vessel", { stream: "liquid", temperature_C: 20, name: "Receiver" }),
      node("J1", "junction", { stream: "liquid" }),
      node("J2", "junction", { stream: "liquid" }),
      node("EV", "consumer", { name: "Evaporator" }),
      node("G", "gauge", { name: "Gauge valve" }),
    ],
    [
      valve("A", "REC", "J1", { access_min: 9 }),
      { ...pipe("p1", "J1", "J2"), dn_mm: 25, length_m: 12 },
      valve("B", "J2", "EV"),
      pipe("g", "EV", "G"),
    ],
    { medium: "ammonia", rating_bar: 40, ...more },
  );

describe("what stays shut in", () => {
  it("finds no locked liquid where a closure leaves the rest on its vessel", () => {
    const plan = planned(liquid(), ["EV"]);
    expect(plan.closures.map((each) => each.link)).toEqual(["B"]);
    expect(plan.locked.filter((piece) => !piece.untilDrained)).toEqual([]);
  });

  it("finds the stretch between two shut valves, with its rise for each K", () => {
    const shut = liquid();
    shut.links = shut.links.map((link) =>
      link.id === "A" ? valve("A", "REC", "J1", { normally: "shut" }) : link,
    );
    const [piece] = planned(shut, ["EV"], { avoid: ["A"] }).locked.filter((each) => !each.untilDrained);
    // 12 m of 25 mm bore hold 5.9 L; saturated liquid ammonia at 20 °C gives about 15 bar for each K in steel pipe.
    expect(piece?.volume_L).toBeCloseTo(5.89, 2);
    expect(piece?.barPerKelvin).toBeGreaterThan(13);
    expect(piece?.barPerKelvin).toBeLessThan(18);
    expect(piece?.kelvinToRating).toBeCloseTo(40 / piece!.barPerKelvin, 6);
    expect(lockedWords(speaker(), piece!)).toMatch(/5\.89 L of liquid ammonia stands locked in: about 15/);
  });

  it("counts a check valve as a way that lets nothing back", () => {
    const line = liquid();
    line.links = line.links.map((link) =>
      link.id === "A" ? { kind: "check" as const, id: "A", from: "REC", to: "J1" } : link,
    );
    expect(planned(line, ["EV"]).locked.filter((piece) => !piece.untilDrained)).toHaveLength(1);
  });

  it("a relief valve on the stretch lets it give", () => {
    const line = liquid();
    line.links = line.links.map((link) =>
      link.id === "A" ? valve("A", "REC", "J1", { normally: "shut" }) : link,
    );
    line.nodes.push(node("RV", "relief"));
    line.links.push(pipe("rv", "J2", "RV"));
    expect(planned(line, ["EV"], { avoid: ["A"] }).locked.filter((each) => !each.untilDrained)).toEqual([]);
  });
});

describe("where zero is proven", () => {
  it("is the gauge, else the vent, else the drain", () => {
    expect(planned(liquid(), ["EV"]).prove).toMatchObject([{ how: "gauge", node: "G" }]);
    const vented = liquid();
    vented.nodes = vented.nodes.map((each) => (each.id === "G" ? { ...each, kind: "vent" as const } : each));
    expect(planned(vented, ["EV"]).prove).toMatchObject([{ how: "vent", node: "G" }]);
  });

  it("is nowhere for ammonia without any: never at the cover; water may be cracked slowly", () => {
    const bare = liquid();
    bare.nodes = bare.nodes.filter((each) => each.id !== "G");
    bare.links = bare.links.filter((each) => each.id !== "g");
    expect(planned(bare, ["EV"]).prove[0]).toMatchObject({ how: "nowhere" });
    expect(planned(bare, ["EV"]).prove[0]?.how).toBe("nowhere");
    expect(planned({ ...bare, medium: "water" }, ["EV"]).prove[0]).toMatchObject({ how: "crack" });
  });
});

describe("what closures do not take away", () => {
  it("is told by the line, and follows from heat, cold and height", () => {
    const line = lineOf(
      [
        node("S", "source", { temperature_C: 80 }),
        node("M", "junction", { stored: [{ kind: "spring", says: "Wind it down.", wait_min: 1 }] }),
        node("ROOF", "junction", { elevation_m: 12 }),
      ],
      [valve("A", "S", "M"), pipe("r", "M", "ROOF")],
    );
    expect(planned(line, ["M"]).stored.map((each) => each.kind)).toEqual(["spring", "heat", "head"]);
    const [, heat, head] = planned(line, ["M"]).stored;
    expect(storedWords(speaker(), heat!)).toMatch(/°C.*below 45 °C/);
    expect(storedWords(speaker(notationOf("us")), heat!)).toMatch(/°F.*below 113 °F/);
    expect(storedWords(speaker(notationOf("us")), head!)).toMatch(/ ft above/);
    const cold = liquid();
    cold.nodes[0] = { ...cold.nodes[0]!, temperature_C: -30 };
    expect(planned(cold, ["EV"]).stored.map((each) => each.kind)).toEqual(["cold"]);
  });

  it("a closure in a pit asks for a confined-space permit", () => {
    const line = liquid();
    line.links = line.links.map((link) =>
      link.id === "B" ? valve("B", "J2", "EV", { confined: true }) : link,
    );
    expect(planned(line, ["EV"]).permits).toEqual(["refrigerant", "confined"]);
  });
});
