import { calculate, calculatorNamed, readTyped, type SentInput } from "../calculators";
import type { Look, Sheet } from "../formats";
import { fromSI, parseQuantity, quantityMessage, type Unit, unit, unitNamed } from "../quantity";
import { err, ok, type Problem, type Result } from "../result";
import type { Band } from "./answering";

export type Measure = Extract<Look, { kind: "measure" }>;

/** In the unit of the look. */
export interface Limits {
  readonly low?: number;
  readonly high?: number;
}

export interface Judged {
  readonly band: Band;
  /** What was judged, SI: the reading, or what the sum made of it. */
  readonly si: number;
  /** What was read, SI. */
  readonly read: number;
  /** The band it would have had uncorrected, where that is another. */
  readonly uncorrected?: Band;
}

/** The unit of a look; a plain number may be called anything, and is read as it stands. */
export const unitOfLook = ({ dimension, unit: named }: Measure): Unit =>
  unitNamed(named, dimension) ?? unit("");

/** Limits of a measure: its own, else those of the check that it is. */
export function limitsOf({ low, high, check }: Measure, sheet?: Sheet): Limits {
  const of = sheet?.checks.find(({ id }) => id === check);
  const from = low === undefined && high === undefined && of?.kind === "measure" ? of : { low, high };
  return {
    ...(from.low !== undefined && { low: from.low }),
    ...(from.high !== undefined && { high: from.high }),
  };
}

function bandOf(value: number, { low, high }: Limits): Band {
  if (low !== undefined && value < low) return "below";
  return high !== undefined && value > high ? "above" : "within";
}

/**
 * What a typed figure says: corrected by the look's sum where it has one, held against its limits.
 *
 * @param typed `reading`, and what the sum asks besides, each with its unit; a bare number has the unit of its field
 */
export function judged(
  look: Measure,
  typed: Readonly<Record<string, string>>,
  sheet?: Sheet,
): Result<Judged, Problem[]> {
  const limits = limitsOf(look, sheet);
  if (limits.low === undefined && limits.high === undefined)
    return err([
      {
        path: "/typed/reading",
        message: "Its limits stand on the sheet of the valve. Hand that in, or say below, within or above.",
      },
    ]);
  const own = unitOfLook(look);
  const reading = parseQuantity(typed.reading ?? "", look.dimension, own);
  if (!reading.ok) return err([{ path: "/typed/reading", message: quantityMessage(reading.error, own) }]);
  const read = reading.value.si;
  const plain = bandOf(fromSI(read, own), limits);
  const corrected = correct(look, typed, limits, read);
  if (!corrected.ok) return corrected;
  if (corrected.value === undefined) return ok({ band: plain, si: read, read });
  const band = bandOf(fromSI(corrected.value, own), limits);
  return ok({ band, si: corrected.value, read, ...(band !== plain && { uncorrected: plain }) });
}

/** What the look's sum makes of a reading, SI; nothing where it has none. */
function correct(
  { sum, ...look }: Measure,
  typed: Readonly<Record<string, string>>,
  { low, high }: Limits,
  read: number,
): Result<number | undefined, Problem[]> {
  const calculator = sum && calculatorNamed(sum.calculator);
  if (sum === undefined || calculator === undefined) return ok(undefined);
  const own = unitOfLook(look);
  const inOwn = (value: number): SentInput => ({ value, unit: own.id });
  const sent: Record<string, SentInput> = { [sum.input]: inOwn(fromSI(read, own)) };
  if (sum.limits !== undefined && low !== undefined && high !== undefined) {
    sent[sum.limits.low] = inOwn(low);
    sent[sum.limits.high] = inOwn(high);
  }
  const problems: Problem[] = [];
  const besides = Object.fromEntries((sum.asks ?? []).map((name) => [name, typed[name] ?? ""]));
  for (const [name, text] of Object.entries({ ...sum.given, ...besides })) {
    const input = calculator.inputs.find((each) => each.name === name);
    const sentInput = input && readTyped(input, text);
    if (sentInput?.ok) sent[name] = sentInput.value;
    else if (sentInput !== undefined) problems.push({ path: `/typed/${name}`, message: sentInput.error });
  }
  if (problems.length > 0) return err(problems);
  const answer = calculate(calculator, sent);
  if (!answer.ok)
    return err(
      answer.error.map(({ path, message }) => ({
        path: path === `/inputs/${sum.input}` ? "/typed/reading" : path.replace("/inputs/", "/typed/"),
        message,
      })),
    );
  const made = answer.value.outputs[sum.output];
  return made !== undefined && "si" in made
    ? ok(made.si)
    : err([{ path: "/typed/reading", message: "The sum makes no figure of this. Read it once more." }]);
}
