import { beforeAll, describe, expect, it } from "vitest";
import { demoServices } from "../demo.fixtures";
import { openJob } from "../jobs/open-job";
import { keepValve, removeValve } from "../register/keep-valve";
import type { Services } from "../services";
import { find, isOneSlip } from "./find";

let services: Services;
beforeAll(() => {
  services = demoServices(() => Date.parse("2027-03-01T09:00:00Z"));
  const tam = { id: "tam", name: "Tam Arkle" };
  for (const valve of ["LD-M2", "NQ-H10", "LD-SF1"]) {
    const sheet = services.library.sheet(services.register.valve(valve)!.sheet)!;
    const reach = sheet.symptoms[0]!.reach;
    openJob(services, { valve, reason: { kind: "due", says: "Due" }, reach, policy: "on-condition" }, tam);
  }
});
const first = (typed: string) => {
  const { hits, near } = find(services, typed);
  return near || hits[0] === undefined ? undefined : `${hits[0].kind} ${hits[0].name}`;
};

describe("find", () => {
  it("an exact tag always wins, with jobs open on its neighbours, however it is written", () => {
    const tags = services.register.valves().map((valve) => valve.tag);
    expect(tags.length).toBe(140);
    for (const tag of tags)
      for (const typed of [tag, tag.toLowerCase(), ` ${tag} `])
        expect(first(typed), typed).toBe(`valve ${tag}`);
  });

  it.each([
    ["NQ-H0", "valve NQ-H02"],
    ["ldm1", "valve LD-M1"],
    ["BF-4137", "valve NQ-H03"],
    ["V-11", "link V-11"],
    ["marram", "place Marram gardens"],
    ["isla", "person Isla Venn"],
    ["K-31", "kit Outlet disc kit K-31"],
    ["rubber ring", "bench O-ring"],
    ["quay hydrant", "valve NQ-H02"],
  ])("%s leads to %s", (typed, expected) => {
    const { hits } = find(services, typed);
    expect(hits.slice(0, 8).map((hit) => `${hit.kind} ${hit.name}`)).toContain(expected);
  });

  it.each([["hydrnat"], ["hydrat"], ["hydrrant"], ["jydrant"], ["softenre"]])(
    "%s is one slip away, and not taken by itself",
    (typed) => {
      const { hits, near } = find(services, typed);
      expect(near).toBe(true);
      expect(hits.length).toBeGreaterThan(0);
    },
  );

  it.each([["NQ-H01"], ["LD-X9"], ["zzzz"], [""], ["'\"*"], ["AND OR NOT"], ["a".repeat(120)]])(
    "%j leads nowhere",
    (typed) => {
      expect(first(typed)).toBeUndefined();
    },
  );

  it("follows what is changed and taken away", () => {
    const valve = {
      ...services.register.valve("NQ-H03")!,
      tag: "ZQ-1",
      name: "Brandnew thing",
      place: "Far shore",
    };
    keepValve(services, valve);
    expect(first("brandnew")).toBe("valve ZQ-1");
    expect(first("far shore")).toBe("place Far shore");
    keepValve(services, { ...valve, name: "Renamed thing", place: "North quay" });
    expect(first("brandnew")).toBeUndefined();
    expect(first("far shore")).toBeUndefined();
    removeValve(services, "ZQ-1");
    expect(first("ZQ-1")).toBeUndefined();
    expect(first("renamed")).toBeUndefined();
  });
});

describe("one slip", () => {
  it.each([
    ["valve", "valve", true],
    ["valve", "valves", true],
    ["valve", "vale", true],
    ["valve", "volve", true],
    ["valve", "vavle", true],
    ["valve", "vaelv", false],
    ["valve", "vallves", false],
    ["ab", "ba", true],
  ])("from %s to %s: %s", (word, term, expected) => expect(isOneSlip(word, term)).toBe(expected));
});
