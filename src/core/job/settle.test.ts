import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { JobEvent } from "../formats";
import { accept } from "./accept";
import { dryJob, Walk, wetJob } from "./job.fixtures";
import { BAR } from "./progress";
import { type Run, run } from "./run";
import { settle } from "./settle";

/** What a server makes of an entry that comes from a device without signal: the next one, or one beside. */
function handedIn(job: Run, event: JobEvent, now: number): { job: Run; settled?: string } | undefined {
  const clock = { now, mayOf: () => ({}) };
  const plain = accept(job, event, clock);
  if (plain.ok) return { job: plain.value };
  const settled = settle(job, event, plain.error);
  if (settled === undefined) return undefined;
  const beside = { ...event, elsewhere: { settled, ...(settled === "stops" && { because: "x" }) } };
  const taken = accept(job, beside as JobEvent, clock);
  if (!taken.ok) throw new Error(`settled as ${settled} and not taken: ${taken.error.kind}`);
  return { job: taken.value, settled };
}

const later = (walk: Walk, id: string, event: object): JobEvent =>
  ({ v: 1, id, at: new Date(walk.now).toISOString(), by: "Isla Venn", ...event }) as JobEvent;

describe("two devices on one job", () => {
  it("what both did is done once, and stands with both", () => {
    const walk = new Walk(wetJob()).until(({ phase }) => phase === "prove");
    const shut = walk.events.find((event) => event.kind === "step-done" && event.step.startsWith("shut"))!;
    const again = handedIn(walk.job, { ...shut, id: "theirs", by: "Isla Venn" } as JobEvent, walk.now)!;
    expect(again.settled).toBe("same");
    expect(again.job.progress.done).toEqual(walk.job.progress.done);
    expect(again.job.current).toEqual(walk.job.current);
    expect(again.job.log).toHaveLength(walk.events.length + 1);
  });

  it("each hung a lock on one valve: both hang there, and both are told when it is opened", () => {
    const walk = new Walk(wetJob()).until(({ phase }) => phase === "prove");
    const shut = walk.events.find((event) => event.kind === "step-done" && event.step.startsWith("shut"))!;
    const theirs = { ...shut, id: "theirs", by: "Isla Venn", entry: "77" } as JobEvent;
    const { job } = handedIn(walk.job, theirs, walk.now)!;
    const [link] = [...job.progress.shut.keys()];
    const own = "entry" in shut ? shut.entry : "";
    expect(job.progress.shut.get(link!)?.entry).toBe(`${own}, 77`);
  });

  it("a bell that one put off while the other had answered it: noted, and nothing waits for it", () => {
    const walk = new Walk(wetJob()).until(({ kind }) => kind === "strip");
    const off = { kind: "bell-put-off", bell: "job-1:wait:prove:hold", minutes: 5, reason: "On my way" };
    const noted = handedIn(walk.job, later(walk, "theirs", off), walk.now)!;
    expect(noted.settled).toBe("noted");
    expect(noted.job.current).toEqual(walk.job.current);
    expect(noted.job.progress.putOff.size).toBe(0);
  });

  it("the worse reading counts: a gauge above zero starts the proof anew, and nothing is stripped", () => {
    const walk = new Walk(wetJob()).until(({ kind }) => kind === "strip");
    const reading = {
      kind: "reading-taken",
      step: "prove:gauge",
      what: "zero",
      dimension: "gauge pressure",
      typed: "0.4 bar g",
      si: 0.4 * BAR,
    };
    const worse = handedIn(walk.job, later(walk, "theirs", reading), walk.now)!;
    expect(worse.settled).toBe("worse");
    expect(worse.job.current?.phase).toBe("prove");
    const better = handedIn(walk.job, later(walk, "theirs", { ...reading, si: 0 }), walk.now)!;
    expect(better.settled).toBe("same");
    expect(better.job.current?.kind).toBe("strip");
  });

  it("of two answers to a check the graver one counts, whoever was heard first", () => {
    const at = new Walk(wetJob()).until(({ id }) => id === "check:disc-face");
    const check = at.inputs.sheet.checks.find(({ id }) => id === "disc-face")!;
    if (check.kind !== "choice") throw new Error("a check by eye");
    const [good, gone] = ["reuse", "renew"].map(
      (means) => check.options.find((each) => each.means === means)!.id,
    );
    const said = (id: string, answer: string) =>
      later(at, id, { kind: "check-answered", step: "check:disc-face", check: "disc-face", answer });
    const both = (first: string, second: string) => {
      const one = handedIn(at.job, said("one", first), at.now)!;
      return handedIn(one.job, said("two", second), at.now)!;
    };
    const found = ({ plan }: Run) => plan.findings.find(({ check: of }) => of === "disc-face")?.means;
    expect(both(good!, gone!).settled).toBe("worse");
    expect(both(gone!, good!).settled).toBe("same");
    expect(found(both(good!, gone!).job)).toBe("renew");
    expect(found(both(gone!, good!).job)).toBe("renew");
  });

  it("of two figures within the limits the one nearer to its limit counts", () => {
    const at = new Walk(dryJob()).until(({ id }) => id === "check:drain-time");
    const read = (id: string, si: number) =>
      later(at, id, {
        kind: "check-measured",
        step: "check:drain-time",
        check: "drain-time",
        si,
        typed: "x",
      });
    const both = (first: number, second: number) => {
      const one = handedIn(at.job, read("one", first), at.now)!;
      const { job } = handedIn(one.job, read("two", second), at.now)!;
      const given = job.progress.answers.get("drain-time")?.answer;
      return given?.kind === "measured" ? given.si : undefined;
    };
    expect(both(120, 360)).toBe(both(360, 120));
  });

  it("a lock stays: what another device opened before its turn stops the work, and counts as shut", () => {
    const walk = new Walk(wetJob()).until(({ phase }) => phase === "mark" || phase === "strip");
    const open = walk.job.plan.steps.find(({ kind }) => kind === "open")!;
    const taken = handedIn(walk.job, later(walk, "theirs", { kind: "step-done", step: open.id }), walk.now)!;
    expect(taken.settled).toBe("stops");
    expect(taken.job.status.kind).toBe("stopped");
    expect(taken.job.shut).toEqual(walk.job.shut);
    // And whoever takes it up again proves zero again.
    const on = accept(taken.job, later(walk, "on", { kind: "resumed" }), { now: walk.now });
    expect(on.ok && on.value.current?.phase).toBe("prove");
  });

  it("a stop stays, whatever the other device went on with", () => {
    const walk = new Walk(wetJob()).until(({ phase }) => phase === "prove");
    const next = walk.job.current!;
    walk.add({ kind: "stopped", reason: "Too dark" });
    const taken = handedIn(walk.job, later(walk, "theirs", { kind: "step-done", step: next.id }), walk.now)!;
    expect(taken.settled).toBe("noted");
    expect(taken.job.status.kind).toBe("stopped");
    expect(taken.job.progress.done.has(next.id)).toBe(false);
  });

  it("nobody settles an entry by saying so", () => {
    const walk = new Walk(wetJob()).until(({ kind }) => kind === "strip");
    const reading = { kind: "reading-taken", step: "prove:gauge", what: "zero", dimension: "gauge pressure" };
    const worse = later(walk, "theirs", {
      ...reading,
      si: BAR,
      typed: "1 bar",
      elsewhere: { settled: "same" },
    });
    expect(accept(walk.job, worse, { now: walk.now }).ok).toBe(false);
    // Nor is one that fits put beside.
    const fits = later(walk, "fits", { kind: "note-added", text: "x", elsewhere: { settled: "noted" } });
    expect(accept(walk.job, fits, { now: walk.now })).toMatchObject({
      ok: false,
      error: { kind: "settled-otherwise" },
    });
  });

  it("what is not of the crew's competence, or after the signature, is no matter of two devices", () => {
    const walk = new Walk(wetJob()).toEnd();
    expect(walk.job.status.kind).toBe("signed-off");
    expect(
      handedIn(walk.job, later(walk, "theirs", { kind: "note-added", text: "x" }), walk.now),
    ).toBeUndefined();
  });
});

