import { describe, expect, it } from "vitest";
import { triedAs, UNKNOWN } from "../formats";
import { advise } from "./advise";
import { answersOf } from "./answering";
import { caseOf } from "./case";
import { checkTrouble } from "./check-trouble";
import { FAMILIES, factsOf, knowledgeOf, sheetOf, VALVES } from "./trouble.fixtures";

const MOST_STEPS = 30;
/** Two steps ahead have to do here: every family, every cause. */
const QUICK = 0;

/** Where one comes to, if everything is answered as this cause answers it mostly. */
function endOf(family: string, complaint: string, cause: string): string {
  const knowledge = knowledgeOf(family);
  const facts = factsOf(family, complaint);
  const answers = new Map<string, string>();
  for (let step = 0; step < MOST_STEPS; step++) {
    const { next } = advise(knowledge, facts, answers, QUICK);
    if (next.kind === "end") {
      const end = knowledge.ends.find(({ id }) => id === next.end);
      if (end?.kind !== "do-now" || knowledge.causes.find(({ id }) => id === cause)!.end === next.end)
        return next.end;
      answers.set(triedAs(next.end), "not");
      continue;
    }
    const look = knowledge.looks.find(({ id }) => id === next.look)!;
    const chances = caseOf(knowledge, facts, answers).answering.get(look.id)!.chances([cause]);
    answers.set(look.id, answersOf(look)[chances.indexOf(Math.max(...chances))] ?? UNKNOWN);
  }
  return "";
}

describe("what ships for a family", () => {
  it("is there for every family of the library", () => {
    expect([...FAMILIES].sort()).toEqual(Object.keys(VALVES).sort());
  });

  describe.each(FAMILIES.map((family) => [family] as const))("%s", (family) => {
    const knowledge = knowledgeOf(family);

    it("is proven against its sheet", () => {
      expect(checkTrouble(knowledge, [sheetOf(family)])).toEqual([]);
    });

    it("leads to the right end from every cause, and to at least four different ones", () => {
      const ends = knowledge.causes.flatMap((cause) =>
        Object.keys(cause.weights)
          .filter((id) => knowledge.complaints.find((each) => each.id === id)?.danger === undefined)
          .map((complaint) => ({ cause, complaint, end: endOf(family, complaint, cause.id) })),
      );
      const wrong = ends.filter(({ cause, end }) => cause.end !== end);
      expect(wrong.map(({ cause, complaint, end }) => `${complaint}: ${cause.id} → ${end}`)).toEqual([]);
      expect(new Set(ends.map(({ end }) => end)).size).toBeGreaterThanOrEqual(4);
      const kinds = new Set(ends.map(({ end }) => knowledge.ends.find(({ id }) => id === end)?.kind));
      expect(kinds.size).toBeGreaterThanOrEqual(2);
    });

    it("says of each complaint first what does not need shutting or stripping", () => {
      for (const complaint of knowledge.complaints.filter(({ danger }) => danger === undefined)) {
        const { next } = advise(knowledge, factsOf(family, complaint.id));
        if (next.kind === "end") continue;
        const { needs = [] } = knowledge.looks.find(({ id }) => id === next.look)!;
        expect([
          complaint.id,
          next.look,
          needs.some((need) => need === "dead" || need === "cover-off"),
        ]).toEqual([complaint.id, next.look, false]);
      }
    });
  });
});
