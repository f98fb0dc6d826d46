import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { asked } from "@/app/list-query";
import { listAddress, shownColumns } from "./list-address";

/** What an address says, read as the page reads it. */
const readBack = (address: string) => asked(Object.fromEntries(new URL(address, "http://loft").searchParams));

describe("the address of a list", () => {
  it("holds what is asked and nothing that is empty", () => {
    expect(listAddress("/valves", {}, {})).toBe("/valves");
    expect(listAddress("/valves", { find: "", place: undefined }, {})).toBe("/valves");
    expect(listAddress("/valves", { place: "North quay" }, { sort: "due" })).toBe(
      "/valves?place=North+quay&sort=due",
    );
  });

  it("begins at the first page when anything is changed, and goes to a page that is asked", () => {
    const ask = { find: "seat", page: 7 };
    expect(listAddress("/jobs", ask, { sort: "valve" })).toBe("/jobs?find=seat&sort=valve");
    expect(listAddress("/jobs", ask, { page: 8 })).toBe("/jobs?find=seat&page=8");
    expect(listAddress("/jobs", ask, { page: 1 }), "the first needs no word").toBe("/jobs?find=seat");
  });

  it("a filter is taken off by undefined or nothing", () => {
    const ask = { place: "Lido", state: "late" };
    expect(listAddress("/valves", ask, { place: undefined })).toBe("/valves?state=late");
    expect(listAddress("/valves", ask, { place: "" })).toBe("/valves?state=late");
  });

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

describe("the columns shown", () => {
  const ALL = ["tag", "name", "due"] as const;
  it("are those asked for in the list's own order, or all where none is known", () => {
    expect(shownColumns(ALL, "due,tag")).toEqual(["tag", "due"]);
    expect(shownColumns(ALL, "due,moon")).toEqual(["due"]);
    for (const asked_ of [undefined, "", "moon"]) expect(shownColumns(ALL, asked_)).toEqual(ALL);
  });
});
