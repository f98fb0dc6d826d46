import { describe, expect, it } from "vitest";
import { Walk, wetJob } from "@/core/job/job.fixtures";
import { aloudEnd, aloudWords, speaker, stepWords } from ".";

const words = speaker();
const said = (walk: Walk) => aloudWords(words, walk.job.current!, stepWords(words, walk.job.current!).title);

describe("a card read aloud", () => {
  it("says what can happen before what to do, and why after it", () => {
    const walk = new Walk(wetJob()).until((step) => step.kind === "crack");
    const { title, why } = stepWords(words, walk.job.current!);
    const spoken = said(walk);
    expect(spoken[0]).toMatch(/^Take care\./);
    expect(spoken.indexOf(title)).toBeGreaterThan(0);
    expect(spoken.indexOf(why)).toBeGreaterThan(spoken.indexOf(title));
  });

  it("has no sign in it that a voice cannot say, and no empty sentence, on any card of a job", () => {
    const walk = new Walk(wetJob());
    let guard = 0;
    while (walk.job.current !== undefined && guard++ < 200) {
      for (const sentence of said(walk)) {
        expect(sentence.trim()).not.toBe("");
        expect(sentence).not.toMatch(/[·→×]|N·m|°C/);
      }
      walk.doStep(walk.job.current);
    }
    expect(guard).toBeGreaterThan(40);
  });

  it("says that work is stopped, and why", () => {
    expect(aloudEnd(words, { status: { kind: "stopped", reason: "Dark", at: 0, by: "Tam" } })).toBe(
      "Work is stopped. Dark",
    );
  });
});
