import { describe, expect, it } from "vitest";
import type { JobEvent, JobInputs } from "../formats";
import { accept } from "./accept";
import { START, Walk, wetJob } from "./job.fixtures";
import { foundBefore, replay } from "./progress";
import { stepAbout } from "./step-id";

const at = new Date(START).toISOString();
const found = (check: string, answer: string): NonNullable<JobInputs["trouble"]>["found"][number] => ({
  check,
  answer,
  at,
  by: "Tam Arkle",
});
const sheet = wetJob().sheet;
const asked = sheet.checks.find(({ phase, kind }) => phase === "triage" && kind === "choice")!;
const sound = asked.kind === "choice" ? asked.options.find(({ means }) => means === "reuse")!.id : "";
const inputs = wetJob({
  trouble: { case: "case-1", says: "It weeps", found: [found(asked.id, sound)] },
});
const again = (id: string, event = `found:${asked.id}`): JobEvent => ({
  v: 1,
  id,
  at,
  by: "Tam Arkle",
  kind: "undone",
  event,
});
const judged = { now: START } as Parameters<typeof accept>[2];

describe("what a case found before the job", () => {
  const step = stepAbout("check", asked.id);

  it("is not asked again", () => {
    const { job } = new Walk(inputs);
    expect(job.states.get(step)?.kind).toBe("done");
    expect(foundBefore(inputs, []).map(({ check }) => check)).toEqual([asked.id]);
  });

  it("is asked again by whoever doubts it, in its place, once; and answered anew", () => {
    const walk = new Walk(inputs);
    const taken = accept(walk.job, again("a"), judged);
    expect(taken.ok).toBe(true);
    if (!taken.ok) return;
    expect(taken.value.states.get(step)?.kind).toBe("open");
    expect(taken.value.current?.id).toBe(step);
    expect(accept(taken.value, again("b"), judged)).toMatchObject({ ok: false });
    const events: JobEvent[] = [
      again("a"),
      { v: 1, id: "c", at, by: "Isla Venn", kind: "check-answered", step, check: asked.id, answer: sound },
    ];
    expect(replay(inputs, events).answers.get(asked.id)).toMatchObject({ event: "c", by: "Isla Venn" });
  });

  it("nothing else of it can be taken back", () =>
    expect(accept(new Walk(inputs).job, again("a", "found:ghost"), judged)).toMatchObject({
      ok: false,
    }));
});
