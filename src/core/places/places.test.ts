import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Place } from "../formats";
import { boundsOf, distance, placeOf, spotOf, toMetres } from ".";

const places = new Map<string, Place>(
  [
    { name: "Holm", lat: 57, lon: 2 },
    { name: "Lido", within: "Holm", lat: 57.01, lon: 2.02 },
    { name: "Cellar", within: "Lido" },
    { name: "Nowhere" },
    { name: "Ring", within: "Gnir" },
    { name: "Gnir", within: "Ring" },
  ].map((place) => [place.name, place]),
);

describe("where things stand", () => {
  it("a room that nobody described is in the place its name begins with", () => {
    expect(placeOf("Lido, team room, east", places)?.name).toBe("Lido");
    expect(placeOf("Moon, crater", places)).toBeUndefined();
  });

  it("by its own position, by its place, by what that lies in, or nobody knows", () => {
    expect(spotOf({ place: "Lido", lat: 1, lon: 2 }, places)).toEqual({ lat: 1, lon: 2 });
    expect(spotOf({ place: "Lido, team room" }, places)).toEqual({ lat: 57.01, lon: 2.02 });
    expect(spotOf({ place: "Cellar" }, places)).toEqual({ lat: 57.01, lon: 2.02 });
    expect(spotOf({ place: "Nowhere" }, places)).toBeUndefined();
    expect(spotOf({ place: "Ring" }, places)).toBeUndefined();
  });
});

describe("metres on the ground", () => {
  it("one degree of a great circle is 111.195 km", () => {
    expect(distance({ lat: 0, lon: 0 }, { lat: 0, lon: 1 })).toBeCloseTo(111_195, -1);
    expect(distance({ lat: 10, lon: 5 }, { lat: 11, lon: 5 })).toBeCloseTo(111_195, -1);
  });

  it("agree on the plane and on the ball over a site", () => {
    const small = fc.double({ min: -0.02, max: 0.02, noNaN: true });
    fc.assert(
      fc.property(fc.double({ min: -65, max: 65, noNaN: true }), small, small, (lat, north, east) => {
        const origin = { lat, lon: 2 };
        const spot = { lat: lat + north, lon: 2 + east };
        const { x, y } = toMetres(spot, origin);
        expect(Math.abs(Math.hypot(x, y) - distance(origin, spot))).toBeLessThan(3);
      }),
    );
  });

  it("bound all they hold", () => {
    expect(boundsOf([])).toBeUndefined();
    expect(
      boundsOf([
        { lat: 1, lon: 4 },
        { lat: 3, lon: 2 },
      ]),
    ).toEqual({
      south: 1,
      north: 3,
      west: 2,
      east: 4,
      middle: { lat: 2, lon: 3 },
    });
  });
});
