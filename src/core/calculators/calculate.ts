import {
  fixed,
  formatIn,
  fromSI,
  type Notation,
  notationOf,
  sensibleDigits,
  type UnitSystem,
  unit,
} from "../quantity";
import { err, ok, type Problem, type Result } from "../result";
import type { Calculator, CalculatorOutput, Outcome, Say, Values } from "./declaration";
import { readInputs, type SentInput } from "./read-inputs";

/** A figure with its unit and SI value, or words. */
export type AnswerValue =
  | { readonly value: number; readonly unit: string; readonly si: number }
  | { readonly value: string; readonly unit: "" };
export type AnswerRow = Readonly<Record<string, AnswerValue>>;

export interface Answer extends Omit<Outcome, "outputs" | "tables"> {
  readonly outputs: AnswerRow;
  readonly tables: Readonly<Record<string, readonly AnswerRow[]>>;
  readonly sources: readonly string[];
}

/** The SI value of an answer; asking for one that is words or was left out is a bug. */
export function siOf(row: AnswerRow, name: string): number {
  const value = row[name];
  if (value === undefined || !("si" in value)) throw new Error(`the answer has no figure "${name}"`);
  return value.si;
}

/** The words of an answer, empty when it was left out. */
export const wordsOf = (row: AnswerRow, name: string): string => String(row[name]?.value ?? "");

/** Checks what was sent against the declaration, computes, and gives the outputs in the reader's units. */
export function calculate(
  calculator: Calculator,
  sent: Readonly<Record<string, SentInput>>,
  { system, mark }: Notation = notationOf(),
): Result<Answer, Problem[]> {
  const given = readInputs(calculator, sent);
  if (!given.ok) return given;
  const say: Say = Object.assign(
    (si: number, { units }: Parameters<Say>[1]) => formatIn(si, unit(units[system]), mark),
    {
      figure: (value: number, decimals?: number) =>
        decimals === undefined ? sensibleDigits(value, mark) : fixed(value, decimals, mark),
    },
  );
  const outcome = calculator.compute(given.value, say);
  if (!outcome.ok) return err([{ path: `/inputs/${outcome.error.input}`, message: outcome.error.message }]);
  const { outputs, tables, ...rest } = outcome.value;
  const row = (declared: readonly CalculatorOutput[], values: Values, where: string): AnswerRow =>
    Object.fromEntries(
      declared.flatMap((each) => {
        const value = answerValue(each, values[each.name], system);
        if (value !== undefined) return [[each.name, value]];
        if (each.optional) return [];
        throw new Error(`${where} gave ${each.name} = ${values[each.name]}`);
      }),
    );
  return ok({
    ...rest,
    sources: calculator.sources,
    outputs: row(calculator.outputs, outputs, calculator.id),
    tables: Object.fromEntries(
      (calculator.tables ?? []).map(({ name, columns }) => [
        name,
        (tables?.[name] ?? []).map((values) => row(columns, values, `${calculator.id}/${name}`)),
      ]),
    ),
  });
}

function answerValue(
  declared: CalculatorOutput,
  value: number | string | undefined,
  system: UnitSystem,
): AnswerValue | undefined {
  if (declared.kind === "named") return typeof value === "string" ? { value, unit: "" } : undefined;
  if (typeof value !== "number" || !Number.isFinite(value)) return undefined;
  const shown = unit(declared.units[system]);
  return { value: fromSI(value, shown), unit: shown.id, si: value };
}
