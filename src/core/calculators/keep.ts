import { type Dimension, formatIn, type Notation, notationOf, unit } from "../quantity";
import { err, ok, type Problem, type Result } from "../result";
import { CALCULATORS, calculatorNamed } from "./book";
import { calculate } from "./calculate";
import type { Calculator, CalculatorOutput, MeasuredOutput } from "./declaration";
import { readTyped, type SentInput } from "./read-inputs";

/** A result that is kept as a reading: which calculation, what was typed, and which of its answers. */
export interface Kept {
  readonly calculator: string;
  /** As typed, each with its unit. */
  readonly inputs: Readonly<Record<string, string>>;
  readonly output: string;
}

export interface KeptReading {
  readonly what: string;
  readonly label: string;
  readonly dimension: Dimension;
  readonly si: number;
  /** The figure as it is read, in the system's unit. */
  readonly said: string;
}

/** Readings are known by a name that says which calculation they come from: "hydrant-flow-rated". */
export const keptName = (calculator: string, output: string): string =>
  `${calculator}-${output.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)}`;

/** Which calculation and figure such a name stands for; nothing when it is no calculation's. */
export function keptFrom(what: string): { calculator: Calculator; output: CalculatorOutput } | undefined {
  for (const calculator of CALCULATORS) {
    const output = calculator.outputs.find((each) => keptName(calculator.id, each.name) === what);
    if (output !== undefined) return { calculator, output };
  }
  return undefined;
}

/** The words for such a name, "Hydrant flow: Rated flow". */
export function keptTitle(what: string): string | undefined {
  const from = keptFrom(what);
  return from && `${from.calculator.title}: ${from.output.label}`;
}

/** The same by calculation and figure: what a job keeps of it. */
export const benchTitle = (calculator: string, output: string): string | undefined =>
  keptTitle(keptName(calculator, output));

/** Works a result out again from what was typed, so that nothing is kept that was not computed. */
export function workAgain(kept: Kept, notation: Notation = notationOf()): Result<KeptReading, Problem[]> {
  const calculator = calculatorNamed(kept.calculator);
  if (calculator === undefined)
    return err([{ path: "/calculator", message: `There is no calculator "${kept.calculator}".` }]);
  const output = calculator.outputs.find(
    (each): each is MeasuredOutput => each.name === kept.output && each.kind !== "named",
  );
  if (output === undefined)
    return err([
      { path: "/output", message: `${calculator.title} has no figure "${kept.output}" that can be kept.` },
    ]);
  const problems: Problem[] = [];
  const sent: Record<string, SentInput> = {};
  for (const [name, text] of Object.entries(kept.inputs)) {
    const input = calculator.inputs.find((each) => each.name === name);
    const read =
      input === undefined ? err(`${calculator.title} has no input "${name}".`) : readTyped(input, text);
    if (read.ok) sent[name] = read.value;
    else problems.push({ path: `/inputs/${name}`, message: read.error });
  }
  if (problems.length > 0) return err(problems);
  const answer = calculate(calculator, sent, notation);
  if (!answer.ok) return answer;
  const value = answer.value.outputs[output.name];
  if (value === undefined || !("si" in value))
    return err([{ path: "/output", message: "With these inputs there is no such figure." }]);
  return ok({
    what: keptName(calculator.id, output.name),
    label: `${calculator.title}: ${output.label}`,
    dimension: output.dimension,
    si: value.si,
    said: formatIn(value.si, unit(value.unit)),
  });
}
