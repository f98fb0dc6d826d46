import { describe, expect, it } from "vitest";
import { dues } from "../rounds";
import { afterJob, type Step } from ".";
import { type Answers, Walk } from "./job.fixtures";
import { jobAt } from "./proof.fixtures";

const brook = (answers: Answers = {}, more = {}) =>
  new Walk(
    jobAt("LD-SF1", "ottermouth-brook-20", "lido-treatment", { policy: "on-condition", ...more }),
    answers,
  );
const at = (id: string) => (step: Step) => step.id === id;
const judge = (walk: Walk, piece: number, answer: string) =>
  walk.add({ kind: "piece-judged", step: "check:lips", check: "lips", piece, answer });
/** The sound answer of a seal, or of a spacer. */
const sound = (piece: number) => (piece % 2 === 0 ? "sound" : "whole");
const cards = (walk: Walk) => walk.job.plan.steps.map(({ id }) => id);
const DAY = 86_400_000;

describe("pieces of a stack, each judged", () => {
  it("are done when each was looked at, and only that piece goes in new", () => {
    const walk = brook().until(at("check:lips"));
    for (let piece = 1; piece <= 9; piece++) {
      expect(walk.job.current?.id).toBe("check:lips");
      judge(walk, piece, piece === 4 ? "frayed" : sound(piece));
    }
    expect(walk.job.current?.id).toBe("check:scratches");
    const { renewals, kits } = walk.job.plan;
    expect(renewals).toEqual([
      { part: "stack", because: "found", why: "A new seal goes in its place.", pieces: [4] },
    ]);
    expect(kits.picks.map(({ id }) => id)).toEqual(["O-BR20-L"]);
    expect(kits.leftovers).toEqual([{ name: "Seal", quantity: 3, kind: "not-disturbed" }]);
    walk.until(at("fit:stack"));
    expect(walk.job.current).toMatchObject({ fresh: [4] });
    expect(walk.toEnd().job.tray.balances).toBe(true);
  });

  it("can be looked at again: the newest word counts", () => {
    const walk = brook().until(at("check:lips"));
    judge(walk, 2, "frayed");
    judge(walk, 2, "sound");
    for (const piece of [1, 3, 4, 5, 6, 7, 8, 9]) judge(walk, piece, sound(piece));
    expect(walk.job.plan.renewals).toEqual([]);
  });

  it.each([
    [10, "sound", "The stack has 9 pieces"],
    [1, "frayed", "Answer one of"],
    [2, "cracked", "Answer one of"],
  ])("piece %i is not %s", (piece, answer, says) => {
    const walk = brook().until(at("check:lips"));
    expect(() => judge(walk, piece, answer)).toThrow(new RegExp(says, "i"));
  });

  it("the whole stack that is due is no few pieces of it", () => {
    const walk = brook({ lips: "frayed", scratches: "smooth" }, { renew: ["stack"] }).toEnd();
    expect(walk.job.plan.renewals.find(({ part }) => part === "stack")).not.toHaveProperty("pieces");
  });
});

describe("an answer that leads on", () => {
  it("asks the next only where it was given, and takes the question back with it", () => {
    const walk = brook({ lips: "glazed" }).until(at("check:scratches"));
    expect(cards(walk)).toContain("check:cause");
    walk.add({ kind: "undone", event: walk.events.at(-1)!.id });
    expect(cards(walk)).not.toContain("check:scratches");
  });

  it("shortens what rings, and never makes it longer again", () => {
    const worn = brook({ lips: "glazed", cause: "grit" }).toEnd();
    const once = afterJob(worn.inputs.valve, worn.job, worn.now);
    expect(once.shorter).toEqual({ stack: 24 });
    const again = brook({ lips: "glazed", cause: "years" }).toEnd();
    expect(afterJob(once, again.job, again.now).shorter).toEqual({ stack: 24 });
    const due = dues(
      { ...once, dueSince: {}, last: { stack: "2026-01-01" } },
      worn.inputs.sheet,
      worn.now,
    ).find(({ interval }) => interval === "stack");
    expect(due?.counted).toMatchObject({ months: 24, shortenedFrom: 60 });
    expect(new Date(due!.at).toISOString().slice(0, 10)).toBe("2028-01-01");
  });
});

describe("a look once more", () => {
  it("rings so many days after the job, and is over once it was done", () => {
    const walk = brook().toEnd();
    const valve = afterJob(walk.inputs.valve, walk.job, walk.now);
    const first = dues(valve, walk.inputs.sheet, walk.now).find(({ again }) => again !== undefined);
    expect(first).toMatchObject({ interval: "soft-again", again: { days: 7 } });
    expect(Math.abs(first!.at - walk.now - 7 * DAY)).toBeLessThan(DAY);
    const look = brook(
      {},
      { reach: [], looks: ["hardness"], reason: { kind: "due", says: "Again", symptom: "again" } },
    ).toEnd();
    const after = afterJob(valve, look.job, look.now);
    expect(after.recheck).toBeUndefined();
    expect(after.serviced).toBe(valve.serviced);
  });

  it("shuts nothing and takes nothing off", () => {
    const look = brook({}, { reach: [], looks: ["hardness"] }).toEnd();
    expect(look.job.plan.steps.map(({ kind }) => kind)).toEqual(["protect", "tools", "check", "sign-off"]);
    expect(look.job.plan.isolation).toBeUndefined();
  });

  it("that finds it wrong is closed with a hand-over, or goes on as a job of its own", () => {
    const look = brook({ hardness: "12" }, { reach: [], looks: ["hardness"] });
    expect(() => look.toEnd()).toThrow();
    expect(look.job.states.get("check:hardness")?.kind).toBe("halted");
  });
});

describe("how often a part went back", () => {
  it("is counted from when it was new", () => {
    const walk = brook().toEnd();
    const once = afterJob({ ...walk.inputs.valve, served: { stack: 2 } }, walk.job, walk.now);
    expect(once.served).toMatchObject({ stack: 3, piston: 1 });
    const fresh = brook({}, { renew: ["stack", "piston"] }).toEnd();
    expect(afterJob(once, fresh.job, fresh.now).served).not.toHaveProperty("stack");
  });
});
