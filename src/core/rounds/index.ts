export {
  answerDay,
  type NamedWhyNot,
  type PlannedShift,
  type PlannedVisit,
  type RoundsDayAnswer,
  type Unplaced,
} from "./ask/answer-day";
export { answerPlan, type RoundsPlanAnswer, type WhyNoWeek } from "./ask/answer-plan";
export { type Course, coursesOf, type DatedReading, type SistersBy, worstCourse } from "./course";
export { dueList } from "./due-list";
export type { Doubt, Meets } from "./forecast";
export { CREW_HOURS, type DayOfWork, endsOfDays, FORTNIGHT_MS, hoursByDay } from "./hours";
export { actOf, addMonths, type Due, dues, reportedOf } from "./next-due";
export { calibratedUntil, type RunsOut, runningOut } from "./running-out";
export { type DueKind, type Shortage, shortages } from "./shortages";
