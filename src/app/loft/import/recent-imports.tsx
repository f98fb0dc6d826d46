"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { call } from "@/edge/client";
import { UNDO_IMPORT } from "@/edge/contracts/importing";
import { Notice } from "@/ui/notice";
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
  const router = useRouter();
  const [refused, setRefused] = useState<readonly string[]>([]);
  const undo = async (id: string) => {
    const undone = await call(UNDO_IMPORT, { params: { id } });
    setRefused(undone.ok ? [] : undone.error.problems.map((each) => each.message));
    if (undone.ok) toast("Everything is again as it was before.");
    router.refresh();
  };
  if (entries.length === 0) return null;
  return (
    <Panel title="Brought in lately">
      {refused.length > 0 && (
        <Notice tone="stop" live>
          <b>It was not undone.</b> {refused.join(" ")}
        </Notice>
      )}
      <ul className="dashed">
        {entries.map((entry) => (
          <li key={entry.id} className="flex flex-wrap items-center justify-between gap-3 py-2">
            <span className="min-w-0">
              <span className="line-clamp-2 break-all">{entry.files.join(", ")}</span>
              <small className="block text-[14.5px] text-soft">
                <Day at={entry.at} time />, {entry.by}
              </small>
            </span>
            {entry.undone ? (
              <span className="text-soft">undone</span>
            ) : (
              <button type="button" className="btn btn-quiet" onClick={() => void undo(entry.id)}>
                Undo all of it
              </button>
            )}
          </li>
        ))}
      </ul>
    </Panel>
  );
}
