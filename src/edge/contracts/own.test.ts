import { describe, expect, it } from "vitest";
import { readAs } from "@/core/formats";
import { OWN, PLACES, SAVE_VALVE } from "./own";

describe("what a form hands in", () => {
  it("can be read for every kind: the row as it shall be, and as it was", () => {
    for (const { id, body, takes } of OWN)
      if (body !== undefined && takes === undefined) expect(() => readAs(body, {}), id).not.toThrow();
    const row = { name: "Yard", lat: 57.1, lon: 2.3 };
    expect(readAs(PLACES.save.body!, { was: { name: "Yard" }, row })).toMatchObject({ ok: true });
    expect(readAs(PLACES.save.body!, { row: { ...row, lat: 200 } })).toMatchObject({
      ok: false,
      error: [{ path: "/row/lat" }],
    });
    expect(readAs(SAVE_VALVE.body!, { row: { tag: "A 1" } }).ok).toBe(false);
  });
});
