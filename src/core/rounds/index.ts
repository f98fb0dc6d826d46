export {
  answerDay,
  type NamedWhyNot,
  named,
  type PlannedShift,
  type RoundsDayAnswer,
  toldDays,
  type Unplaced,
} from "./ask/answer-day";
export {
  answerPlan,
  type CostOfYear,
  nobodyAble,
  type RoundsPlanAnswer,
  type WhyNoWeek,
} from "./ask/answer-plan";
export { dayProblem } from "./ask/day-problem";
export { type Effect, moveTo } from "./ask/move";
export {
  type Fallen,
  keptShift,
  type PlanWeek,
  planStood,
  type WeekStood,
  weekStood,
} from "./ask/plan-stood";
export { type Asked, readRounds } from "./ask/read-question";
export { placedIn } from "./ask/slots";
export type { ShiftOfBefore } from "./ask/stood";
export { placedElsewhere, shiftAgain } from "./ask/week-again";
export { planBound, planCost } from "./ask/weigh";
export { type Course, coursesOf, type DatedReading, type SistersBy, worstCourse } from "./course";
export { lowerBound } from "./day/bound";
export type { DayProblem, Visit } from "./day/problem";
export { search } from "./day/search";
export {
  busyFor,
  nothingPlaced,
  type Prepared,
  prepared,
  type Standing,
} from "./day/standing";
export { timed } from "./day/timed";
export { dueList } from "./due-list";
export type { Doubt, Meets } from "./forecast";
export { CREW_HOURS, type DayOfWork, endsOfDays, FORTNIGHT_MS, hoursByDay } from "./hours";
export { actOf, addMonths, type Due, dues, type Measured, reportedOf } from "./next-due";
export { type Pace, paceOf } from "./pace";
export { calibratedUntil, type RunsOut, runningOut } from "./running-out";
export { type Season, seasonWithin } from "./season";
export { type DueKind, type Shortage, shortages } from "./shortages";
