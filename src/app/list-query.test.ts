import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { listAddress } from "@/ui/list/list-address";
import { asked } from "./list-query";

/** What an address says, read as the page reads it. */
const readBack = (address: string) => asked(Object.fromEntries(new URL(address, "http://loft").searchParams));

describe("what an address asks of a list", () => {
  it("read back gives what was asked, whatever was typed", () => {
    let seen = 0;
    const words = fc.string({ minLength: 1, maxLength: 12, unit: "grapheme" });
    fc.assert(
      fc.property(words, words, fc.integer({ min: 2, max: 99 }), (find, place, page) => {
        expect(readBack(listAddress("/valves", { find, place }, { page }))).toEqual({ find, place, page });
        seen++;
      }),
    );
    expect(seen).toBeGreaterThan(50);
  });

  it("said twice the first counts, and a page that is no number is not hidden", () => {
    expect(asked({ place: ["Lido", "Ropewalk"], sort: undefined, find: "" })).toEqual({ place: "Lido" });
    expect(asked({ page: "two" })).toEqual({ page: Number.NaN });
  });
});
