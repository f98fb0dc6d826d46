import { boltUp } from "./bolt-up";
import type { Calculator } from "./declaration";
import { drainDown } from "./drain-down";
import { lockedLiquid } from "./locked-liquid";
import { standTest } from "./stand-test";

export { type Answer, calculate, type SentInput } from "./calculate";
export type { Calculator, CalculatorInput, CalculatorOutput, Verdict, WorkedExample } from "./declaration";
export { drainCurve } from "./drain-down";

/** The bench book: a calculation is added by its file and a line here. */
export const CALCULATORS: readonly Calculator[] = [boltUp, drainDown, standTest, lockedLiquid];

export const calculatorNamed = (id: string): Calculator | undefined =>
  CALCULATORS.find((each) => each.id === id);
