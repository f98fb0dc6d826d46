"use client";

import Link from "next/link";
import { useState } from "react";
import { grouped } from "@/core/quantity";
import type { Problem } from "@/core/result";
import { Modal } from "../modal";
import { Empty, Notice } from "../notice";
import { Panel } from "../page";
import { labelOf } from "../schema-form/schema";
import { Day } from "../when";
import { useUndoEdit } from "./use-undo-edit";

/** More than these are taken back only after asking. */
const FEW = 5;

export interface PastEdit {
  readonly id: string;
  readonly at: number;
  readonly by: string;
  readonly says: string;
  readonly changes: number;
  readonly undone: boolean;
  readonly fields?: readonly {
    readonly path: string;
    readonly before: string | undefined;
    readonly after: string | undefined;
  }[];
}

/** A field's path as a person reads it: `/months/yearly` is "Months: yearly". */
const spoken = (path: string) => {
  const [, name = "", ...rest] = path.split("/");
  return [labelOf(name), ...rest].join(": ");
};

/** Who changed what and when; each change can be taken back as long as nothing hangs on it. */
export function Edits({ edits }: { edits: readonly PastEdit[] }) {
  const { undoing, undo } = useUndoEdit();
  const [refused, setRefused] = useState<readonly Problem[]>([]);
  const [sure, setSure] = useState<PastEdit>();
  const takeBack = async (edit: PastEdit) => {
    setSure(undefined);
    setRefused(await undo(edit.id));
  };
  return (
    <>
      <Modal
        open={sure !== undefined}
        onOpenChange={(open) => !open && setSure(undefined)}
        title={`Take back ${grouped(sure?.changes ?? 0)} changes?`}
        says={sure?.says ?? ""}
      >
        <div className="flex justify-end gap-3">
          <button type="button" className="btn btn-quiet" onClick={() => setSure(undefined)}>
            Leave them
          </button>
          <button type="button" className="btn btn-stop" onClick={() => sure && void takeBack(sure)}>
            Take all of it back
          </button>
        </div>
      </Modal>
      {refused.length > 0 && (
        <Notice tone="stop" live>
          <b>It was not undone.</b> {refused.map(({ message }) => message).join(" ")}
        </Notice>
      )}
      <ul className="dashed">
        {edits.map((each) => (
          <li key={each.id} className="flex flex-wrap items-start justify-between gap-x-3 py-2">
            <span className="min-w-0 flex-1">
              <span className={each.undone ? "text-soft line-through" : "break-words"}>{each.says}</span>
              <small className="block text-note text-soft">
                <Day at={each.at} time />, {each.by}
                {each.changes > 1 && `, ${grouped(each.changes)} things`}
              </small>
              {each.fields?.map(({ path, before, after }) => (
                <small key={path} className="block break-words text-note">
                  {spoken(path)}: {before !== undefined && <s className="text-soft">{before}</s>}{" "}
                  {after ?? <i className="text-soft">empty</i>}
                </small>
              ))}
            </span>
            {each.undone ? (
              <span className="text-soft">undone</span>
            ) : each.changes === 0 ? null : (
              <button
                type="button"
                className="btn btn-quiet"
                disabled={undoing !== undefined}
                onClick={() => (each.changes > FEW ? setSure(each) : void takeBack(each))}
              >
                {undoing === each.id ? "Undoing …" : "Undo"}
              </button>
            )}
          </li>
        ))}
      </ul>
    </>
  );
}

/** The last changes of one thing. */
export function HistoryPanel({ edits }: { edits: readonly PastEdit[] }) {
  return (
    <Panel title="Changes">
      {edits.length === 0 ? (
        <Empty>Nobody has changed it yet.</Empty>
      ) : (
        <>
          <Edits edits={edits} />
          <Link
            href="/loft/changes"
            className="mt-1 block min-h-11 content-center underline underline-offset-4"
          >
            All changes
          </Link>
        </>
      )}
    </Panel>
  );
}
