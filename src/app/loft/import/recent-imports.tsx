"use client";

import { useState } from "react";
import type { Problem } from "@/core/result";
import { Notice } from "@/ui/notice";
import { useUndoEdit } from "@/ui/own/use-undo-edit";
import { Panel } from "@/ui/page";
import { Day } from "@/ui/when";

interface Entry {
  readonly id: string;
  readonly at: number;
  readonly by: string;
  readonly files: readonly string[];
  readonly undone: boolean;
}

/** What was brought in lately; each can be undone as one, as long as nothing hangs on it. */
export function RecentImports({ entries }: { entries: readonly Entry[] }) {
  const { undoing, undo } = useUndoEdit();
  const [refused, setRefused] = useState<readonly Problem[]>([]);
  if (entries.length === 0) return null;
  return (
    <Panel title="Brought in lately">
      {refused.length > 0 && (
        <Notice tone="stop" live>
          <b>It was not undone.</b> {refused.map((each) => each.message).join(" ")}
        </Notice>
      )}
      <ul className="dashed">
        {entries.map((entry) => (
          <li key={entry.id} className="flex flex-wrap items-center justify-between gap-3 py-2">
            <span className="min-w-0 flex-1">
              <span className="line-clamp-2 break-all">{entry.files.join(", ")}</span>
              <small className="block text-note text-soft">
                <Day at={entry.at} time />, {entry.by}
              </small>
            </span>
            {entry.undone ? (
              <span className="text-soft">undone</span>
            ) : (
              <button
                type="button"
                className="btn btn-quiet"
                disabled={undoing !== undefined}
                onClick={async () => setRefused(await undo(entry.id))}
              >
                {undoing === entry.id ? "Undoing it …" : "Undo all of it"}
              </button>
            )}
          </li>
        ))}
      </ul>
    </Panel>
  );
}
