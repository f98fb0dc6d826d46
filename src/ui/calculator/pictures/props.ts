import type { Answer } from "@/core/calculators";
import type { UnitSystem } from "@/core/quantity";
import type { CalculatorForm } from "../use-calculator";

/** What a picture is drawn from: the form as it stands and its answer. */
export interface PictureProps {
  readonly form: CalculatorForm;
  readonly answer: Answer;
  readonly system: UnitSystem;
}
