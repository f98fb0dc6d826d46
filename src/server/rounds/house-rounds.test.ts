import { beforeAll, describe, expect, it } from "vitest";
import type { HouseRounds } from "@/core/due-work";
import { smallSolver } from "@/core/store/small-solver";
import { demoServices } from "../demo.fixtures";
import { openJob } from "../jobs/open-job";
import type { Services } from "../services";
import { houseRounds } from "./house-rounds";

/** A Tuesday morning before anybody is out. */
const NOW = new Date(2026, 11, 1, 5).getTime();

let services: Services;
let rounds: HouseRounds;
beforeAll(() => {
  services = demoServices(() => NOW);
  const planned = houseRounds(services, smallSolver);
  if (!planned.ok) throw new Error(planned.error.kind);
  rounds = planned.value;
}, 60_000);

const house = () => services.things.one("house", "house")!;

describe("the quarter of this house", () => {
  it("has all that rings: placed once, or told why not", () => {
    const placed = new Set(rounds.shifts.flatMap(({ visits }) => visits.map(({ task }) => task)));
    const told = new Set(rounds.unplaced.map(({ task }) => task));
    expect(Object.keys(rounds.works).length).toBeGreaterThan(40);
    for (const tag of Object.keys(rounds.works))
      expect([placed.has(tag), told.has(tag)].filter(Boolean)).toHaveLength(1);
    for (const { says } of rounds.unplaced) expect(says.length).toBeGreaterThan(0);
  });

  it("says of what nobody may do whom it wants put together", () => {
    expect(rounds.unplaced.find(({ task }) => task === "BD-PN1")?.says.join()).toContain("electricity, fire");
  });

  it("leaves what an open job is at to that job", () => {
    const opened = openJob(
      services,
      { valve: "NQ-H10", reason: { kind: "due", says: "Due" }, reach: ["main-seat"], policy: "on-condition" },
      { id: "tam", name: "Tam Arkle" },
    );
    expect(opened.ok).toBe(true);
    expect(rounds.works["NQ-H10"]).toBeDefined();
    const later = houseRounds(services, smallSolver);
    expect(rounds.not).not.toContainEqual({ tag: "NQ-H10", kind: "at-work" });
    expect(later.ok && later.value.not).toContainEqual({ tag: "NQ-H10", kind: "at-work" });
    expect(later.ok && later.value.works["NQ-H10"]).toBeUndefined();
  });

  it("is worked in by crews that may, on days they have, and costs no less than its bound", () => {
    for (const { crew, visits, from } of rounds.shifts) {
      const skills = rounds.crews.find(({ id }) => id === crew)!.skills;
      for (const { task } of visits)
        for (const need of rounds.works[task]!.needs) expect(skills, `${task} by ${crew}`).toContain(need);
      expect(new Date(Date.parse(from)).getDay() % 6).not.toBe(0);
    }
    expect(rounds.bound).toBeLessThanOrEqual(rounds.cost.total + 0.01);
    expect(rounds.weeks).toHaveLength(13);
    expect(new Date(rounds.weeks[0]!.from).getDay()).toBe(1);
  });

  it("counts what is due on a day as in time until that day ends", () => {
    for (const { due } of Object.values(rounds.works)) {
      const end = new Date(due);
      expect([end.getHours(), end.getMinutes()]).toEqual([23, 59]);
    }
  });

  it("never has two hydrants of the north quay out at a time that are not shut together", () => {
    const outs = rounds.shifts.flatMap(({ visits }) => {
      const tags = [...new Set(visits.map(({ task }) => task))].filter((tag) => tag.startsWith("NQ-H"));
      return tags.map((tag) => {
        const own = visits.filter(({ task }) => task === tag);
        return { tag, from: own[0]!.from, to: own.at(-1)!.to };
      });
    });
    expect(outs.length).toBeGreaterThan(2);
    for (const a of outs)
      for (const b of outs)
        if (a.tag < b.tag && !rounds.works[a.tag]!.together.includes(b.tag))
          expect(a.to <= b.from || b.to <= a.from, `${a.tag} and ${b.tag}`).toBe(true);
  });

  it("says what is missing where there are no crews, or none is on shift", () => {
    const before = house();
    const { crews, shifts, ...rest } = before;
    services.things.save("house", "house", { ...rest, shifts: shifts! });
    expect(houseRounds(services, smallSolver)).toEqual({ ok: false, error: { kind: "no-crews" } });
    services.things.save("house", "house", { ...rest, crews: crews! });
    expect(houseRounds(services, smallSolver)).toMatchObject({
      ok: false,
      error: { kind: "nobody-on-shift" },
    });
    services.things.save("house", "house", before);
  });
});
