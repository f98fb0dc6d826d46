import { formatIn, fromSI, toSI, unit, unitNamed, unitsOf } from "../quantity";
import { err, ok, type Problem, type Result } from "../result";
import type { Calculator, CalculatorInput, Given, Outcome } from "./declaration";

/** An input as a program sends it: a figure with its unit, or a choice. */
export interface SentInput {
  readonly value: number | string;
  readonly unit?: string;
}

export interface Answer extends Omit<Outcome, "outputs"> {
  readonly outputs: Readonly<
    Record<string, { readonly value: number; readonly unit: string; readonly si: number }>
  >;
  readonly sources: readonly string[];
}

/** Checks what was sent against the declaration, computes, and gives the outputs in the asked system's units. */
export function calculate(
  calculator: Calculator,
  sent: Readonly<Record<string, SentInput>>,
  system: "metric" | "us" = "metric",
): Result<Answer, Problem[]> {
  const problems: Problem[] = [];
  const si = new Map<string, number>();
  const choices = new Map<string, string>();
  for (const name of Object.keys(sent))
    if (!calculator.inputs.some((input) => input.name === name))
      problems.push({
        path: `/inputs/${name}`,
        message: `There is no input "${name}". It has: ${calculator.inputs.map((input) => input.name).join(", ")}.`,
      });
  for (const input of calculator.inputs) {
    const read = readInput(input, sent[input.name]);
    if (!read.ok) problems.push({ path: `/inputs/${input.name}`, message: read.error });
    else if (typeof read.value === "number") si.set(input.name, read.value);
    else choices.set(input.name, read.value);
  }
  if (problems.length > 0) return err(problems);
  const outcome = calculator.compute(givenFrom(calculator, si, choices));
  if (!outcome.ok) return err([{ path: `/inputs/${outcome.error.input}`, message: outcome.error.message }]);
  const { outputs, ...rest } = outcome.value;
  return ok({
    ...rest,
    sources: calculator.sources,
    outputs: Object.fromEntries(
      calculator.outputs.map((output) => {
        const value = outputs[output.name];
        if (value === undefined || !Number.isFinite(value))
          throw new Error(`${calculator.id} gave ${output.name} = ${value}`);
        const shown = unit(output.units[system]);
        return [output.name, { value: fromSI(value, shown), unit: shown.id, si: value }];
      }),
    ),
  });
}

function givenFrom(
  calculator: Calculator,
  si: ReadonlyMap<string, number>,
  choices: ReadonlyMap<string, string>,
): Given {
  const get = <T>(map: ReadonlyMap<string, T>, name: string): T => {
    const value = map.get(name);
    if (value === undefined) throw new Error(`${calculator.id} has no input "${name}"`);
    return value;
  };
  return { si: (name) => get(si, name), choice: (name) => get(choices, name) };
}

function readInput(input: CalculatorInput, sent: SentInput | undefined): Result<number | string, string> {
  if (sent === undefined) return input.usual === undefined ? err(`Missing: ${input.help}`) : ok(input.usual);
  if (input.kind === "choice") {
    const option = input.options.find((each) => each.id === sent.value);
    return option === undefined
      ? err(`Choose one of: ${input.options.map((each) => each.id).join(", ")}.`)
      : ok(option.id);
  }
  if (typeof sent.value !== "number" || !Number.isFinite(sent.value)) return err("Send a finite number.");
  const found = unitNamed(sent.unit ?? input.units.metric, input.dimension);
  if (found === undefined)
    return err(
      `"${sent.unit}" is not a unit of ${input.dimension}. Use one of: ${unitsOf(input.dimension)
        .map((each) => each.id || "(none)")
        .join(", ")}.`,
    );
  const value = toSI(sent.value, found);
  if (value < input.least || value > input.most)
    return err(`Out of range: ${formatIn(input.least, found)} to ${formatIn(input.most, found)}.`);
  return ok(value);
}
