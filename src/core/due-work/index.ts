export { askedAfter } from "./asked-after";
export { crewsOn, type HouseDay, type NoCrews } from "./crews-on";
export { dayGeoJson } from "./day-geojson";
export type { DaySheet, DayStop, Packed } from "./day-sheet";
export { daySheet, type ShutDown, shutDownsOf } from "./day-sheet";
export { dueTasks, type Ringing } from "./due-tasks";
export type {
  BegunWork,
  HouseAsked,
  HouseRounds,
  Moved,
  NotPlanned,
  PublishedWeek,
  RoundsWork,
  WhatIfAnswer,
  WhatIfFigures,
} from "./house-rounds";
export { asTaken, type HowLong } from "./how-long";
export type { Apart } from "./joint";
export type { MyDay } from "./my-day";
export { afterBegun, begunIn, saidOfWork, withReport } from "./reported";
export { type Beside, type JointWork, shutOnce } from "./shut-once";
export { ifCalled, ifCrews, ifLate } from "./what-if";
export { type DueWork, workOf } from "./work-of";
