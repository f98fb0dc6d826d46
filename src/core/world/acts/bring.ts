import { changesNothing } from "../act-rule";

export const bring = changesNothing;
