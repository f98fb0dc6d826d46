"use client";

import clsx from "clsx";
import { useState } from "react";
import type { Sheet } from "@/core/formats";
import { DraftFound } from "@/ui/draft-found";
import { Axis } from "@/ui/draw/axis";
import { untouched } from "@/ui/draw/axis-part";
import { Panel } from "@/ui/page";
import { EditHead } from "@/ui/schema-form/edit-head";
import { Mend } from "@/ui/schema-form/mend";
import { Preview } from "./preview";
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
      <EditHead
        title={sheet.title || "A new sheet"}
        says={
          copied !== undefined
            ? `A copy of ${copied}, to be adapted; stored under ${sheet.id}.`
            : `Revision ${first.revision} is edited; saving makes revision ${first.revision + 1}. Nothing is stored before.`
        }
        acts={editing}
      />
      <DraftFound draft={draft} onTake={editing.change} />
      {shown.length > 0 && <Mend problems={shown} of={sheet} />}
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
