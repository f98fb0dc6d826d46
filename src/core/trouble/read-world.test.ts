import { describe, expect, it } from "vitest";
import { jobAt } from "../job/proof.fixtures";
import { around } from "./around";
import { readWorld } from "./read-world";
import { knowledgeOf, sheetOf } from "./trouble.fixtures";

const pilot = knowledgeOf("electric-pilot-valve");
const inputs = jobAt("MG-P3", "sedgeway-ditchmaster-80", "marram-gardens");
const place = around({ sheet: inputs.sheet, line: inputs.line!, at: "MG-P3" });
const read = readWorld(pilot, place, inputs.sheet);

describe("the world answers looks at the line", () => {
  it("finds the stops that starve a valve, nearest first, and who is fed beside it", () => {
    expect(place.stops.length).toBeGreaterThanOrEqual(2);
    expect(place.beside).toBeDefined();
    const nearest = inputs.line!.links.find(({ id }) => id === place.stops[0]);
    expect(nearest?.kind).toBe("valve");
  });

  it("with its own stop shut the others still have water; with the main shut nobody has", () => {
    expect(read.beside!["stop-shut"]!.yes).toBeGreaterThan(0.9);
    expect(read.beside!["main-shut"]!.no).toBeGreaterThan(0.9);
    expect(read.beside!["supply-off"]!.no).toBeGreaterThan(0.9);
    expect(read.stop!["stop-shut"]!.shut).toBeGreaterThan(0.9);
    expect(read.stop!["main-shut"]!.open).toBeGreaterThan(0.9);
  });

  it("what the file says of a cause stays, where the line says nothing of it", () => {
    expect(read.beside!["coil-open"]!.yes).toBeGreaterThan(0.9);
    expect(Object.keys(read)).not.toContain("hoses");
  });

  it("a gauge reads what the line has, with the spread of a gauge", () => {
    const hydrant = jobAt("NQ-H09", "quillon-harbour-5", "north-quay", { build: "opens-left" });
    const at = around({ sheet: hydrant.sheet, line: hydrant.line!, at: "NQ-H09", build: "opens-left" });
    const { static: gauge } = readWorld(knowledgeOf("dry-barrel-hydrant"), at, hydrant.sheet);
    expect(gauge!.seat!.within).toBeGreaterThan(0.95);
    expect(gauge!["gate-shut"]!.below).toBeGreaterThan(0.95);
  });

  it("where no line is drawn the standard one stands in", () => {
    const engine = around({ sheet: sheetOf("servo-solenoid") });
    expect(engine.stops).toEqual(["own-stop", "main-stop"]);
    const standard = readWorld(knowledgeOf("servo-solenoid"), engine, sheetOf("servo-solenoid"));
    expect(standard.power!["no-power"]!.no).toBeGreaterThan(0.9);
    expect(standard.power!["coil-open"]!.yes).toBeGreaterThan(0.9);
    expect(standard.beside!["main-shut"]!.no).toBeGreaterThan(0.9);
  });
});
