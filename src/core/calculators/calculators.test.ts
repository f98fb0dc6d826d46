import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { fromSI, unit, unitsOf } from "../quantity";
import {
  CALCULATORS,
  type Calculator,
  type CalculatorInput,
  CHAPTERS,
  calculate,
  calculatorNamed,
  counts,
  drainCurve,
  readTyped,
  type SentInput,
  siOf,
  withUnit,
  wordsOf,
} from ".";

/** Inputs of an example as a program would send them. */
function sentFrom(
  calculator: Calculator,
  typed: Readonly<Record<string, string>>,
): Record<string, SentInput> {
  return Object.fromEntries(
    Object.entries(typed).map(([name, text]) => {
      const input = calculator.inputs.find((each) => each.name === name);
      if (input === undefined) throw new Error(`${calculator.id} has no input ${name}`);
      const read = readTyped(input, text);
      if (!read.ok) throw new Error(`${name}: ${read.error}`);
      return [name, read.value];
    }),
  );
}

function answerTo(id: string, typed: Readonly<Record<string, string>>) {
  const calculator = calculatorNamed(id)!;
  const answer = calculate(calculator, sentFrom(calculator, typed));
  if (!answer.ok) throw new Error(JSON.stringify(answer.error));
  return answer.value;
}

/** Something an input may be sent, within its range. */
function inRange(input: CalculatorInput): fc.Arbitrary<SentInput | undefined> {
  switch (input.kind) {
    case "choice":
      return fc.constantFrom(...input.options.map((option): SentInput => ({ value: option.id })));
    case "date":
      return fc
        .integer({ min: 0, max: 20_000 })
        .map((days): SentInput => ({ value: new Date(days * 86_400_000).toISOString().slice(0, 10) }));
    case "list":
      return fc
        .array(fc.integer({ min: input.least, max: input.most }), { minLength: 1, maxLength: input.longest })
        .map((numbers): SentInput => ({ value: numbers.join(" ") }));
    case "measured": {
      const shown = unit(input.units.metric);
      const value = fc.oneof(
        fc.double({ min: input.least, max: input.most, noNaN: true }),
        fc.constantFrom(input.least, input.most),
        // Most figures of the trade are whole and near the usual one.
        fc.double({ min: 0.3, max: 3, noNaN: true }).map((by) => {
          const near = fromSI(input.usual ?? input.most, shown) * by;
          const si = shown.scale * (shown.scale === 1 ? Math.round(near) : near) + (shown.offset ?? 0);
          return Math.min(input.most, Math.max(input.least, si));
        }),
      );
      const sent = value.map((si): SentInput => ({ value: fromSI(si, shown), unit: shown.id }));
      return input.usual === undefined && !input.optional ? sent : fc.option(sent, { nil: undefined });
    }
  }
}

