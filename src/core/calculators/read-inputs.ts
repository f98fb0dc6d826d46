import {
  formatIn,
  isBare,
  parseQuantity,
  quantityMessage,
  toSI,
  unit,
  unitNamed,
  unitsOf,
} from "../quantity";
import { err, ok, type Problem, type Result } from "../result";
import type {
  Calculator,
  CalculatorInput,
  ChoiceInput,
  DateInput,
  Given,
  ListInput,
  MeasuredInput,
} from "./declaration";

/** An input as a program sends it: a figure with its unit, a choice, or a date. */
export interface SentInput {
  readonly value: number | string;
  readonly unit?: string;
}

type Read = number | string | readonly number[] | undefined;

/** Whether an input counts, the choices standing as they do. */
export function counts(
  calculator: Calculator,
  input: CalculatorInput,
  choice: (name: string) => string | undefined,
): boolean {
  const { when } = input;
  if (when === undefined) return true;
  const master = calculator.inputs.find((each) => each.name === when.input);
  const stands = choice(when.input) ?? (master?.kind === "choice" ? master.usual : undefined);
  return stands !== undefined && when.is.includes(stands);
}

/** Checks what was sent against the declaration; every problem is told at once, each at its field. */
export function readInputs(
  calculator: Calculator,
  sent: Readonly<Record<string, SentInput>>,
): Result<Given, Problem[]> {
  const problems: Problem[] = Object.keys(sent)
    .filter((name) => !calculator.inputs.some((input) => input.name === name))
    .map((name) => ({
      path: `/inputs/${name}`,
      message: `There is no input "${name}". It has: ${calculator.inputs.map((input) => input.name).join(", ")}.`,
    }));
  const values: Record<string, Read> = {};
  const choice = (name: string) => {
    const value = Object.hasOwn(sent, name) ? sent[name]?.value : undefined;
    return typeof value === "string" ? value : undefined;
  };
  for (const input of calculator.inputs) {
    const given = Object.hasOwn(sent, input.name) ? sent[input.name] : undefined;
    const read = counts(calculator, input, choice)
      ? readInput(input, given)
      : ok("usual" in input && input.kind !== "date" ? input.usual : undefined);
    if (read.ok) values[input.name] = read.value;
    else problems.push({ path: `/inputs/${input.name}`, message: read.error });
  }
  return problems.length > 0 ? err(problems) : ok(values);
}

function readInput(input: CalculatorInput, sent: SentInput | undefined): Result<Read, string> {
  if (sent === undefined) {
    if (input.kind === "list") return err(`Missing: ${input.help}`);
    if (input.kind === "date") return input.optional ? ok(undefined) : err(`Missing: ${input.help}`);
    if (input.usual !== undefined) return ok(input.usual);
    return input.kind === "measured" && input.optional ? ok(undefined) : err(`Missing: ${input.help}`);
  }
  switch (input.kind) {
    case "choice":
      return readChoice(input, sent);
    case "date":
      return readDate(input, sent);
    case "list":
      return readList(input, sent);
    case "measured":
      return readMeasured(input, sent);
  }
}

function readChoice(input: ChoiceInput, sent: SentInput): Result<string, string> {
  const option = input.options.find((each) => each.id === sent.value);
  return option === undefined
    ? err(`Choose one of: ${input.options.map((each) => each.id).join(", ")}.`)
    : ok(option.id);
}

/** The years a valve can have a date in. */
const [FIRST_YEAR, LAST_YEAR] = [1900, 2200];

function readDate(input: DateInput, sent: SentInput): Result<number, string> {
  const text = String(sent.value);
  const shape = /^\d{4}-\d{2}-\d{2}(T\d{2}:\d{2})?$/.test(text);
  const seconds = shape
    ? Date.parse(`${text}${text.includes("T") ? ":00Z" : "T00:00:00Z"}`) / 1000
    : Number.NaN;
  // The 31st of April would be read as the 1st of May.
  const real = Number.isFinite(seconds) && writeDate(seconds, text.includes("T")) === text;
  const year = Number(text.slice(0, 4));
  if (!real || year < FIRST_YEAR || year > LAST_YEAR)
    return err(
      input.withTime
        ? "Give a day and time, as 2026-03-01T08:30."
        : "Give a day of the calendar, as 2026-03-01.",
    );
  return ok(seconds);
}

function readList({ least, most, longest }: ListInput, sent: SentInput): Result<readonly number[], string> {
  const words = String(sent.value)
    .split(/[\s,;]+/)
    .filter((word) => word !== "");
  const numbers = words.map(Number);
  if (words.length === 0 || numbers.some((each) => !Number.isInteger(each)))
    return err("Give whole numbers with spaces between, as 1 5 3 7.");
  if (words.length > longest) return err(`At most ${longest} numbers.`);
  const outside = numbers.find((each) => each < least || each > most);
  return outside === undefined ? ok(numbers) : err(`${outside} is out of range: ${least} to ${most}.`);
}

/** Seconds since 1970 on the wall clock, as "2026-03-01" or "2026-03-01T08:30". */
export function writeDate(seconds: number, withTime = false): string {
  return new Date(seconds * 1000).toISOString().slice(0, withTime ? 16 : 10);
}

function readMeasured(input: MeasuredInput, sent: SentInput): Result<number, string> {
  if (typeof sent.value !== "number" || !Number.isFinite(sent.value)) return err("Send a finite number.");
  const found = unitNamed(sent.unit ?? input.units.metric, input.dimension);
  if (found === undefined)
    return err(
      `"${sent.unit}" is not a unit of ${input.dimension}. Use one of: ${unitsOf(input.dimension)
        .map((each) => each.id || "(none)")
        .join(", ")}.`,
    );
  const value = toSI(sent.value, found);
  // A bound typed in another unit comes back a hair beside itself.
  const hair = 1e-12 * Math.max(Math.abs(input.least), Math.abs(input.most));
  if (value < input.least - hair || value > input.most + hair)
    return err(`Out of range: ${formatIn(input.least, found)} to ${formatIn(input.most, found)}.`);
  return ok(Math.min(input.most, Math.max(input.least, value)));
}

/**
 * What a technician typed, as it is sent: "3/16 in", "0,4 bar", a choice or a date.
 *
 * @param assumed id of the unit of a bare number; the field's metric one when left out
 */
export function readTyped(input: CalculatorInput, text: string, assumed?: string): Result<SentInput, string> {
  if (input.kind !== "measured") return ok({ value: text });
  const bare = unit(assumed ?? input.units.metric);
  const parsed = parseQuantity(text, input.dimension, bare);
  if (!parsed.ok) return err(quantityMessage(parsed.error, bare));
  const { scale, offset, id } = parsed.value.unit;
  return ok({ value: (parsed.value.si - (offset ?? 0)) / scale, unit: id });
}

/**
 * A typed figure as a text that says its unit, so that it means the same on another device: "2 1/2" typed into a field of
 * inches becomes "2 1/2 in"; what names its unit, a choice or a date stays as it is.
 */
export function withUnit(input: CalculatorInput, text: string, assumed: string): string {
  if (input.kind !== "measured") return text;
  return isBare(text, input.dimension, unit(assumed)) ? `${text} ${assumed}`.trim() : text;
}
