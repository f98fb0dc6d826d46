import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { notationOf } from "@/core/quantity";
import { refusalWords, speaker } from "@/words";
import type { JobEvent, JobInputs, Line } from "../formats";
import { accept } from "./accept";
import { demoDocument, librarySheet, START, says, Walk, wetJob } from "./job.fixtures";
import { effectiveEvents } from "./progress";
import { haltedBy } from "./run";
import type { Step } from "./step";
import { staysAt } from "./steps/crack";

/** A job on a sheet by itself, or with its line. */
function jobOn(id: string, reach: string[], more: Partial<JobInputs> = {}): JobInputs {
  const sheet = librarySheet(id);
  const build = sheet.builds[0]?.id;
  const { line: _, ...plain } = wetJob();
  return {
    ...plain,
    id: `job-${id}`,
    sheet,
    valve: {
      tag: "T-1",
      name: "Trial valve",
      place: "Loft",
      sheet: id,
      ...(build !== undefined && { build }),
    },
    reach,
    policy: "what-was-disturbed",
    openedAt: new Date(START).toISOString(),
    ...more,
  };
}
const at = (id: string) => (step: Step) => step.id === id;

describe("a stack", () => {
  const walk = () => new Walk(jobOn("ottermouth-brook-20", ["stack", "piston"])).until(at("strip:stack"));

  it("is counted piece by piece before it is off", () => {
    const job = walk();
    expect(() => job.add({ kind: "step-done", step: "strip:stack" })).toThrow(
      "Count the stack first: 9 of 9",
    );
    expect(() => job.add({ kind: "piece-set", step: "strip:stack", piece: 2 })).toThrow("from piece 1");
    for (let piece = 1; piece <= 9; piece++) job.add({ kind: "piece-set", step: "strip:stack", piece });
    expect(() => job.add({ kind: "piece-set", step: "strip:stack", piece: 10 })).toThrow("piece 9");
    expect(() => job.add({ kind: "step-done", step: "strip:stack", entry: "12" })).toThrow("There are 9");
    job.add({ kind: "step-done", step: "strip:stack", entry: "9" });
    expect(job.job.tray.items.at(-1)).toMatchObject({ part: "stack", counted: 9 });
  });

  it("that stands too high or too deep is stopped by its depth", () => {
    const job = new Walk(jobOn("ottermouth-brook-20", ["stack"]), { depth: "6" }).until(
      (step) => step.id === "check:depth",
    );
    job.doStep(job.job.current!);
    expect(job.job.states.get("check:depth")).toEqual({ kind: "halted" });
    expect(haltedBy(job.job, job.job.current!)).toContain("too high");
  });
});

describe("a new part", () => {
  it("goes in only when it was compared and is right; the look-alike stays in the log", () => {
    const job = new Walk(jobOn("ottermouth-brook-20", ["piston"])).until(at("fit:piston"));
    const compared = (mm: number, said: string) => ({
      kind: "part-compared",
      step: "fit:piston",
      part: "piston",
      found: [
        { name: "length", si: mm / 1000, typed: `${mm} mm` },
        { name: "rings", said },
      ],
    });
    const done = { kind: "step-done", step: "fit:piston" };
    expect(() => job.add(done)).toThrow("Compare its length first");
    job.add(compared(118, "two grooves"));
    expect(() => job.add(done)).toThrow("the piston for filters");
    expect(() =>
      job.add({ ...compared(124, "three grooves"), found: [{ name: "smell", said: "salt" }] }),
    ).toThrow("Compare by: length, rings");
    job.add(compared(124, "three grooves")).add(done);
    expect(job.job.tray.items.find((item) => item.part === "piston")?.place).toBe("renewed");
    expect(job.events.filter((event) => event.kind === "part-compared")).toHaveLength(2);
  });
});