describe.each(CALCULATORS.map((each) => [each.id, each] as const))("%s", (_, calculator) => {
  it("has two worked examples or more, sources, words to find it by, and a help on every field", () => {
    expect(calculator.examples.length).toBeGreaterThanOrEqual(2);
    expect(calculator.sources.length).toBeGreaterThan(0);
    expect(calculator.words.length).toBeGreaterThanOrEqual(5);
    expect(CHAPTERS).toContain(calculator.chapter);
    for (const input of calculator.inputs) expect(input.help.length, input.name).toBeGreaterThan(3);
    const names = [...calculator.inputs, ...calculator.outputs].map((each) => each.name);
    expect(new Set(calculator.inputs.map((each) => each.name)).size).toBe(calculator.inputs.length);
    for (const name of names) expect(name).toMatch(/^[a-z][A-Za-z0-9]*$/);
  });

  it.each(calculator.examples.map((example) => [example.source, example] as const))(
    "%s",
    (_source, example) => {
      const answer = answerTo(calculator.id, example.inputs);
      expect(Object.keys(example.outputs).length).toBeGreaterThan(0);
      for (const [name, expected] of Object.entries(example.outputs)) {
        const [value, rest] = expected.split(" ± ");
        if (rest === undefined) {
          expect(wordsOf(answer.outputs, name), name).toBe(expected);
          continue;
        }
        const [within, ...unitId] = rest.split(" ");
        const shown = fromSI(siOf(answer.outputs, name), unit(unitId.join(" ")));
        expect(Math.abs(shown - Number(value)), `${name} is ${shown}`).toBeLessThanOrEqual(
          Number(within) + 1e-9 * Math.abs(shown),
        );
      }
      if (example.verdict !== undefined)
        expect(answer.verdict, answer.reasons.join(" ")).toBe(example.verdict);
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
      fc.constantFrom(...calculator.inputs.map((input) => input.name), "nonsense", "constructor"),
      fc.record({ value, unit: fc.constantFrom("mm", "in", "bar g", "%", "", "furlong") }),
    );
    fc.assert(
      fc.property(sent, (inputs) => answersOrTells(calculator, inputs as Record<string, SentInput>)),
      {
        numRuns: 100,
      },
    );
  });

  it("never gives a figure that is not finite, and never throws, anywhere in its ranges", () => {
    const sent = fc.record(
      Object.fromEntries(calculator.inputs.map((input) => [input.name, inRange(input)])),
    );
    fc.assert(
      fc.property(sent, (inputs) =>
        answersOrTells(
          calculator,
          Object.fromEntries(Object.entries(inputs).filter(([, each]) => each !== undefined)) as Record<
            string,
            SentInput
          >,
        ),
      ),
      { numRuns: 200 },
    );
  });

  it("gives the same answer whatever unit an input is sent in", () => {
    const base = sentFrom(calculator, calculator.examples[0]!.inputs);
    const figures = (sent: Record<string, SentInput>) => {
      const answer = calculate(calculator, sent);
      return answer.ok
        ? Object.values(answer.value.outputs).map((each) => ("si" in each ? each.si : each.value))
        : answer.error;
    };
    for (const input of calculator.inputs) {
      if (input.kind !== "measured") continue;
      const given = base[input.name];
      const from = unit(given?.unit ?? input.units.metric);
      const si = given === undefined ? input.usual : Number(given.value) * from.scale + (from.offset ?? 0);
      if (si === undefined) continue;
      const before = figures({ ...base });
      for (const other of unitsOf(input.dimension)) {
        const after = figures({ ...base, [input.name]: { value: fromSI(si, other), unit: other.id } });
        expect(after).toHaveLength(before.length);
        after.forEach((value, index) => {
          const was = before[index];
          if (typeof value === "number" && typeof was === "number")
            expect(Math.abs(value - was), `${input.name} in ${other.id}`).toBeLessThanOrEqual(
              1e-6 * Math.max(Math.abs(was), 1e-3),
            );
          else expect(value).toEqual(was);
        });
      }
    }
  });
});

function answersOrTells(calculator: Calculator, inputs: Record<string, SentInput>) {
  const answer = calculate(calculator, inputs);
  if (!answer.ok) {
    expect(answer.error.length).toBeGreaterThan(0);
    for (const each of answer.error) {
      expect(each.path).toMatch(/^\/inputs\/./);
      expect(each.message.length).toBeGreaterThan(0);
    }
    return;
  }
  const rows = [answer.value.outputs, ...Object.values(answer.value.tables).flat()];
  for (const row of rows)
    for (const output of Object.values(row))
      if ("si" in output) expect(Number.isFinite(output.value)).toBe(true);
  expect(answer.value.reasons.length).toBeGreaterThan(0);
  for (const says of [...answer.value.reasons, ...answer.value.cautions])
    expect(says).not.toMatch(/NaN|undefined|Infinity|–\s*(bar|mm|m|V)\b/);
}

