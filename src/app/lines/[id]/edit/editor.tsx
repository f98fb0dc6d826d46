"use client";

import type { Line } from "@/core/formats";
import { DraftFound } from "@/ui/draft-found";
import { Notice } from "@/ui/notice";
import { Unsaved } from "@/ui/unsaved";
import { itemAt } from "./edit-line";
import { ItemForm, LineForm } from "./item-form";
import { LinePane } from "./line-pane";
import { LineTables } from "./line-tables";
import { type KnownTag, KnownTags } from "./tag-field";
import { type LineEditing, useLineEditor } from "./use-line-editor";

/** A line in a drawing and in tables, side by side: drag a place, tap it to change it; nothing is stored before Save. */
export function LineEditor({
  first,
  known,
  tags,
  begun = false,
}: {
  first: Line;
  known: string | undefined;
  /** Valves of the register: each can stand at a place of it. */
  tags: readonly KnownTag[];
  /** It was begun from a template: it may be saved as it is. */
  begun?: boolean;
}) {
  const editing = useLineEditor(first, known, begun);
  const { line, draft, unsaved, maySave, save } = editing;
  return (
    <div className="grid grid-cols-1 gap-4 px-4 py-3 md:px-5 lg:h-[calc(100dvh-56px)] lg:grid-cols-[minmax(0,1fr)_400px]">
      <Unsaved unsaved={unsaved} what={line.name || "the line"} />
      <LinePane editing={editing} known={known} />
      <div
        className="flex min-h-0 flex-col gap-3 lg:overflow-y-auto"
        tabIndex={0}
        role="group"
        aria-label="Tables"
      >
        <div className="flex gap-2">
          <button type="button" className="btn btn-go flex-1" disabled={!maySave} onClick={save}>
            Save the line
          </button>
          <a href={known === undefined ? "/lines" : `/lines/${known}`} className="btn btn-quiet">
            Leave
          </a>
        </div>
        <DraftFound draft={draft} onTake={editing.change} />
        <LineProblems editing={editing} />
        <KnownTags value={tags}>
          <ItemForm editing={editing} />
        </KnownTags>
        <LineForm editing={editing} />
        <LineTables editing={editing} />
      </div>
    </div>
  );
}

const MOST_SAID = 8;

/** What is wrong, each with the place or link it is about, to be taken in hand. */
function LineProblems({ editing: { line, problems, refused, setInHand } }: { editing: LineEditing }) {
  const shown = [...problems, ...refused].slice(0, MOST_SAID);
  if (shown.length === 0) return null;
  return (
    <Notice tone="stop" live>
      <b>{problems.length > 0 ? "Not sound yet" : "Nothing was changed"}:</b>
      <ul className="mt-1 list-disc pl-5">
        {shown.map((each) => {
          const item = itemAt(line, each.path);
          return (
            <li key={each.path + each.message}>
              {item === undefined ? (
                <code>{each.path}</code>
              ) : (
                <button type="button" className="min-h-8 underline" onClick={() => setInHand(item)}>
                  {item}
                </button>
              )}{" "}
              {each.message}
            </li>
          );
        })}
      </ul>
    </Notice>
  );
}
