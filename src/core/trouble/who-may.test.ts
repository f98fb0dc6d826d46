import { describe, expect, it } from "vitest";
import { advise } from "./advise";
import { factsOf, knowledgeOf } from "./trouble.fixtures";
import { barredTo } from "./who-may";

const NOW = Date.parse("2027-03-01T09:00:00Z");
const cock = knowledgeOf("plug-meter-cock");
const ofGas = cock.looks.filter(({ may }) => may === "gas").map(({ id }) => id);
const holds = (until: string) => ({ gas: { until } });

describe("who may look", () => {
  it("is whoever has the paper, as long as it holds, or has such a one beside", () => {
    expect(ofGas.length).toBeGreaterThan(0);
    expect([...barredTo(cock, [undefined], NOW)]).toEqual(ofGas);
    expect([...barredTo(cock, [{}], NOW)]).toEqual(ofGas);
    expect([...barredTo(cock, [holds("2028-02-01")], NOW)]).toEqual([]);
    expect([...barredTo(cock, [holds("2027-02-01")], NOW)]).toEqual(ofGas);
    expect([...barredTo(cock, [{}, holds("2028-02-01")], NOW)]).toEqual([]);
  });

  it("what somebody may not do is never advised to them", () => {
    for (const { id } of cock.complaints) {
      const facts = { ...factsOf("plug-meter-cock", id), cannot: [...barredTo(cock, [{}], NOW)] };
      const { next, looks } = advise(cock, facts);
      expect(looks.map(({ look }) => look)).not.toEqual(
        expect.arrayContaining([expect.stringMatching(`^(${ofGas.join("|")})$`)]),
      );
      if (next.kind === "look") expect(ofGas).not.toContain(next.look);
    }
  });
});