describe("the bench book", () => {
  it("has every calculation once, in the order of its chapters", () => {
    const ids = CALCULATORS.map((each) => each.id);
    expect(new Set(ids).size).toBe(ids.length);
    const order = CALCULATORS.map((each) => CHAPTERS.indexOf(each.chapter));
    expect(order).toEqual([...order].sort((a, b) => a - b));
    expect(new Set(order).size).toBe(CHAPTERS.length);
  });

  it("asks only for what counts: a field behind a choice is not missing when the choice stands otherwise", () => {
    const finder = calculatorNamed("thread-finder")!;
    const pitch = finder.inputs.find((each) => each.name === "pitch")!;
    expect(counts(finder, pitch, () => undefined)).toBe(false);
    expect(counts(finder, pitch, () => "metric")).toBe(true);
  });

  it("a text that leaves the device says its unit, whatever way it was typed", () => {
    const finder = calculatorNamed("spanner-finder")!.inputs[0]!;
    expect(withUnit(finder, "3/4", "in")).toBe("3/4 in");
    expect(withUnit(finder, "1½", "in")).toBe("1½ in");
    expect(withUnit(finder, "18,8", "mm")).toBe("18,8 mm");
    expect(withUnit(finder, "18.8 mm", "in")).toBe("18.8 mm");
    expect(withUnit(finder, `3/4"`, "mm")).toBe(`3/4"`);
    expect(withUnit(calculatorNamed("kv")!.inputs[6]!, "0.65", "")).toBe("0.65");
    for (const { inputs } of CALCULATORS)
      for (const input of inputs) {
        if (input.kind !== "measured") continue;
        for (const { id } of unitsOf(input.dimension)) {
          // A field of shares is never turned to plain numbers, so nothing has to say that.
          if (id === "") continue;
          const [there, back] = [readTyped(input, "2.5", id), readTyped(input, withUnit(input, "2.5", id))];
          expect(back.ok && there.ok ? back.value : "unread", `${input.name} in ${id}`).toEqual(
            there.ok && there.value,
          );
        }
      }
  });

  it("tells every problem at its field, and computes nothing", () => {
    const answer = calculate(calculatorNamed("interval")!, {
      last: { value: "2026-02-30" },
      months: { value: 12, unit: "kg" },
      runs: { value: 900, unit: "°C" },
      nonsense: { value: 1 },
    });
    expect(answer.ok ? [] : answer.error.map((each) => each.path).sort()).toEqual([
      "/inputs/last",
      "/inputs/months",
      "/inputs/nonsense",
      "/inputs/runs",
    ]);
  });
});

describe("laws", () => {
  it("torque is linear in K and in preload", () => {
    const torque = (condition: string, share: number) =>
      siOf(answerTo("bolt-up", { condition, share: `${share} %` }).outputs, "torque");
    expect(torque("anti-seize", 50) / torque("dry", 50)).toBeCloseTo(0.12 / 0.2, 9);
    expect(torque("dry", 60) / torque("dry", 30)).toBeCloseTo(2, 9);
  });

  it("a drain-down never rises and ends empty", () => {
    const curve = drainCurve(600 as never);
    expect(curve[0]).toEqual({ seconds: 0, share: 1 });
    expect(curve.at(-1)).toEqual({ seconds: 600, share: 0 });
    for (let i = 1; i < curve.length; i++) expect(curve[i]!.share).toBeLessThanOrEqual(curve[i - 1]!.share);
  });

  it("a hydrant's curve falls from static to nothing and meets the residual at the tested flow", () => {
    const { tables, outputs } = answerTo("hydrant-flow", {});
    const points = tables.curve!.map((row) => [siOf(row, "flow"), siOf(row, "pressure")] as const);
    for (let i = 1; i < points.length; i++) expect(points[i]![1]).toBeLessThan(points[i - 1]![1] + 1e-6);
    const at = siOf(outputs, "flow");
    const after = points.findIndex(([flow]) => flow >= at);
    const psi = (pascal: number) => pascal / 6894.757;
    expect(psi(points[after - 1]![1])).toBeGreaterThan(50);
    expect(psi(points[after]![1])).toBeLessThan(50);
  });

  it.each([
    ["kv", "flow", "difference", ["0.5 bar", "1 bar", "4 bar"]],
    ["ride-through", "seconds", "volume", ["5 L", "10 L", "40 L"]],
    ["head", "pressure", "height", ["1 m", "5 m", "50 m"]],
    ["trap-loss", "isentropic", "pressure", ["1 bar g", "3 bar g", "10 bar g", "20 bar g"]],
    ["cover-force", "energy", "pressure", ["0.5 bar g", "2 bar g", "20 bar g"]],
    ["hammer", "whole", "speed", ["0.5 m/s", "1 m/s", "3 m/s"]],
    ["fill-and-vent", "air", "blow", ["10 mbar", "50 mbar", "200 mbar"]],
    ["softener", "capacity", "salt", ["50", "100", "160", "240", "310"]],
    ["renew-or-reuse", "chance", "age", ["10 d", "1000 d", "4000 d"]],
  ] as const)("%s: %s grows with %s", (id, output, input, values) => {
    const found = values.map((value) => siOf(answerTo(id, { [input]: value }).outputs, output));
    for (let i = 1; i < found.length; i++) expect(found[i]!).toBeGreaterThan(found[i - 1]!);
  });
});
