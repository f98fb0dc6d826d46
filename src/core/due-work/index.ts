export { crewsOn, type HouseDay, type NoCrews } from "./crews-on";
export type { DaySheet, Packed } from "./day-sheet";
export { daySheet } from "./day-sheet";
export { dueTasks, type Ringing, shutTogether } from "./due-tasks";
export type { HouseAsked, HouseRounds, Moved, NotPlanned, PublishedWeek, RoundsWork } from "./house-rounds";
export { workOf } from "./work-of";
