import { describe, expect, it } from "vitest";
import type { HeldLinks, JobInputs } from "../formats";
import { heldLinks, heldOn } from "./as-it-stands";
import { dryJob, says, Walk, wetJob } from "./job.fixtures";
import { jobAt, planOf } from "./proof.fixtures";
import { prove } from "./prove";

const by = (valve: string, ...links: string[]): HeldLinks =>
  links.map((link) => ({ link, job: `job-${valve}`, valve }));
const OTHER = by("NQ-H06", "V-12", "V-15", "V-19");

const order = (walk: Walk) => walk.job.plan.steps.map((step) => step.id);
const behind = (walk: Walk, id: string) => order(walk).slice(order(walk).indexOf(id) + 1);
const step = (walk: Walk, id: string) => walk.job.plan.steps.find((each) => each.id === id)!;
/** What the server writes when another job shuts or opens. */
const hold = (walk: Walk, held: HeldLinks) => walk.add({ kind: "others-hold", held });

describe("a job that begins behind another on the same main", () => {
  const beside = () => new Walk(wetJob({ held: OTHER }));

  it("locks what the other holds with its own lock, too, and says whose it is", () => {
    const { title, cues } = says(step(beside(), "shut:V-12"));
    expect(title).toContain("stands shut, and lock it");
    expect(cues?.join()).toContain("NQ-H06");
  });

  it("tells those who are without already: they are without by this one as well", () => {
    const alone = new Walk(wetJob());
    expect(says(step(beside(), "prepare:notify")).title).toBe(says(step(alone, "prepare:notify")).title);
  });

  it("waits for the other before it opens, and nothing that is said ends the wait", () => {
    const walk = beside().until((each) => each.kind === "others");
    expect(walk.job.current?.id).toBe("others:before");
    expect(walk.job.states.get("others:before")).toEqual({ kind: "waits-for-others" });
    expect(behind(walk, "others:before")).toContain("open:V-12");
    expect(() => walk.add({ kind: "step-done", step: "others:before" })).toThrow("not done by ticking");
    expect(() => walk.add({ kind: "step-overridden", step: "others:before", reason: "No time" })).toThrow(
      "cannot be skipped",
    );
    expect(() => walk.add({ kind: "step-done", step: "open:V-12" })).toThrow("First: Wait for");
    expect(() => walk.add({ kind: "signed-off", statement: "Back in service" })).toThrow();
    hold(walk, []);
    expect(walk.job.current?.id).not.toBe("others:before");
    expect(walk.toEnd().job.status.kind).toBe("signed-off");
    expect(walk.job.shut).toEqual([]);
  });

  it("opens then what the other left shut, and lets the air out where it fills", () => {
    const walk = beside().until((each) => each.kind === "others");
    hold(walk, []);
    const ids = order(walk);
    expect(says(step(walk, "open:V-12")).title).toContain("open it slowly");
    expect(ids.indexOf("vent-shut:NQ-H05")).toBe(ids.indexOf("open:V-19") + 1);
  });

  it("waits for none whose valves are nothing to it", () => {
    expect(order(new Walk(wetJob({ held: by("NQ-H10", "SV-10") })))).not.toContain("others:before");
    expect(order(new Walk(dryJob({ held: by("NQ-H02", "V-11", "V-22") })))).toContain("others:before");
  });

  it("is proven with what the others hold", () => {
    for (const inputs of [wetJob({ held: OTHER }), dryJob({ held: by("NQ-H02", "V-11", "V-22") })]) {
      const proof = prove(planOf(inputs), inputs);
      expect(proof.harms).toEqual([]);
      expect(proof.differences).toEqual([]);
    }
  });

  it("a section of a refrigerant is one job's at a time: nothing is shut before the other is done", () => {
    const inputs = jobAt("GC-SV2", "pell-frostgate-32", "gannet-co2", { held: by("GC-HRV5", "GC-V7") });
    const walk = new Walk(inputs).until((each) => each.kind === "others");
    expect(walk.job.current?.id).toBe("others:shared");
    expect(behind(walk, "others:shared").filter((id) => id.startsWith("shut:")).length).toBeGreaterThan(4);
    expect(walk.job.shut).toEqual([]);
    hold(walk, []);
    expect(walk.toEnd().job.status.kind).toBe("signed-off");
  });

  it("one that has shut its own waits for nobody who comes into its section", () => {
    const walk = new Walk(jobAt("GC-SV2", "pell-frostgate-32", "gannet-co2"));
    walk.until((each) => each.phase === "strip");
    hold(walk, by("GC-HRV5", "GC-V9"));
    expect(order(walk)).not.toContain("others:shared");
  });

  it("a valve that needs its power to let go waits for whoever holds the power", () => {
    const inputs = jobAt("LD-SF1", "ottermouth-brook-20", "lido-treatment", { held: by("LD-X", "LD-Q7") });
    expect(order(new Walk(inputs))).toContain("others:shared");
  });

  it("one that was begun by the rules before has the line as it stood, and no such wait", () => {
    expect(order(new Walk(wetJob({ held: OTHER, rules: 2 })))).not.toContain("others:before");
  });
});

