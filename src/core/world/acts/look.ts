import { changesNothing } from "../act-rule";

export const look = changesNothing;
