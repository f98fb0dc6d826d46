import { type Difference, differences, type ThingKind } from "@/core/formats";
import type { Services } from "../services";
import { type SpokenEdit, spokenEdit } from "./edits";

const MOST_SHOWN = 8;
const MOST_FIELDS = 12;

/** One entry of a thing's history, with what it did to this thing, field by field. */
export interface Past extends SpokenEdit {
  readonly fields: readonly Difference[];
}

/** What was done to one thing by hand or by a file, the newest first. */
export const historyOf = ({ edits }: Services, kind: ThingKind, id: string): Past[] =>
  edits.ofThing(kind, id, MOST_SHOWN).map((each) => {
    const change = edits.changeOf(each.id, kind, id);
    const both = change !== undefined && change.before !== null && change.after !== null;
    return { ...spokenEdit(each), fields: both ? differences(change.before, change.after, MOST_FIELDS) : [] };
  });
