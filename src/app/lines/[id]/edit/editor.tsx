"use client";

import { useRouter } from "next/navigation";
import Papa from "papaparse";
import { useCallback, useMemo, useState } from "react";
import { toast } from "sonner";
import { LINK_COLUMNS, type Line, type LineLink, type LineNode, linkRows, MEDIA } from "@/core/formats";
import { checkLine } from "@/core/line";
import type { Problem } from "@/core/result";
import { call } from "@/edge/client";
import { NEW_LINE, SAVE_LINE } from "@/edge/contracts/documents";
import { LineDrawing } from "@/ui/draw/line-drawing";
import type { XY } from "@/ui/draw/line-layout";
import { lineView } from "@/ui/line-view";
import { Notice } from "@/ui/notice";
import { Panel } from "@/ui/page";
import { Unsaved } from "@/ui/unsaved";
import { useChecked } from "@/ui/use-checked";
import { useHistory, useUndoKeys } from "@/ui/use-history";
import { addLink, addNode, changeLink, changeNode, itemAt, moveNode, remove } from "./edit-line";
import { Choice, Text } from "./inputs";
import { ItemForm } from "./item-form";

const NOTHING_SHUT = { shut: new Set<string>() };

/** A line in a drawing and in tables, side by side: drag a place, tap it to change it; nothing is stored before Save. */
export function LineEditor({ first, known }: { first: Line; known: string | undefined }) {
  const router = useRouter();
  const { now: line, change, slide, mark, undo, redo, canUndo, canRedo } = useHistory(first);
  const [stored, setStored] = useState(first);
  const [inHand, setInHand] = useState<string>();
  const [list, setList] = useState<"places" | "links">("places");
  const [refused, setRefused] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState<string>();
  // What can be drawn is known at once; whether every field is as it has to be, a worker tells a moment later.
  const apart = useMemo(() => checkLine(line), [line]);
  const sound = apart.length === 0;
  const { document: seen, problems: found, readLinks } = useChecked(line);
  const problems = sound ? found : apart;
  const view = useMemo(() => {
    // A line that does not hang together cannot be walked; it is drawn without states.
    const drawable = line.links.filter(
      (link) =>
        line.nodes.some((node) => node.id === link.from) && line.nodes.some((node) => node.id === link.to),
    );
    const shown = sound ? line : { ...line, links: drawable, nodes: line.nodes.map(plain) };
    return {
      ...lineView(
        shown,
        NOTHING_SHUT,
        undefined,
        inHand === undefined ? {} : { target: inHand, chosen: inHand },
      ),
      draggable: true,
      onNode: setInHand,
      onValve: setInHand,
    };
  }, [line, sound, inHand]);
  const node = line.nodes.find((each) => each.id === inHand);
  const link = line.links.find((each) => each.id === inHand);

  const onMoved = useCallback((id: string, to: XY) => slide((now) => moveNode(now, id, to)), [slide]);
  useUndoKeys(undo, redo);

  const save = async (document: Line, before: Line) => {
    setBusy("Saving …");
    const saved =
      known === undefined
        ? await call(NEW_LINE, { body: document })
        : await call(SAVE_LINE, { params: { id: known }, body: document });
    setBusy(undefined);
    if (!saved.ok) return setRefused(saved.error.problems);
    setRefused([]);
    setStored(document);
    router.refresh();
    if (known === undefined) return router.push(`/lines/${encodeURIComponent(saved.value.id)}`);
    toast("The line is saved.", {
      action: {
        label: "Take it back",
        onClick: () => {
          change(before);
          void save(before, document);
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
  const csv = () =>
    URL.createObjectURL(
      new Blob([Papa.unparse(linkRows(line.links), { columns: [...LINK_COLUMNS] })], { type: "text/csv" }),
    );

  return (
    <div className="grid gap-4 px-4 py-3 md:px-5 lg:h-[calc(100dvh-56px)] lg:grid-cols-[minmax(0,1fr)_400px]">
      <Unsaved unsaved={line !== stored} what={line.name || "the line"} />
      <section className="card relative flex min-h-[480px] flex-col overflow-hidden">
        <header className="flex flex-wrap items-end gap-2 px-4 pt-3">
          <h1 className="sr-only">{known === undefined ? "A new line" : `Change ${line.name}`}</h1>
          {known === undefined && (
            <div className="w-36">
              <Text label="Id" value={line.id} onChange={(id) => change({ ...line, id })} />
            </div>
          )}
          <div className="min-w-40 flex-1">
            <Text label="Name" value={line.name} onChange={(name) => change({ ...line, name })} />
          </div>
          <div className="w-32">
            <Choice
              label="Medium"
              value={line.medium}
              options={MEDIA}
              onChange={(medium) => change({ ...line, medium: (medium ?? line.medium) as Line["medium"] })}
            />
          </div>
          <div className="w-48">
            <Choice
              label="Rule"
              value={line.rule}
              options={["single", "double-block-and-bleed"]}
              onChange={(rule) => change({ ...line, rule: (rule ?? line.rule) as Line["rule"] })}
            />
          </div>
        </header>
        <div className="flex flex-wrap gap-2 px-4 pt-2">
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
      <div
        className="flex min-h-0 flex-col gap-3 lg:overflow-y-auto"
        tabIndex={0}
        role="group"
        aria-label="Tables"
      >
        <div className="flex gap-2">
          <button
            type="button"
            className="btn btn-go flex-1"
            disabled={problems.length > 0 || seen !== line || line === stored || busy !== undefined}
            onClick={() => void save(line, stored)}
          >
            Save the line
          </button>
          <a href={known === undefined ? "/lines" : `/lines/${known}`} className="btn btn-quiet">
            Leave
          </a>
        </div>
        {[...problems, ...refused].length > 0 && (
          <Notice tone="stop" live>
            <b>{problems.length > 0 ? "Not sound yet" : "Nothing was changed"}:</b>
            <ul className="mt-1 list-disc pl-5">
              {[...problems, ...refused].slice(0, 8).map((each) => {
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
        )}
        {node !== undefined && (
          <ItemForm
            line={line}
            item={{ kind: "node", node }}
            onChange={(to) => {
              change(changeNode(line, node.id, to as LineNode));
              setInHand(to.id);
            }}
            onRemove={() => {
              change(remove(line, node.id));
              toast(`${node.id} and its links are gone.`, { action: { label: "Undo", onClick: undo } });
            }}
          />
        )}
        {link !== undefined && (
          <ItemForm
            line={line}
            item={{ kind: "link", link }}
            onChange={(to) => {
              change(changeLink(line, link.id, to as LineLink));
              setInHand(to.id);
            }}
            onRemove={() => {
              change(remove(line, link.id));
              toast(`${link.id} is gone.`, { action: { label: "Undo", onClick: undo } });
            }}
          />
        )}
        <Panel title="Table">
          <div className="mb-2 flex gap-2" role="group" aria-label="What the table lists">
            {(["places", "links"] as const).map((each) => (
              <button
                key={each}
                type="button"
                className="btn btn-quiet flex-1"
                aria-pressed={list === each}
                onClick={() => setList(each)}
              >
                {each === "places" ? `Places ${line.nodes.length}` : `Links ${line.links.length}`}
              </button>
            ))}
          </div>
          <button
            type="button"
            className="btn btn-quiet mb-2 w-full"
            onClick={() => {
              const made = list === "places" ? addNode(line) : addLink(line, node?.id);
              change(made.line);
              setInHand(made.id);
            }}
          >
            {list === "places" ? "Add a place" : "Add a link"}
          </button>
          <div className="overflow-x-auto">
            <table className="w-full text-note">
              <thead>
                <tr className="caption text-left">
                  <th className="py-1 pr-2 font-normal">Id</th>
                  <th className="py-1 pr-2 font-normal">Kind</th>
                  <th className="py-1 font-normal">{list === "places" ? "Name, height" : "From, to"}</th>
                </tr>
              </thead>
              <tbody>
                {(list === "places" ? line.nodes : line.links).map((each) => (
                  <tr key={each.id} className={each.id === inHand ? "bg-brass-bg" : ""}>
                    <td className="border-rule border-t pr-2">
                      <button
                        type="button"
                        className="min-h-11 w-full text-left font-semibold"
                        aria-pressed={each.id === inHand}
                        onClick={() => setInHand(each.id)}
                      >
                        {each.id}
                      </button>
                    </td>
                    <td className="border-rule border-t pr-2 text-soft">{each.kind}</td>
                    <td className="border-rule border-t text-soft">
                      {"from" in each
                        ? `${each.from} → ${each.to}`
                        : `${each.name ?? ""} ${each.elevation_m} m`}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          <div className="mt-3 flex flex-col gap-2">
            <button
              type="button"
              className="btn btn-quiet"
              onClick={() => {
                const anchor = Object.assign(document.createElement("a"), {
                  href: csv(),
                  download: `${line.id}.links.csv`,
                });
                anchor.click();
                URL.revokeObjectURL(anchor.href);
              }}
            >
              Take the links as CSV
            </button>
            <label className="btn btn-quiet cursor-pointer">
              Bring links in from CSV
              <input
                type="file"
                accept=".csv,text/csv"
                className="sr-only"
                onChange={(event) => {
                  const file = event.target.files?.[0];
                  event.target.value = "";
                  if (file !== undefined) void bringIn(file);
                }}
              />
            </label>
          </div>
        </Panel>
      </div>
    </div>
  );
}

/** A three-way valve whose positions do not fit is drawn as a joint. */
const plain = ({ threeWay: _, ...node }: LineNode): LineNode =>
  node.kind === "three-way" ? { ...node, kind: "junction" } : node;
