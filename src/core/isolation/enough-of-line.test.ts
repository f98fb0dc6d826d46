import { describe, expect, it } from "vitest";
import { checkLine, neighbourhood, streetGrid } from "../line";
import { enoughOfLine, planIsolation } from ".";

const town = streetGrid(6000, 3);
const hydrants = town.nodes.filter((node) => node.hydrant).map((node) => node.id);
const some = hydrants.filter((_, index) => index % Math.ceil(hydrants.length / 25) === 0);

describe("the neighbourhood of a place", () => {
  it("is a sound line of its own, cut at boundaries, with the place in it", () => {
    expect(some.length).toBeGreaterThan(20);
    for (const id of some) {
      const part = neighbourhood(town, id, 300);
      expect(checkLine(part)).toEqual([]);
      expect(part.nodes.length).toBeLessThan(700);
      expect(part.nodes.some((node) => node.id === id)).toBe(true);
      expect(part.nodes.some((node) => node.kind === "boundary")).toBe(true);
    }
  });

  it("of a small line is the line itself", () => {
    expect(neighbourhood(town, some[0]!, 1e6)).toBe(town);
  });

  it("that a job carries shuts the same valves and takes service from the same as the whole main", () => {
    let smaller = 0;
    for (const id of some) {
      const demand = { open: [id] };
      const part = enoughOfLine(town, demand);
      const [whole, cut] = [planIsolation(town, demand), planIsolation(part, demand)];
      if (part.nodes.length < town.nodes.length / 3) smaller += 1;
      expect(cut.ok).toBe(whole.ok);
      if (!cut.ok || !whole.ok) continue;
      expect(cut.value.closures.map((each) => each.link).sort()).toEqual(
        whole.value.closures.map((each) => each.link).sort(),
      );
      expect(cut.value.lost.map((each) => each.node).sort()).toEqual(
        whole.value.lost.map((each) => each.node).sort(),
      );
    }
    expect(smaller).toBeGreaterThan(some.length * 0.8);
  });
});
