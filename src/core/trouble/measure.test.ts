import { describe, expect, it } from "vitest";
import { judged, type Measure } from "./measure";
import { knowledgeOf, sheetOf } from "./trouble.fixtures";

const measure = (family: string, id: string): Measure => {
  const look = knowledgeOf(family).looks.find((each) => each.id === id);
  if (look?.kind !== "measure") throw new Error(id);
  return look;
};
const coil = measure("electric-pilot-valve", "coil");
const sheet = sheetOf("electric-pilot-valve");
const of = (typed: Record<string, string>) => {
  const found = judged(coil, typed, sheet);
  if (!found.ok) throw new Error(JSON.stringify(found.error));
  return found.value;
};

describe("a measure is judged after its correction", () => {
  it("a cold coil is not condemned: below its band as read, within it as it would be at 20 °C", () => {
    // By hand: (20.5 − 0.3)/(1 − 0.00393·25) = 20.2/0.90175 = 22.40 Ω; the band is 22 to 44 Ω.
    const cold = of({ reading: "20.5 Ω", temperature: "-5 °C" });
    expect(cold.band).toBe("within");
    expect(cold.uncorrected).toBe("below");
    expect(cold.si).toBeCloseTo(22.4, 1);
    expect(of({ reading: "20.5 Ω", temperature: "20 °C" })).toMatchObject({ band: "below" });
  });

  it("an open coil is above in any weather and in any unit", () => {
    expect(of({ reading: "2000 kΩ", temperature: "68 °F" }).band).toBe("above");
    expect(of({ reading: "0.033 kΩ", temperature: "20 °C" }).band).toBe("within");
    expect(of({ reading: "33", temperature: "68 °F" }).band).toBe("within");
  });

  it("what cannot be read is refused at its field", () => {
    const bad = judged(coil, { reading: "much", temperature: "" }, sheet);
    expect(bad.ok ? [] : bad.error.map(({ path }) => path)).toEqual(["/typed/reading"]);
    const cold = judged(coil, { reading: "30 Ω", temperature: "3 bar" }, sheet);
    expect(cold.ok ? [] : cold.error.map(({ path }) => path)).toEqual(["/typed/temperature"]);
  });

  it("without a sum its own limits judge it, and a plain number may be called anything", () => {
    const iron = measure("filter-head", "raw");
    expect(judged(iron, { reading: "5" })).toMatchObject({ ok: true, value: { band: "above" } });
    expect(judged(iron, { reading: "0,4" })).toMatchObject({ ok: true, value: { band: "within" } });
  });
});
