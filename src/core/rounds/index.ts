export { type Course, type DatedReading, worstCourse } from "./course";
export { dueList } from "./due-list";
export { CREW_HOURS, type DayOfWork, endsOfDays, FORTNIGHT_MS, hoursByDay } from "./hours";
export { actOf, addMonths, type Due, dues, reportedOf } from "./next-due";
export { calibratedUntil, type RunsOut, runningOut } from "./running-out";
export { type DueKind, type Shortage, shortages } from "./shortages";
