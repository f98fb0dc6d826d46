import { changesNothing } from "../act-rule";

/** Springs, charge and heat are let go or waited out. */
export const letGoOfStored = changesNothing;
