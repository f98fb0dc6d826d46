import { beforeEach, describe, expect, it } from "vitest";
import { smallSolver } from "@/core/store/small-solver";
import { demoServices } from "../demo.fixtures";
import type { Services } from "../services";
import { askHouse } from "./ask-house";
import { propose } from "./propose";
import { whatIf } from "./what-if";

/** A Tuesday morning before anybody is out. */
const NOW = new Date(2026, 11, 1, 5).getTime();
const DAY_MS = 86_400_000;
const DONE = "demo-h08-done";

let services: Services;
beforeEach(() => {
  services = demoServices(() => NOW);
});

/** The demo's signed job as if it had taken so many times what was compiled, signed so many days ago. */
function signed(times: number, daysAgo: number): void {
  const summary = services.summaries.of(DONE)!;
  const worked = { taken: times * 60, compiled: 60, by: { "Isla Venn": 9, "Tam Arkle": 3 } };
  services.summaries.save({ ...summary, worked, closedAt: NOW - daysAgo * DAY_MS });
}

function asked() {
  const house = askHouse(services);
  if (!house.ok) throw new Error(house.error.kind);
  return house.value;
}

describe("how long the work of this house takes", () => {
  it("is kept with each signed job, and with no other", () => {
    expect(services.summaries.of(DONE)?.worked?.compiled).toBeGreaterThan(10);
    expect(services.summaries.of("demo-h02-stopped")?.worked).toBeNull();
  });

  it("grows by a job that took longer: for its family, and for the crew that did it", () => {
    signed(1, 10);
    const before = asked();
    signed(3, 10);
    const { question, works } = asked();
    const pace = new Map(question.crews.map(({ id, pace: each }) => [id, each]));
    expect(pace.get("Isla and Tam")).toBeGreaterThan(1);
    expect(pace.get("Jory, Bryn and Mara")).toBe(1);
    const wet = Object.values(works).filter(({ long }) => long.jobs > 0);
    expect(wet.length).toBeGreaterThan(0);
    for (const { tag, long, minutes } of wet) {
      expect(long.compiled, tag).toBe(before.works[tag]!.long.compiled);
      expect(minutes, tag).toBeGreaterThan(before.works[tag]!.minutes);
      expect(long.by["Isla and Tam"]!.half, tag).toBeGreaterThan(minutes);
      expect(long.by["Isla and Tam"]!.most).toBeGreaterThan(long.by["Isla and Tam"]!.half);
    }
  });

  it("does not move by what was signed since Monday", () => {
    signed(3, 0);
    expect(asked().question.crews.map(({ pace }) => pace)).toEqual([1, 1]);
  });

  it("stays what it is where a what-if changes who is there", () => {
    signed(3, 10);
    const ground = propose(services, smallSolver);
    if (!ground.ok) throw new Error(ground.error.kind);
    // A Saturday: nobody is on shift, so nothing changes.
    const answer = whatIf(services, ground.value, { kind: "ill", person: "Tam Arkle", day: "2026-12-05" });
    expect(answer.ok && answer.value.after).toEqual(answer.ok && answer.value.before);
    expect(answer.ok && answer.value.moved).toEqual([]);
  });
});
