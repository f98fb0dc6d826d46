"use client";

import { useRouter } from "next/navigation";
import { useMemo, useState } from "react";
import { toast } from "sonner";
import type { Sheet } from "@/core/formats";
import type { Problem } from "@/core/result";
import { call } from "@/edge/client";
import { SAVE_SHEET } from "@/edge/contracts/documents";
import { useUnread } from "@/ui/schema-form/use-unread";
import { useChecked } from "@/ui/use-checked";
import { useDraft } from "@/ui/use-draft";
import { useHistory, useUndoKeys } from "@/ui/use-history";
import { useSpeaker } from "@/ui/use-speaker";
import { referencesOf } from "./edit-sheet";

export interface KnownSheet {
  readonly id: string;
  readonly revision: number;
}

/** A sheet under the hand: what it is now, what is wrong with it, what is chosen of it, and its saving. */
export function useSheetEditor(first: Sheet, known: KnownSheet | undefined) {
  const router = useRouter();
  const history = useHistory(first);
  const { now: sheet } = history;
  const words = useSpeaker();
  const [chosen, setChosen] = useState<string | undefined>(first.parts[0]?.id);
  const [refused, setRefused] = useState<readonly Problem[]>([]);
  const [saving, setSaving] = useState(false);
  const { document: seen, problems: found } = useChecked(sheet);
  const { unread, onUnread } = useUnread();
  const references = useMemo(() => referencesOf(sheet, words), [sheet, words]);
  const draft = useDraft(`sheet-draft.${first.id}.${first.revision}`, first, sheet);
  const problems = useMemo(() => [...unread, ...found], [unread, found]);
  useUndoKeys(history.undo, history.redo);

  const save = async () => {
    setSaving(true);
    const saved = await call(SAVE_SHEET, {
      query: known === undefined ? { as: "new" } : {},
      body: known === undefined ? sheet : { ...sheet, revision: known.revision },
    });
    setSaving(false);
    if (saved.ok) {
      draft.forget();
      toast.success(
        `Stored as revision ${saved.value.revision}. Jobs that run keep the one they began with.`,
      );
      router.push(`/sheets/${encodeURIComponent(saved.value.id)}`);
      router.refresh();
    } else if (saved.error.kind === "refused") setRefused(saved.error.problems);
    else toast.error(`Not stored: ${saved.error.problems[0]?.message} What you did is kept on this device.`);
  };
  return {
    ...history,
    sheet,
    chosen,
    setChosen,
    part: sheet.parts.find((each) => each.id === chosen),
    problems,
    refused,
    /** The sheet that was looked through, when nothing is wrong with it. */
    sound: problems.length === 0 ? seen : undefined,
    /** What the forms of its fields are given. */
    given: { problems, references, onUnread },
    draft,
    saving,
    maySave: !saving && problems.length === 0 && seen === sheet,
    save,
  };
}

export type SheetEditing = ReturnType<typeof useSheetEditor>;