describe("in whatever order the entries of two devices come", () => {
  // Both began where the job stood, and each went on alone; one found the disc gone.
  const common = new Walk(wetJob()).until(({ phase }) => phase === "isolate");
  const went = (id: string, by: string, to: (walk: Walk) => Walk) => {
    const walk = new Walk({ ...wetJob(), id }, {}, common.now);
    walk.events.push(...common.events);
    return to(walk)
      .events.slice(common.events.length)
      .map((event): JobEvent => ({ ...event, by }));
  };
  const one = went("one", "Tam Arkle", (walk) => walk.until(({ kind }) => kind === "fit"));
  const two = went("two", "Isla Venn", (walk) => walk.until(({ phase }) => phase === "inspect"));
  const latest = Math.max(...[...one, ...two].map(({ at }) => Date.parse(at)));

  it("all of it is there, each entry once; what was shut is shut; any prefix replays to the same", () => {
    fc.assert(
      fc.property(fc.array(fc.boolean(), { minLength: one.length + two.length }), (turns) => {
        const [a, b] = [[...one], [...two]];
        let job = run(wetJob(), common.events);
        if (!job.ok) throw new Error(job.error.kind);
        const took: string[] = [];
        for (const turn of turns) {
          const event = (turn ? a : b).shift();
          if (event === undefined) continue;
          const taken = handedIn(job.value, event, latest);
          expect(taken, event.kind).toBeDefined();
          job = { ok: true, value: taken!.job };
          took.push(event.id);
        }
        const ids = job.value.log.map(({ id }) => id);
        expect(ids).toEqual([...common.events.map(({ id }) => id), ...took]);
        expect(new Set(ids).size).toBe(ids.length);
        expect(job.value.progress.opened.size).toBe(0);
        const again = run(wetJob(), job.value.log);
        expect(again.ok && again.value.progress.done).toEqual(job.value.progress.done);
      }),
      { numRuns: 12 },
    );
  });
});
