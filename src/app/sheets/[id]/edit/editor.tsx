"use client";

import clsx from "clsx";
import { useState } from "react";
import type { Sheet } from "@/core/formats";
import { DraftFound } from "@/ui/draft-found";
import { Axis } from "@/ui/draw/axis";
import { untouched } from "@/ui/draw/axis-part";
import { Panel } from "@/ui/page";
import { Preview } from "./preview";
import { Problems } from "./problems";
import { HELD_BY_TAB, PARTS_TAB, SheetTabs } from "./sheet-tabs";
import { type KnownSheet, type SheetEditing, useSheetEditor } from "./use-sheet-editor";

/** A sheet under the hand: its parts, what holds what, checks and kits, with the steps beside it as they come out. */
export function SheetEditor({
  first,
  known,
  copied,
}: {
  first: Sheet;
  known: KnownSheet | undefined;
  copied?: string;
}) {
  const editing = useSheetEditor(first, known);
  const { sheet, draft } = editing;
  const [tab, setTab] = useState<string>(PARTS_TAB);
  // The graph draws every part itself and needs the room of the axis.
  const graph = tab === HELD_BY_TAB;
  const shown = [...editing.refused, ...editing.problems];
  return (
    <div className="mx-auto flex max-w-[1500px] flex-col gap-3 px-4 py-4 md:px-5">
      <Head editing={editing}>
        {copied !== undefined
          ? `A copy of ${copied}, to be adapted; stored under ${sheet.id}.`
          : `Revision ${first.revision} is edited; saving makes revision ${first.revision + 1}. Nothing is stored before.`}
      </Head>
      <DraftFound draft={draft} onTake={editing.change} />
      {shown.length > 0 && <Problems problems={shown} sheet={sheet} />}
      <div
        className={clsx(
          "grid grid-cols-1 items-start gap-4",
          graph ? "xl:grid-cols-[minmax(0,1fr)_360px]" : "xl:grid-cols-[300px_minmax(0,1fr)_360px]",
        )}
      >
        {!graph && <AxisPane editing={editing} onChosen={() => setTab(PARTS_TAB)} />}
        <SheetTabs editing={editing} tab={tab} onTab={setTab} />
        <Panel
          title="The steps that come out"
          className="xl:sticky xl:top-3 xl:max-h-[calc(100dvh-90px)] xl:overflow-y-auto"
        >
          {editing.sound !== undefined ? (
            <Preview sheet={editing.sound} />
          ) : (
            <p className="text-soft">Mend what is named above, and the steps are compiled again.</p>
          )}
        </Panel>
      </div>
    </div>
  );
}

function Head({ editing, children }: { editing: SheetEditing; children: string }) {
  const { sheet, undo, redo, canUndo, canRedo, saving, maySave, save } = editing;
  return (
    <header className="flex flex-wrap items-end gap-3">
      <div className="min-w-0 flex-1">
        <h1 className="font-bold text-title leading-tight">{sheet.title || "A new sheet"}</h1>
        <p className="text-soft">{children}</p>
      </div>
      <button type="button" className="btn btn-quiet" disabled={!canUndo} onClick={undo}>
        Undo
      </button>
      <button type="button" className="btn btn-quiet" disabled={!canRedo} onClick={redo}>
        Redo
      </button>
      <button type="button" className="btn btn-go" disabled={!maySave} onClick={save}>
        {saving ? "Saving …" : "Save"}
      </button>
    </header>
  );
}

function AxisPane({ editing, onChosen }: { editing: SheetEditing; onChosen: () => void }) {
  const { sheet, chosen, setChosen } = editing;
  return (
    <section className="card flex h-[440px] flex-col overflow-hidden xl:sticky xl:top-3 xl:h-[calc(100dvh-90px)]">
      <h2 className="caption px-3.5 pt-3">The axis: tap a part</h2>
      <div className="min-h-0 flex-1">
        <Axis
          parts={untouched(sheet.parts)}
          {...(chosen !== undefined && { chosen, lit: chosen })}
          litSays=""
          onChoose={(id) => {
            setChosen(id);
            onChosen();
          }}
        />
      </div>
    </section>
  );
}
