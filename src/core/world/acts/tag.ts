import { changesNothing } from "../act-rule";

export const tag = changesNothing;
