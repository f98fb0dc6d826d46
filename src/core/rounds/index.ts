export { type Course, type DatedReading, worstCourse } from "./course";
export { dueList } from "./due-list";
export { CREW_HOURS, type DayOfWork, endsOfDays, FORTNIGHT_MS, hoursByDay } from "./hours";
export { addMonths, type Due, dues } from "./next-due";
export { type DueKind, type Shortage, shortages } from "./shortages";
