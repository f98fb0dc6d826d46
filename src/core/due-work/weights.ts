import type { Harmed } from "./work-of";

/** What each day after its date costs, in minutes of a crew: by who is harmed. */
const LATE_PER_DAY: Readonly<Record<Harmed, number>> = { fire: 60, pressure: 60, scald: 45, service: 10 };
/** What is reported is late already. */
const REPORTED = 2;
/** Days of lateness, beyond the latest that a plan may do it, that leaving it out counts as: late is better than never. */
const LEFT_OUT_DAYS = 60;
/** What each minute without service costs those who go without. */
const OUTAGE_PER_MIN: Readonly<Record<Harmed, number>> = {
  fire: 0.3,
  pressure: 0.05,
  scald: 0.1,
  service: 0.1,
};
const EARLY_PER_DAY = 0.5;

/** What a plan weighs a piece of work by. @param mostLate days after its date at the end of the plan */
export function weightsOf(
  harmed: Harmed,
  reported: boolean,
  outage: boolean,
  mostLate: number,
): {
  readonly late_per_day: number;
  readonly early_per_day: number;
  readonly left_out: number;
  readonly outage_per_min: number;
} {
  const late = LATE_PER_DAY[harmed] * (reported ? REPORTED : 1);
  return {
    late_per_day: late,
    early_per_day: EARLY_PER_DAY,
    left_out: late * (LEFT_OUT_DAYS + mostLate),
    outage_per_min: outage ? OUTAGE_PER_MIN[harmed] : 0,
  };
}
