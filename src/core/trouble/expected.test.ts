import { describe, expect, it } from "vitest";
import { seeded } from "../seeded";
import { expecting } from "./expected.fixtures";
import { byAdvice, inFileOrder, play } from "./play.fixtures";
import { factsOf, knowledgeOf } from "./trouble.fixtures";

const FAMILY = "combination-air-valve";
const PLAYS = 120;

describe("what is expected of a way of asking", () => {
  const knowledge = knowledgeOf(FAMILY);
  const complaint = knowledge.complaints.find(({ danger }) => danger === undefined)!.id;
  const facts = factsOf(FAMILY, complaint);
  const causes = knowledge.causes.filter(({ weights }) => weights[complaint] !== undefined);

  it.each([
    ["as advised", byAdvice],
    ["in file order", inFileOrder],
  ] as const)("%s: is what valves that are played come to, within four standard errors", (_, policy) => {
    const expected = expecting(knowledge, facts, policy);
    for (const { id } of causes) {
      const { looking, end, looks } = expected(id);
      const played = Array.from({ length: PLAYS }, (_, index) =>
        play(knowledge, facts, id, policy, seeded(7919 * (index + 1))),
      );
      for (const [mean, of] of [
        [looking + end, played.map(({ minutes }) => minutes)],
        [looks, played.map((each) => each.looks)],
      ] as const) {
        const seen = of.reduce((sum, each) => sum + each, 0) / PLAYS;
        const error = Math.sqrt(of.reduce((sum, each) => sum + (each - seen) ** 2, 0) / PLAYS / PLAYS);
        expect(Math.abs(seen - mean), id).toBeLessThan(4 * error + 0.02 * mean + 1e-9);
      }
    }
  });
});
