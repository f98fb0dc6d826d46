"use client";

import { useRouter } from "next/navigation";
import Papa from "papaparse";
import { useMemo, useState } from "react";
import { toast } from "sonner";
import type { Line } from "@/core/formats";
import { checkLine } from "@/core/line";
import type { Problem } from "@/core/result";
import { call } from "@/edge/client";
import { NEW_LINE, SAVE_LINE } from "@/edge/contracts/documents";
import { useUnread } from "@/ui/schema-form/use-unread";
import { useChecked } from "@/ui/use-checked";
import { useDraft } from "@/ui/use-draft";
import { useHistory, useUndoKeys } from "@/ui/use-history";

/** A line under the hand: what it is now, what is wrong with it, what of it is in hand, and its saving. */
export function useLineEditor(first: Line, known: string | undefined, begun = false) {
  const router = useRouter();
  const history = useHistory(first);
  const { now: line, change } = history;
  const [stored, setStored] = useState(first);
  const [inHand, setInHand] = useState<string>();
  const [refused, setRefused] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState<string>();
  // What can be drawn is known at once; whether every field is as it has to be, a worker tells a moment later.
  const apart = useMemo(() => checkLine(line), [line]);
  const sound = apart.length === 0;
  const { document: seen, problems: found, readLinks } = useChecked(line);
  const { unread, onUnread } = useUnread();
  const problems = useMemo(() => [...unread, ...(sound ? found : apart)], [unread, sound, found, apart]);
  const draft = useDraft(`line-draft.${known ?? "new"}`, stored, line);
  useUndoKeys(history.undo, history.redo);

  const store = async (document: Line, before: Line) => {
    setBusy("Saving …");
    const saved =
      known === undefined
        ? await call(NEW_LINE, { body: document })
        : await call(SAVE_LINE, { params: { id: known }, body: document });
    setBusy(undefined);
    if (!saved.ok) return setRefused(saved.error.problems);
    setRefused([]);
    setStored(document);
    draft.forget();
    router.refresh();
    if (known === undefined) return router.push(`/lines/${encodeURIComponent(saved.value.id)}`);
    toast("The line is saved.", {
      action: {
        label: "Take it back",
        onClick: () => {
          change(before);
          void store(before, document);
        },
      },
    });
  };
  const layOut = async () => {
    setBusy("Laying out …");
    const { layOutInWorker } = await import("@/ui/line-elk");
    change(await layOutInWorker(line));
    setBusy(undefined);
  };
  const bringIn = async (file: File) => {
    const parsed = Papa.parse<Record<string, string>>(await file.text(), {
      header: true,
      skipEmptyLines: "greedy",
    });
    const read = await readLinks(parsed.data, line.links);
    if (!read.ok) return setRefused(read.error);
    setRefused([]);
    change({ ...line, links: read.value });
    toast(`${read.value.length} links were read. Undo takes them back.`);
  };
  return {
    ...history,
    line,
    inHand,
    setInHand,
    sound,
    problems,
    refused,
    /** What the forms of its fields are given. */
    given: { problems, onUnread },
    draft,
    busy,
    unsaved: line !== stored || (begun && known === undefined),
    maySave: problems.length === 0 && seen === line && (line !== stored || begun) && busy === undefined,
    save: () => void store(line, stored),
    layOut,
    bringIn,
  };
}

export type LineEditing = ReturnType<typeof useLineEditor>;
