"use client";

import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import { bearsOurNames, type Mapping } from "@/core/formats";
import type { Problem } from "@/core/result";
import { call } from "@/edge/client";
import type { AnswerTo } from "@/edge/contract";
import { IMPORT } from "@/edge/contracts/importing";
import type { Option } from "@/ui/kit/select-field";
import { TextField } from "@/ui/kit/text-field";
import { Notice } from "@/ui/notice";
import { useUndoEdit } from "@/ui/own/use-undo-edit";
import { ImportChanges } from "./import-changes";
import { MatchColumns } from "./match-columns";
import { ProvenFile } from "./proven-file";
import { asTable, readTable, type Table } from "./table";

type Preview = AnswerTo<typeof IMPORT>;
type Shown =
  | { readonly kind: "none" }
  | { readonly kind: "reading" | "storing" }
  | { readonly kind: "preview" | "done"; readonly preview: Preview }
  | { readonly kind: "refused"; readonly problems: readonly Problem[] };

/** The same each time: what is tried depends on it. */
const NONE: readonly never[] = [];

const EFFECT = { new: "comes in", changes: "changes what is here", same: "is here already" } as const;

/** Choose, see what would change field by field, then do it: every file or none, undone as one. */
export function ImportFiles({
  remembered,
  sheets,
}: {
  remembered: readonly Mapping[];
  sheets: readonly Option[];
}) {
  const router = useRouter();
  const [tables, setTables] = useState<readonly Table[]>([]);
  const [pasted, setPasted] = useState("");
  const [files, setFiles] = useState<{ name: string; text: string }[]>([]);
  const [shown, setShown] = useState<Shown>({ kind: "none" });
  const { undoing, undo } = useUndoEdit();
  const asked = useRef(0);
  const send = async (chosen: typeof files, apply: boolean) => {
    setShown({ kind: apply ? "storing" : "reading" });
    asked.current += 1;
    const mine = asked.current;
    const answer = await call(IMPORT, { body: { files: chosen, apply } });
    // Other files were chosen meanwhile: what is said of these is not asked any more.
    if (mine !== asked.current) return;
    if (!answer.ok) {
      setShown({ kind: "refused", problems: answer.error.problems });
      return;
    }
    setShown({ kind: apply ? "done" : "preview", preview: answer.value });
    if (apply) router.refresh();
  };
  const takeBack = async (id: string) => {
    const problems = await undo(id);
    setShown(problems.length > 0 ? { kind: "refused", problems } : { kind: "none" });
  };
  /** Files of ours are looked at at once; of any other table somebody first says what its columns are. */
  const take = async (chosen: readonly { name: string; text: string }[]) => {
    const strange = chosen.flatMap(({ name, text }) => {
      if (!/\.(csv|tsv|txt)$/i.test(name)) return [];
      const table = readTable(name, text);
      return table.rows.length > 0 && !bearsOurNames(table.columns) ? [table] : [];
    });
    const known = chosen.filter(({ name }) => strange.every((table) => table.name !== name));
    setFiles([...known]);
    setTables(strange);
    if (strange.length > 0) setShown({ kind: "none" });
    else if (known.length > 0) await send([...known], false);
  };
  const matched = async (table: Table, csv: string) => {
    const left = tables.filter((each) => each !== table);
    const all = [...files, { name: `${table.name.replace(/\.[a-z]+$/i, "")}.csv`, text: csv }];
    setTables(left);
    setFiles(all);
    if (left.length === 0) await send(all, false);
  };
  const nothing = shown.kind === "preview" && shown.preview.lines.every((line) => line.effect === "same");
  return (
    <div className="flex flex-col gap-4">
      <label className="card block cursor-pointer border-dashed p-6 text-center">
        <b className="block text-lead">Choose files</b>
        <span className="text-soft">
          .csv, .json or .geojson, several at once, up to 40 MB together. Columns of any name: they are
          matched in the next step.
        </span>
        <input
          type="file"
          multiple
          disabled={shown.kind === "storing"}
          accept=".csv,.tsv,.txt,.json,.geojson,text/csv,application/json,application/geo+json"
          className="mx-auto mt-3 block max-w-full"
          onChange={async (event) => {
            await take(
              await Promise.all(
                [...(event.target.files ?? [])].map(async (file) => ({
                  name: file.name,
                  text: await file.text(),
                })),
              ),
            );
          }}
        />
      </label>
      <details className="card px-4">
        <summary className="min-h-14 cursor-pointer content-center font-semibold">
          Or paste rows from a spreadsheet
        </summary>
        <div className="flex flex-col gap-3 pb-4">
          <TextField
            label="Rows, the first with the heads of the columns"
            long
            value={pasted}
            onChange={setPasted}
          />
          <button
            type="button"
            className="btn btn-go self-start"
            disabled={pasted.trim() === ""}
            onClick={() => void take([{ name: "pasted.csv", text: asTable(pasted) }])}
          >
            Look at them
          </button>
        </div>
      </details>
      {tables.map((table) => (
        <MatchColumns
          key={table.name}
          table={table}
          remembered={remembered}
          sheets={sheets}
          onMatched={(csv) => void matched(table, csv)}
          onDrop={() => setTables(tables.filter((each) => each !== table))}
        />
      ))}
      {shown.kind === "reading" && <p role="status">Reading …</p>}
      {shown.kind === "storing" && (
        <p role="status">Bringing it in: all of it or none. Others go on; their entries go in after it …</p>
      )}
      {shown.kind === "refused" && (
        <Notice tone="stop" live>
          <b>Nothing was changed.</b> Mend these, then try again:
          <ul className="mt-1 list-disc pl-5">
            {shown.problems.map((each) => (
              <li key={each.path + each.message}>
                <code>{each.path}</code> {each.message}
              </li>
            ))}
          </ul>
        </Notice>
      )}
      {(shown.kind === "preview" || shown.kind === "done") && (
        <section className="card p-4">
          <h2 className="caption">{shown.kind === "preview" ? "This would happen" : "Brought in"}</h2>
          <ul className="dashed">
            {shown.preview.lines.map((line) => (
              <li key={line.file} className="py-2">
                <div className="grid gap-x-4 sm:grid-cols-[1fr_1fr_auto]">
                  <b>{line.what}</b>
                  <span className="break-all text-soft">{line.file}</span>
                  <span className="plate text-body">{EFFECT[line.effect]}</span>
                </div>
                {line.caution !== undefined && (
                  <div className="mt-2">
                    <Notice tone="wait">{line.caution}</Notice>
                  </div>
                )}
                {line.effect !== "same" && (
                  <ProvenFile
                    text={files.find(({ name }) => name === line.file)?.text ?? ""}
                    valves={line.valves ?? NONE}
                    inAll={line.valvesInAll ?? 0}
                  />
                )}
                <ImportChanges changes={line.changes} total={line.total} />
              </li>
            ))}
          </ul>
          {shown.kind === "preview" && !nothing && (
            <button type="button" className="btn btn-go mt-3" onClick={() => void send(files, true)}>
              Bring it in
            </button>
          )}
          {nothing && <p className="mt-2">All of it is here already: there is nothing to bring in.</p>}
          {shown.kind === "done" && shown.preview.id !== undefined && (
            <button
              type="button"
              className="btn btn-quiet mt-3"
              disabled={undoing !== undefined}
              onClick={() => void takeBack(shown.preview.id!)}
            >
              {undoing === undefined ? "Undo all of it" : "Undoing it …"}
            </button>
          )}
        </section>
      )}
    </div>
  );
}
