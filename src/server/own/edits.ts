import type { EditFact } from "@/core/formats";
import { editSays, speaker } from "@/words";
import type { Services } from "../services";

/** Entries of one page of the book. */
const PAGE = 60;

export interface SpokenEdit {
  readonly id: string;
  readonly at: number;
  readonly by: string;
  readonly says: string;
  readonly changes: number;
  readonly undone: boolean;
}

interface Entry {
  readonly id: string;
  readonly at: number;
  readonly by: string;
  readonly what: EditFact;
  readonly changes: number;
  readonly undoneAt: number | null;
}

export const spokenEdit = ({ id, at, by, what, changes, undoneAt }: Entry): SpokenEdit => ({
  id,
  at,
  by,
  says: editSays(speaker(), what),
  changes,
  undone: undoneAt !== null,
});

/** The book of changes, the newest first; those before a moment, to page further back. */
export const editsBefore = ({ edits }: Services, before?: number): SpokenEdit[] =>
  edits.recent(PAGE, before).map(spokenEdit);
