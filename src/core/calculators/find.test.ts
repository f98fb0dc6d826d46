import { describe, expect, it } from "vitest";
import { CALCULATORS, findCalculators } from ".";

const first = (asked: string) => findCalculators(CALCULATORS, asked)[0]?.id;

describe("find by the words of the trade", () => {
  it.each([
    ["rubber ring", "o-ring"],
    ["what size spanner", "spanner-finder"],
    ["torque", "bolt-up"],
    ["how tight", "bolt-up"],
    ["dry ice", "co2-charge"],
    ["scald", "mixing"],
    ["furred", "descale"],
    ["voltage drop", "field-wire"],
    ["smell of gas", "leak-grade"],
    ["sprinkler off", "impairment-clock"],
    ["bang", "hammer"],
    ["npt", "thread-finder"],
    ["tape", "taper-thread"],
    ["salt", "softener"],
    ["pitot", "hydrant-flow"],
    ["SOLENOID ohms", "coil"],
    ["Steam tables", "steam-table"],
  ])("%s → %s", (asked, id) => {
    expect(
      findCalculators(CALCULATORS, asked)
        .slice(0, 2)
        .map((each) => each.id),
    ).toContain(id);
  });

  it("how long will it last: what wears, what rides through and what runs between", () => {
    const found = findCalculators(CALCULATORS, "how long will it last")
      .slice(0, 4)
      .map((each) => each.id);
    expect(found).toEqual(expect.arrayContaining(["renew-or-reuse", "ride-through", "softener"]));
  });

  it("every word a calculation lists finds it among the first five", () => {
    for (const calculator of CALCULATORS)
      for (const word of calculator.words)
        expect(
          findCalculators(CALCULATORS, word)
            .slice(0, 5)
            .map((each) => each.id),
          word,
        ).toContain(calculator.id);
  });

  it("nothing typed gives all, nonsense gives none", () => {
    expect(findCalculators(CALCULATORS, "  ")).toHaveLength(CALCULATORS.length);
    expect(findCalculators(CALCULATORS, "zzqqx")).toEqual([]);
    expect(first("?!")).toBeDefined();
  });
});
