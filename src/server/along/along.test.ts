import { beforeAll, describe, expect, it } from "vitest";
import { CALCULATORS } from "@/core/calculators";
import { demoServices } from "../demo.fixtures";
import type { Services } from "../services";
import { along } from "./along";

let services: Services;
beforeAll(() => {
  services = demoServices(() => Date.parse("2027-03-01T08:00:00Z"));
});
const taken = (...asked: Parameters<typeof along> extends [unknown, ...infer Rest] ? Rest : never) => {
  const found = along(services, ...asked);
  if (!found.ok) throw new Error(found.error.message);
  return found.value;
};

describe("what is taken along", () => {
  it("of a valve: its page, a job on it, trouble with it, its line, its sheet", () => {
    expect(taken("valve", "NQ-H05").pages).toEqual([
      "/valves/NQ-H05",
      "/valves/NQ-H05/start",
      "/valves/NQ-H05/trouble",
      "/lines/north-quay",
      expect.stringMatching(/^\/sheets\//),
    ]);
  });

  it("a valve that somebody works on is gone on with, not begun anew", () => {
    const { pages, jobs } = taken("valve", "NQ-H09");
    expect(jobs).toEqual(["demo-h09-wait"]);
    expect(pages).not.toContain("/valves/NQ-H09/start");
  });

  it("of a line and of a place: all that hangs on it, each page once", () => {
    const { pages, left } = taken("line", "lido-steam");
    expect(pages[0]).toBe("/lines/lido-steam");
    expect(new Set(pages).size).toBe(pages.length);
    expect(pages).toContain("/valves/LD-T11/start");
    expect(left).toBe(0);
    expect(taken("place", "Lido").pages).toContain("/valves/LD-T11");
  });

  it("of the day: what is at work and what is due, with what each may do", () => {
    const { pages, names, jobs, crew } = taken("day");
    // Without signal they are found by their words.
    for (const page of pages.filter((each) => /^\/valves\/[^/]+$/.test(each)))
      expect(names[page]).toMatch(/, /);
    expect(pages.slice(0, 2)).toEqual(["/", "/jobs"]);
    expect(jobs).toContain("demo-h09-wait");
    expect(pages.filter((page) => page.endsWith("/start")).length).toBeGreaterThan(5);
    expect(Object.keys(crew)).toContain("Tam Arkle");
  });

  it("of the bench book: every sum", () => {
    expect(taken("bench").pages).toHaveLength(CALCULATORS.length + 1);
  });

  it("says what is not there", () => {
    expect(along(services, "valve", "XX-1")).toMatchObject({ ok: false, error: { path: "/id" } });
    expect(along(services, "line", "none")).toMatchObject({ ok: false });
    expect(along(services, "place", "Nowhere")).toMatchObject({ ok: false });
  });
});
