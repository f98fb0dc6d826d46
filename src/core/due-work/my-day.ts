import type { RoundsChanged } from "../formats";
import type { DaySheet } from "./day-sheet";
import type { BegunWork } from "./house-rounds";

/** The day of whoever asks: today, or the next on which something is planned for his crew. */
export interface MyDay {
  readonly sheet: DaySheet;
  /** What the crew is at or has done of it. */
  readonly begun: readonly BegunWork[];
  /** Whether people were told of it. */
  readonly published: boolean;
  /** What is another than they were told. */
  readonly changed: readonly RoundsChanged[];
}
