import { changesNothing } from "../act-rule";

/** Greasing, soaking, cleaning: in the sheet's own words. */
export const workOn = changesNothing;
