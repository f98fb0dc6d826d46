import { fromSI, notationOf, type UnitSystem, unit } from "../quantity";
import { type Answer, calculate, calculatorNamed, readTyped, type SentInput, siOf } from ".";

/** What somebody types, by field. */
export type Typed = Readonly<Record<string, string>>;

/** Readings that have no usual figure, of something sound. */
const SOUND: Readonly<Record<string, Typed>> = {
  coil: { reading: "33.5", temperature: "6 °C" },
  "decay-test": { first: "6 bar g", last: "5.9 bar g", firstTemperature: "15 °C", lastTemperature: "15 °C" },
  "gauge-fitness": { reading: "6 bar g" },
  mixing: { found: "38 °C" },
  "sensor-check": { reading: "10000", truth: "25 °C" },
};

function ask(id: string, typed: Typed, system: UnitSystem) {
  const calculator = calculatorNamed(id)!;
  const sent: Record<string, SentInput> = {};
  for (const [name, text] of Object.entries({ ...SOUND[id], ...typed })) {
    if (text === "") continue;
    const read = readTyped(calculator.inputs.find((each) => each.name === name)!, text);
    if (!read.ok) throw new Error(`${name}: ${read.error}`);
    sent[name] = read.value;
  }
  return calculate(calculator, sent, notationOf(system));
}

/** The answer to what was typed; the usual figures count where nothing was. */
export function answerTo(id: string, typed: Typed = {}, system: UnitSystem = "metric"): Answer {
  const answer = ask(id, typed, system);
  if (!answer.ok) throw new Error(`${id}: ${JSON.stringify(answer.error)}`);
  return answer.value;
}

/** What is refused, each with its field; "answered" when nothing is. */
export function refusalOf(id: string, typed: Typed): string {
  const answer = ask(id, typed, "metric");
  return answer.ok ? "answered" : answer.error.map((each) => `${each.path} ${each.message}`).join("; ");
}

/** A figure of an answer in a unit, by the unit's name. */
export const figureOf = (answer: Answer, name: string, unitId: string): number =>
  fromSI(siOf(answer.outputs, name), unit(unitId));

/** One figure of what was typed. */
export const figure = (id: string, typed: Typed, name: string, unitId: string): number =>
  figureOf(answerTo(id, typed), name, unitId);