describe("counts that must balance", () => {
  it("five of six bolts out: the sixth has to be there to go in", () => {
    const job = new Walk(wetJob()).until(at("strip:gland-bolts"));
    job.add({ kind: "step-done", step: "strip:gland-bolts", entry: "5" });
    expect(job.job.tray.short.map((item) => item.part)).toEqual(["gland-bolts"]);
    job.until(at("fit:gland-bolts"));
    expect(() => job.add({ kind: "step-done", step: "fit:gland-bolts" })).toThrow("6 go in; 5 are there");
    expect(() => job.add({ kind: "step-done", step: "fit:gland-bolts", entry: "5" })).toThrow(
      "Find the rest",
    );
    job.add({ kind: "step-done", step: "fit:gland-bolts", entry: "6" });
    expect(job.until(at("tray")).job.tray.balances).toBe(true);
  });

  it("what is left on the bench is what the kit should leave, or it is named", () => {
    const job = new Walk(jobOn("ottermouth-brook-20", ["stack", "piston"])).until(at("tray"));
    expect(job.job.current).toMatchObject({ kind: "tray", leftovers: 1 });
    const tray = (entry: string) => job.add({ kind: "step-done", step: "tray", entry });
    expect(() => tray("1")).toThrow("Not ticked yet: Spacer, grey");
    job.add({ kind: "line-ticked", step: "tray", line: "left:Spacer, grey" });
    expect(() => tray("some")).toThrow("as a number");
    expect(() => tray("3")).toThrow("1 should be left over and 3 are");
    tray("3: two screws that lay on the floor before");
    expect(job.job.states.get("tray")?.kind).toBe("done");
  });

  it("holds under any run of undos and redos of a stack job", () => {
    const whole = new Walk(jobOn("ottermouth-brook-20", ["stack", "piston"])).until(at("tray"));
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 12 }), { minLength: 1, maxLength: 3 }), (runs) => {
        const walk = new Walk(whole.inputs);
        walk.events.push(...whole.events);
        walk.now = whole.now;
        for (const [turn, undos] of runs.entries()) {
          for (let i = 0; i < undos; i++)
            walk.add({
              id: `undo-${turn}-${i}`,
              kind: "undone",
              event: effectiveEvents(walk.events).at(-1)!.id,
            });
          const { tray } = walk.job;
          expect(tray.off).toBe(tray.back + tray.missing.length);
          expect(walk.until(at("tray")).job.tray.balances).toBe(true);
        }
      }),
      { numRuns: 6 },
    );
  });
});

describe("a joint that is cracked", () => {
  it("comes off only after it was cracked with two in, and pressure that shows has zero proven anew", () => {
    const job = new Walk(wetJob()).until(at("crack:gland-bolts"));
    expect(says(job.job.current!).title).toContain("take 4 out. Crack the gland plate while 2");
    expect(() => job.add({ kind: "step-done", step: "strip:gland-bolts" })).toThrow("First:");
    expect(() => job.add({ kind: "step-done", step: "crack:gland-bolts", entry: "it hisses" })).toThrow(
      "what came out",
    );
    job.add({ kind: "still-pressure", step: "crack:gland-bolts" });
    expect(job.job.current?.id).toBe("prove:gauge");
    job.until(at("crack:gland-bolts")).doStep(job.job.current!);
    expect(job.job.current?.id).toBe("strip:gland-bolts");
  });
});

describe("work with pressure behind it", () => {
  it("a meter cock is greased live: nothing is shut, it is asked twice, and each port again", () => {
    const job = new Walk(
      jobOn("pell-ropewalk-20", ["port-a", "port-b"], {
        line: demoDocument<Line>("lines/ropewalk-gas.json"),
      }),
    );
    const asks = job.job.plan.steps
      .filter((step) => step.kind === "ask-twice" || step.kind === "live")
      .map((step) => step.id);
    expect(asks).toEqual([
      "isolate:live",
      "ask:strip:port-a",
      "ask:strip:port-b",
      "ask:task:half-circle",
      "ask:task:back",
    ]);
    expect(job.job.plan.steps.some((step) => step.phase === "prove" || step.kind === "shut")).toBe(false);
    job.until(at("isolate:live"));
    expect(() => job.add({ kind: "step-done", step: "isolate:live", entry: "yes" })).toThrow(
      "both questions",
    );
    expect(job.toEnd().job.status.kind).toBe("signed-off");
  });

  it.each([
    ["dial", "moves", "spot it again"],
    ["season", "cold", "Not today"],
    ["riser", "copper", "No greasing"],
  ])("a gate stops it: %s %s", (check, answer, told) => {
    const job = new Walk(jobOn("pell-ropewalk-20", ["port-a"]), { [check]: answer }).until(
      at(`check:${check}`),
    );
    job.doStep(job.job.current!);
    expect(job.job.states.get(`check:${check}`)).toEqual({ kind: "halted" });
    expect(haltedBy(job.job, job.job.current!)).toContain(told);
  });

  it("there is no exit by which the customer is off: a burner that does not light holds the job open", () => {
    const job = new Walk(jobOn("pell-ropewalk-20", ["port-a", "port-b"]), { relit: "one" }).until(
      at("check:relit"),
    );
    job.doStep(job.job.current!);
    expect(job.job.states.get("check:relit")?.kind).toBe("halted");
    expect(() => job.add({ kind: "signed-off", statement: "Back in service" })).toThrow();
  });

  it("a valve without a way out for what scalds is not opened at all", () => {
    const trap = jobOn("lantern-bucket-20", ["seat"]);
    const job = new Walk({ ...trap, sheet: { ...trap.sheet, release: [] } }).until(
      (step) => step.kind === "blocked",
    );
    expect(job.job.current?.id).toBe("release:barred");
    expect(says(job.job.current!).reason).toContain("no port");
  });
});

