import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { fromSI, unit, unitsOf } from "../quantity";
import { CALCULATORS, calculate, drainCurve, type SentInput } from ".";

describe.each(CALCULATORS.map((each) => [each.id, each] as const))("%s", (_, calculator) => {
  it("has two worked examples or more, and a source for each", () => {
    expect(calculator.examples.length).toBeGreaterThanOrEqual(2);
    expect(calculator.sources.length).toBeGreaterThan(0);
  });

  it.each(calculator.examples.map((example) => [example.source, example] as const))(
    "%s",
    (_source, example) => {
      const answer = calculate(calculator, example.inputs);
      if (!answer.ok) throw new Error(JSON.stringify(answer.error));
      for (const [name, expected] of Object.entries(example.outputs)) {
        const shown = fromSI(answer.value.outputs[name]!.si, unit(expected.unit));
        expect(Math.abs(shown - expected.value), `${name} is ${shown}`).toBeLessThanOrEqual(expected.within);
      }
      if (example.verdict !== undefined) expect(answer.value.verdict).toBe(example.verdict);
    },
  );

  it("never gives a figure that is not finite, and never throws, whatever is sent", () => {
    const value = fc.oneof(
      fc.double(),
      fc.constantFrom(0, -1, 1e300, Number.NaN),
      fc.string(),
      fc.constant(null),
      fc.constant({}),
    );
    const sent = fc.dictionary(
      fc.constantFrom(...calculator.inputs.map((input) => input.name), "nonsense"),
      fc.record({ value, unit: fc.constantFrom("mm", "in", "bar g", "%", "", "furlong") }),
    );
    fc.assert(
      fc.property(sent, (inputs) => {
        const answer = calculate(calculator, inputs as Record<string, SentInput>);
        if (answer.ok)
          for (const output of Object.values(answer.value.outputs))
            expect(Number.isFinite(output.value)).toBe(true);
        else
          expect(
            answer.error.every((each) => each.path.startsWith("/inputs/") && each.message.length > 0),
          ).toBe(true);
      }),
      { numRuns: 300 },
    );
  });

  it("gives the same answer whatever unit an input is sent in", () => {
    for (const input of calculator.inputs) {
      if (input.kind !== "measured" || input.usual === undefined) continue;
      const answers = unitsOf(input.dimension).map((each) =>
        calculate(calculator, { [input.name]: { value: fromSI(input.usual!, each), unit: each.id } }),
      );
      const outputs = answers.map((answer) =>
        answer.ok ? Object.values(answer.value.outputs).map((each) => each.si) : answer.error,
      );
      for (const each of outputs)
        each.forEach((value, index) => {
          expect(value as number).toBeCloseTo(outputs[0]![index] as number, 6);
        });
    }
  });
});

describe("laws", () => {
  it("torque is linear in K and in preload", () => {
    const torque = (condition: string, share: number) => {
      const answer = calculate(CALCULATORS[0]!, {
        condition: { value: condition },
        share: { value: share, unit: "%" },
      });
      return answer.ok ? answer.value.outputs.torque!.si : Number.NaN;
    };
    expect(torque("anti-seize", 50) / torque("dry", 50)).toBeCloseTo(0.12 / 0.2, 9);
    expect(torque("dry", 60) / torque("dry", 30)).toBeCloseTo(2, 9);
  });

  it("a drain-down never rises and ends empty", () => {
    const curve = drainCurve(600 as never);
    expect(curve[0]).toEqual({ seconds: 0, share: 1 });
    expect(curve.at(-1)).toEqual({ seconds: 600, share: 0 });
    for (let i = 1; i < curve.length; i++) expect(curve[i]!.share).toBeLessThanOrEqual(curve[i - 1]!.share);
  });
});
