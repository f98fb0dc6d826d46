"use client";

import { useCallback, useMemo } from "react";
import type { Line, LineNode } from "@/core/formats";
import { LineDrawing } from "@/ui/draw/line-drawing";
import type { XY } from "@/ui/draw/line-layout";
import { TextField } from "@/ui/kit/text-field";
import { lineView } from "@/ui/line-view";
import { moveNode } from "./edit-line";
import type { LineEditing } from "./use-line-editor";

const NOTHING_SHUT = { shut: new Set<string>() };

/** The line as a drawing, with its name and what runs in it. */
export function LinePane({ editing, known }: { editing: LineEditing; known: string | undefined }) {
  const { line, sound, inHand, setInHand, slide, mark, busy } = editing;
  const view = useMemo(
    () => ({
      ...lineView(
        sound ? line : drawable(line),
        NOTHING_SHUT,
        undefined,
        inHand === undefined ? {} : { target: inHand, chosen: inHand },
      ),
      draggable: true,
      onNode: setInHand,
      onValve: setInHand,
    }),
    [line, sound, inHand, setInHand],
  );
  const onMoved = useCallback((id: string, to: XY) => slide((now) => moveNode(now, id, to)), [slide]);
  return (
    <section className="card relative flex min-h-[480px] flex-col overflow-hidden">
      <h1 className="sr-only">{known === undefined ? "A new line" : `Change ${line.name}`}</h1>
      <Head editing={editing} isNew={known === undefined} />
      {/* One drag is one step of undo: the step is marked before it begins. */}
      <div
        className="min-h-[360px] flex-1"
        onPointerDownCapture={(event) => {
          if ((event.target as Element).closest("[data-drag]") !== null) mark();
        }}
      >
        <LineDrawing view={view} onMoved={onMoved} />
      </div>
      <p role="status" className="px-4 pb-2 text-note text-soft">
        {busy ?? "Drag a place to move it. Tap a place or a valve to change it."}
      </p>
    </section>
  );
}

function Head({ editing, isNew }: { editing: LineEditing; isNew: boolean }) {
  const { line, change, undo, redo, canUndo, canRedo, layOut } = editing;
  return (
    <header className="flex flex-wrap items-start gap-2 px-4 pt-3">
      {isNew && (
        <div className="w-36">
          <TextField label="Id" value={line.id} onChange={(id) => change({ ...line, id }, "id")} />
        </div>
      )}
      <div className="min-w-40 flex-1">
        <TextField label="Name" value={line.name} onChange={(name) => change({ ...line, name }, "name")} />
      </div>
      <div className="flex flex-wrap gap-2 self-end">
        <button type="button" className="btn btn-quiet" disabled={!canUndo} onClick={undo}>
          Undo
        </button>
        <button type="button" className="btn btn-quiet" disabled={!canRedo} onClick={redo}>
          Redo
        </button>
        <button type="button" className="btn btn-quiet" onClick={layOut}>
          Lay out anew
        </button>
      </div>
    </header>
  );
}

/** A line that does not hang together cannot be walked: what of it can be drawn, without states. */
function drawable(line: Line): Line {
  const places = new Set(line.nodes.map((node) => node.id));
  return {
    ...line,
    links: line.links.filter((link) => places.has(link.from) && places.has(link.to)),
    nodes: line.nodes.map(plain),
  };
}

/** A three-way valve whose positions do not fit is drawn as a joint. */
const plain = ({ threeWay: _, ...node }: LineNode): LineNode =>
  node.kind === "three-way" ? { ...node, kind: "junction" } : node;
