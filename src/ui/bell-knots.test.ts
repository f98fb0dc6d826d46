import { describe, expect, it } from "vitest";
import type { SpokenBell } from "@/words";
import { bellHref, knotOf } from "./bell-knots";

const NOW = Date.parse("2026-06-03T10:00:00Z");
const bell = (kind: SpokenBell["kind"], at: number, more: Partial<SpokenBell> = {}): SpokenBell => ({
  id: `NQ-H07:${kind}`,
  kind,
  at,
  title: "",
  says: "",
  short: "",
  look: "",
  valve: "NQ-H07",
  ...more,
});

describe("a bell as a knot of the rope", () => {
  it.each([
    ["wait", 60_000, "wait"],
    ["impairment", 60_000, "stop"],
    ["stopped", -60_000, "stop"],
    ["at-work", -60_000, "due"],
    ["due", 86_400_000, "later"],
    ["due", -86_400_000, "due"],
  ] as const)("%s in %d ms is knotted as %s", (kind, left, tone) => {
    expect(knotOf(bell(kind, NOW + left), NOW).tone).toBe(tone);
  });

  it("says when it rings, or how it stands where no time counts", () => {
    expect(knotOf(bell("wait", NOW + 38_000, { title: "Stand test" }), NOW)).toMatchObject({
      when: "0:38",
      lines: ["stand test", "NQ-H07"],
    });
    expect(knotOf(bell("stopped", NOW), NOW)).toMatchObject({ when: "stopped", lines: ["NQ-H07"] });
    expect(knotOf(bell("at-work", NOW), NOW)).toMatchObject({ when: "at work", lines: ["NQ-H07"] });
  });

  it("before the clock is known it says no time, and nothing is late", () => {
    expect(knotOf(bell("due", NOW - 1e9), null)).toMatchObject({ when: "…", tone: "later" });
  });

  it("leads to its job, or to the valve that is due, by an address that bears any tag", () => {
    expect(bellHref(bell("wait", NOW, { job: "job/1" }))).toBe("/jobs/job%2F1");
    expect(bellHref(bell("due", NOW, { valve: "NQ H07?" }))).toBe("/valves/NQ%20H07%3F");
  });
});
