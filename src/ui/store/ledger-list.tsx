"use client";

import clsx from "clsx";
import Link from "next/link";
import { useState } from "react";
import { Empty } from "../notice";
import { Day } from "../when";
import { useUndoBooked } from "./use-booked";

/** An entry of the ledger in words. */
export interface LedgerEntry {
  readonly id: string;
  readonly seq: number;
  readonly at: number;
  readonly by: string;
  readonly what: string;
  readonly name: string;
  readonly href: string;
  readonly where: string;
  readonly pieces: string;
  readonly more: readonly string[];
  readonly job?: string;
  readonly undone: boolean;
  readonly canUndo: boolean;
}

/** Entries of the ledger, the newest first; each can be taken back by a contrary one. */
export function LedgerList({
  entries,
  named = true,
}: {
  entries: readonly LedgerEntry[];
  /** Whether the item is said with each: on its own page it is not. */
  named?: boolean;
}) {
  const undo = useUndoBooked();
  const [busy, setBusy] = useState<string>();
  if (entries.length === 0) return <Empty>Nothing has been booked yet.</Empty>;
  return (
    <ul className="dashed">
      {entries.map(({ id, at, by, what, name, href, where, pieces, more, job, undone, canUndo }) => (
        <li
          key={id}
          className="grid grid-cols-[minmax(0,1fr)_auto] items-start gap-x-3 py-2 md:grid-cols-[minmax(0,1fr)_7rem_6rem]"
        >
          <span className={clsx("min-w-0", undone && "text-soft line-through")}>
            {named && (
              <Link href={href} className="block break-words font-semibold underline underline-offset-4">
                {name}
              </Link>
            )}
            <span className="block">
              {what}, {where}
            </span>
            <small className="block text-note text-soft">
              <Day at={at} time />, {by}
              {more.map((each) => `, ${each}`).join("")}
              {job !== undefined && (
                <>
                  ,{" "}
                  <Link href={`/jobs/${encodeURIComponent(job)}`} className="underline underline-offset-4">
                    for this job
                  </Link>
                </>
              )}
            </small>
          </span>
          <span className={clsx("plate text-right text-lead", undone && "text-soft line-through")}>
            {pieces}
          </span>
          <span className="col-span-2 text-right md:col-span-1">
            {undone ? (
              <span className="text-soft">taken back</span>
            ) : (
              canUndo && (
                <button
                  type="button"
                  className="no-print min-h-11 px-2 underline underline-offset-4"
                  disabled={busy !== undefined}
                  onClick={async () => {
                    setBusy(id);
                    await undo([id]);
                    setBusy(undefined);
                  }}
                >
                  {busy === id ? "Undoing …" : "Undo"}
                </button>
              )
            )}
          </span>
        </li>
      ))}
    </ul>
  );
}
