export * from "./backup";
export * from "./bring-question";
export * from "./bundle";
export { type BundledEdit, BundledEditSchema } from "./bundled-edit";
export type { Flow, Moves, Needs, SheetSum } from "./card";
export * from "./case";
export { countUp } from "./count-up";
export { datesFromCell, datesToCell } from "./dated-cell";
export { isDay } from "./dates";
export { type Difference, differences } from "./differences";
export * from "./edit-fact";
export * from "./ground";
export * from "./house";
export { idOfName } from "./id-of-name";
export * from "./instrument";
export * from "./instrument-line";
export * from "./item-card";
export * from "./job";
export * from "./job-event";
export { readJson } from "./json";
export * from "./line";
export { linksFromRows } from "./link-csv";
export { LINK_COLUMNS, linkRows } from "./link-rows";
export * from "./lists";
export * from "./mapping";
export * from "./meanwhile";
export { alike, type Clash, merged } from "./merge";
export * from "./movement";
export * from "./order";
export * from "./paper";
export * from "./person";
export * from "./place";
export { plainNumber } from "./plain-number";
export * from "./proof";
export {
  COVER_QUESTION,
  type CoverQuestion,
  ISOLATE_QUESTION,
  JOB_QUESTION,
  type JobQuestion,
  PLAN_QUESTION,
} from "./questions";
export * from "./read";
export * from "./register";
export {
  ROUNDS_DAY_QUESTION,
  ROUNDS_PLAN_QUESTION,
  type RoundsQuestion,
  type RoundsTask,
} from "./rounds-question";
export * from "./rounds-week";
export { bearsOurNames, columnsOf, rowFileOf, rowTemplate } from "./row-files";
export * from "./schools";
export * from "./sheet";
export { ChosenDepthSchema } from "./sheet-depth";
export { sheetNow } from "./sheet-now";
export * from "./store";
export * from "./taken-with";
export * from "./trouble";
export type { End } from "./trouble-end";
export * from "./trouble-question";
export { verdictsOf, withVerdicts } from "./verdicts";
