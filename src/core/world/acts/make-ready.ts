import { changesNothing } from "../act-rule";

/** A card of the sheet before or after the line comes back. */
export const makeReady = changesNothing;
