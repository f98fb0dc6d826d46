import { changesNothing } from "../act-rule";

export const countTheTray = changesNothing;
