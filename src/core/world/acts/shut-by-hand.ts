import { changesNothing } from "../act-rule";

/** No line is drawn: what is shut is not known to this model. */
export const shutByHand = changesNothing;
