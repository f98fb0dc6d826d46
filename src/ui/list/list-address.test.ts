import { describe, expect, it } from "vitest";
import { listAddress, shownColumns } from "./list-address";

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
});

describe("the columns shown", () => {
  const ALL = ["tag", "name", "due"] as const;
  it("are those asked for in the list's own order, or all where none is known", () => {
    expect(shownColumns(ALL, "due,tag")).toEqual(["tag", "due"]);
    expect(shownColumns(ALL, "due,moon")).toEqual(["due"]);
    for (const columns of [undefined, "", "moon"]) expect(shownColumns(ALL, columns)).toEqual(ALL);
  });
});
