import { changesNothing } from "../act-rule";

export const protect = changesNothing;
