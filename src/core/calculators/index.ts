export { CALCULATORS, calculatorNamed } from "./book";
export { type Answer, type AnswerRow, calculate, siOf, wordsOf } from "./calculate";
export {
  type BellToSet,
  type Calculator,
  type CalculatorInput,
  type CalculatorOutput,
  CHAPTERS,
  type Chapter,
  type MeasuredOutput,
} from "./declaration";
export { benchBookPage } from "./describe";
export { type Described, findCalculators } from "./find";
export { benchTitle, type Kept, type KeptReading, keptFrom, keptName, keptTitle, workAgain } from "./keep";
export { counts, readTyped, type SentInput, withUnit } from "./read-inputs";
export { drainCurve } from "./water/drain-down";