describe("bolts that stay in while a joint is cracked", () => {
  it("are opposite where they can be, where the sheet says, and the other ones of three", () => {
    expect(staysAt({ of: 4, stay: 2 })).toBe("opposite");
    expect(staysAt({ of: 3, stay: 2 })).toBe("apart");
    expect(staysAt({ of: 8, stay: 2, stayAt: "bottom" })).toBe("bottom");
    const three = new Walk(jobOn("ottermouth-spoolmix-25", ["seal-top"])).job.plan.steps.find(
      (step) => step.kind === "crack" && step.of === 3,
    );
    expect(says(three!).title).toContain("while the other 2 stay in");
  });
});

describe("what was noted", () => {
  it("loose ends that this strip frees are asked for, by colour, and confirmed when they are back", () => {
    const job = new Walk(jobOn("ottermouth-spoolmix-25", ["seal-top"]));
    const notes = job.job.plan.steps.filter((step) => step.kind === "mark").map((step) => says(step).title);
    expect(notes).toContain("Where does the blue, short cold probe sit?");
    job.until(at("confirm:at:p-cold"));
    expect(() => job.add({ kind: "step-done", step: "confirm:at:p-cold", entry: "Socket H" })).toThrow(
      "You noted: Socket C",
    );
    job.add({ kind: "step-done", step: "confirm:at:p-cold", entry: "Socket C" });
    expect(job.job.states.get("confirm:at:p-cold")?.kind).toBe("done");
  });

  it("what may sit either way is noted but not asked again", () => {
    const { plan } = new Walk(jobOn("sedgeway-furrow-25", ["coil"])).job;
    expect(plan.steps.some((step) => step.id === "mark:at:w1")).toBe(true);
    expect(plan.steps.some((step) => step.id === "confirm:at:w1")).toBe(false);
  });

  it("a photograph belongs to a note, a look or a part that comes off, and to nothing else", () => {
    const photo = { kind: "photo-taken", photo: "p-1", sha256: "0".repeat(64) };
    const job = new Walk(jobOn("sedgeway-furrow-25", ["diaphragm"])).until((step) => step.kind === "mark");
    job.add({ ...photo, step: job.job.current!.id });
    expect(job.job.progress.photos).toHaveLength(1);
    job.until((step) => step.kind === "gauge");
    expect(() => job.add({ ...photo, step: job.job.current!.id })).toThrow("takes no photograph");
  });
});

describe("a torque that was read", () => {
  const tightening = () => new Walk(wetJob()).until((step) => step.kind === "tighten");
  const pull = (job: Walk, reading_Nm: number) =>
    job.add({ kind: "bolt-pulled", step: job.job.current!.id, pass: 1, bolt: 1, reading_Nm });
  const wanted = (job: Walk) => {
    const step = job.job.current!;
    return step.kind === "tighten" ? step.passes[0]!.torque_Nm : 0;
  };

  it("counts within the band, is refused short of it and beyond it, and never above the limit", () => {
    const job = tightening();
    expect(() => pull(job, wanted(job) * 0.95)).toThrow("Pull again");
    expect(() => pull(job, wanted(job) * 1.05)).toThrow("Slacken this bolt");
    expect(() => pull(job, 40)).toThrow("over this part's limit");
    // Who reads a wrench in foot-pounds is told in them.
    const read = { kind: "bolt-pulled", step: job.job.current!.id, pass: 1, bolt: 1, reading_Nm: 40 };
    const event = {
      v: 1,
      id: "us",
      at: new Date(job.now).toISOString(),
      by: "Tam Arkle",
      ...read,
    } as JobEvent;
    const refused = accept(job.job, event, { now: job.now });
    if (refused.ok) throw new Error("taken");
    expect(refusalWords(speaker(notationOf("us")), refused.error, job.job)).toMatch(
      /^29\.5 ft·lbf is over .* limit of \d/,
    );
    pull(job, wanted(job) * 1.03);
    expect(job.job.progress.pulls.get(job.job.current!.id)?.get("1:1")).toBeCloseTo(wanted(job) * 1.03);
  });
});

describe("how the valve stands", () => {
  it("is shown on every step of a cock", () => {
    const { plan } = new Walk(jobOn("pell-ropewalk-20", ["port-a", "port-b"])).job;
    const work = plan.steps.filter((step) => ["strip", "inspect", "rebuild"].includes(step.phase));
    const moving = work.filter((each) => each.kind !== "tray" && each.kind !== "ask-twice");
    expect(moving.length).toBeGreaterThan(5);
    for (const step of moving) expect(step.stands, step.id).toBeDefined();
  });
});
