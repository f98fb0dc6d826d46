import { describe, expect, it } from "vitest";
import { changeWords, speaker } from "@/words";
import type { Line } from "../formats";
import { planChange } from ".";
import { type Answers, Walk, wetJob } from "./job.fixtures";

/** What a step, done with these answers, does to the plan, in one text. */
function changed(walk: Walk, event?: Record<string, unknown>) {
  const before = walk.job;
  if (event === undefined) walk.doStep(before.current!);
  else walk.add(event);
  const change = planChange(before, walk.job);
  return change && { ...change, says: changeWords(speaker(), change) };
}
const at = (check: string, answers: Answers, inputs = wetJob()) =>
  new Walk(inputs, answers).until((step) => step.id === `check:${check}`);

describe("a finding that changes the plan says so", () => {
  it("nothing is said when nothing changes", () => {
    expect(changed(at("disc-face", {}))).toBeUndefined();
  });

  it("in the order of the work: what is renewed and why, how deep, which kit, what is left over", () => {
    const change = changed(at("disc-face", { "disc-face": "catches" }));
    const says = change!.says.map((each) => each.split(" ")[0]);
    expect(says).toEqual(["Renew", "Take", "Outlet", "3", "New"]);
    expect(change!.added.length).toBeGreaterThan(0);
    expect(change!.says.at(-2)).toBe("3 pieces will be left over: that is right.");
    expect(change!.says.at(-1)).toBe(
      "New cards: Measure the thinner collar; Wipe the friction ring once more, now that the greased collars are on; and 1 more.",
    );
  });

  it("says that no stock has what is needed, and what to do", () => {
    const inputs = wetJob();
    const bare = { ...inputs, store: { ...inputs.store!, stock: [] } };
    const change = changed(at("disc-face", { "disc-face": "catches" }, bare));
    expect(change!.says.join(" ")).toMatch(
      /No stock has .*outlet disc.*: get it before you go on, or stop work/,
    );
  });

  it("names the closures to be shut as well when one passes", () => {
    const walk = new Walk(wetJob()).until((step) => step.id === "prove:gauge");
    const change = changed(walk, { kind: "closure-passes", link: "V-19" });
    expect(change!.says).toContain("Shut V-22 as well, then prove zero again.");
  });

  it("says that work stops when the last safe isolation is gone", () => {
    const inputs = wetJob();
    // Only what the plan uses can still be turned: when one of these passes, nothing stands in for it.
    const used = new Set(["V-12", "V-15", "V-19"]);
    const line = {
      ...inputs.line!,
      links: inputs.line!.links.map((link) =>
        link.kind === "valve" && !used.has(link.id) ? { ...link, operable: false } : link,
      ),
    } as Line;
    const walk = new Walk({ ...inputs, line }).until((step) => step.id === "prove:gauge");
    const change = changed(walk, { kind: "closure-passes", link: "V-12" });
    expect(change!.says.at(-1)).toBe("There is no safe isolation left. Stop work and make the section safe.");
    expect(walk.job.current?.kind).toBe("blocked");
  });

  it("says what it costs in time, and less when a decision is taken back", () => {
    const walk = at("disc-face", { "disc-face": "catches" });
    const there = changed(walk);
    const back = changed(walk, { kind: "undone", event: walk.events.at(-1)!.id });
    expect(there!.minutes).toBeGreaterThan(0);
    expect(back!.minutes).toBeCloseTo(-there!.minutes);
    expect(back!.dropped).toEqual(there!.added);
  });
});
