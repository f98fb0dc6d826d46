import { changesNothing } from "../act-rule";

export const openByHand = changesNothing;