describe("a neighbour that another job keeps dry", () => {
  /** The Ferry gate passes: the dock yard's hydrant goes out with it, and is the work of a job of its own. */
  const beside = () => {
    const walk = new Walk(wetJob({ held: by("NQ-H09", "SV-09") })).until(({ kind }) => kind === "gauge");
    return walk.add({ kind: "closure-passes", link: "V-19" });
  };

  it("is told with the others and not waited for; it is told back by its own job, and named in the signature", () => {
    const walk = beside();
    expect(says(step(walk, "prepare:notify")).title).toContain("NQ-H09");
    expect(order(walk).some((id) => id.startsWith("others:"))).toBe(false);
    expect(says(step(walk, "restore:tell")).title).not.toContain("NQ-H09");
    expect(says(step(walk, "sign-off")).cues).toEqual(["NQ-H09 stays without, by the job on NQ-H09"]);
    expect(walk.toEnd().job.status.kind).toBe("signed-off");
  });

  it("is told back here when its own job is done first", () => {
    const walk = hold(beside(), []);
    expect(says(step(walk, "restore:tell")).title).toContain("NQ-H09");
    expect(says(step(walk, "sign-off")).cues).toEqual([]);
  });

  it("is proven so", () => {
    const walk = beside();
    const proof = prove(walk.job.plan, walk.inputs);
    expect(proof.harms.map(({ harm, step }) => [step.id, harm])).toEqual([]);
    expect(proof.differences).toEqual([]);
  });
});

describe("a job that another begins beside", () => {
  const met = () =>
    hold(
      new Walk(wetJob()).until((each) => each.phase === "strip"),
      OTHER,
    );

  it("opens without waiting, leaves shut what the other holds, and then waits before its tests", () => {
    const walk = met();
    expect(order(walk)).not.toContain("others:before");
    expect(says(step(walk, "open:V-12")).title).toContain("Leave it shut");
    expect(says(step(walk, "open:V-12")).why).toContain("NQ-H06");
    const rest = behind(walk, "others:behind");
    for (const id of ["check:leak", "restore:air-out", "restore:tell", "sign-off"])
      expect(rest).toContain(id);
    expect(rest.some((id) => id.startsWith("open:"))).toBe(false);
  });

  it("leaves no vent open for what fills when nobody stands there", () => {
    const ids = order(met());
    expect(ids.indexOf("vent-shut:NQ-H05")).toBeLessThan(ids.indexOf("open:V-19"));
  });

  it("goes on to its end once the other has opened", () => {
    const walk = met().until((each) => each.kind === "others");
    expect(walk.job.shut).toEqual([]);
    hold(walk, []);
    expect(walk.toEnd().job.status.kind).toBe("signed-off");
  });

  it("what the server wrote is nobody's to take back, and dates nobody's entry", () => {
    const walk = new Walk(wetJob()).until((each) => each.phase === "strip");
    const last = walk.events.at(-1)!;
    const then = walk.now;
    walk.now += 30 * 60_000;
    hold(walk, OTHER);
    walk.now = then;
    walk.doStep(walk.job.current!);
    walk.add({ kind: "undone", event: walk.events.at(-1)!.id });
    expect(() => walk.add({ kind: "undone", event: walk.events.find(isOfServer)!.id })).toThrow();
    walk.add({ kind: "undone", event: last.id });
    expect(walk.job.progress.held.size).toBe(OTHER.length);
  });
});

const isOfServer = ({ kind }: { kind: string }) => kind === "others-hold";

describe("two jobs on one main, each as far as it comes", () => {
  /** Every job is told what the other holds whenever that changes, as the server does. */
  function together(inputs: readonly [JobInputs, JobInputs], turns: readonly (0 | 1)[]) {
    const walks = inputs.map((each) => new Walk(each)) as [Walk, Walk];
    const tell = (from: Walk, to: Walk) => {
      const { line, valve, id } = from.inputs;
      const held = heldLinks(
        heldOn(line!, new Map(from.job.shut.map((link) => [link, { job: id, valve: valve.tag }]))),
      );
      if (
        to.job.status.kind === "at-work" &&
        JSON.stringify(held) !== JSON.stringify(heldLinks(to.job.progress.held))
      )
        hold(to, held);
    };
    const move = (turn: 0 | 1): boolean => {
      const walk = walks[turn];
      const current = walk.job.current;
      if (current === undefined || current.kind === "others") return false;
      walk.doStep(current);
      tell(walk, walks[turn === 0 ? 1 : 0]);
      return true;
    };
    for (const turn of turns) move(turn);
    for (let guard = 0; guard < 400 && (move(0) || move(1)); guard++);
    return walks;
  }
  const h06 = () => jobAt("NQ-H06", "brae-quaywall-4", "north-quay", { build: "bayonet", reach: ["disc"] });

  it.each([
    ["one after the other", [...Array(60).fill(0)]],
    ["the second overtakes", [...Array(8).fill(0), ...Array(70).fill(1)]],
    ["turn by turn", Array.from({ length: 160 }, (_, index) => (index % 2) as 0 | 1)],
    ["in threes", Array.from({ length: 160 }, (_, index) => (Math.floor(index / 3) % 2) as 0 | 1)],
  ] as const)("%s: nobody waits in a ring, and all is open at the end", (_, turns) => {
    const walks = together([wetJob(), h06()], turns as readonly (0 | 1)[]);
    for (const walk of walks) {
      expect(walk.job.current?.id).toBeUndefined();
      expect(walk.job.status.kind).toBe("signed-off");
      expect(walk.job.shut).toEqual([]);
    }
    // Whoever took the last lock off opened it.
    const opened = walks.flatMap((walk) =>
      walk.job.plan.steps.flatMap((each) =>
        each.kind === "open" ? [{ link: each.link, opens: each.how === "open" }] : [],
      ),
    );
    expect(new Set(opened.map(({ link }) => link)).size).toBeGreaterThan(3);
    for (const { link } of opened)
      expect(
        opened.some((each) => each.link === link && each.opens),
        link,
      ).toBe(true);
  });
});
