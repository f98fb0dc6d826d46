"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { Notice } from "@/ui/notice";

interface Line {
  readonly file: string;
  readonly what: string;
  readonly effect: "new" | "changes" | "same";
}
type Shown =
  | { readonly kind: "none" }
  | { readonly kind: "reading" }
  | { readonly kind: "preview" | "done"; readonly lines: readonly Line[] }
  | { readonly kind: "refused"; readonly problems: readonly { path: string; message: string }[] };

const EFFECT = { new: "comes in", changes: "changes what is here", same: "is here already" } as const;

/** Choose, see what would change, then do it: every file or none. */
export function ImportFiles() {
  const router = useRouter();
  const [files, setFiles] = useState<{ name: string; text: string }[]>([]);
  const [shown, setShown] = useState<Shown>({ kind: "none" });
  const send = async (chosen: typeof files, apply: boolean) => {
    setShown({ kind: "reading" });
    const answer = await fetch("/api/v1/import", {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ files: chosen, apply }),
    }).catch(() => undefined);
    const body = await answer?.json().catch(() => undefined);
    if (answer?.ok) setShown({ kind: apply ? "done" : "preview", lines: body.lines });
    else
      setShown({
        kind: "refused",
        problems: body?.errors ?? [
          { path: "", message: "The server did not answer. Nothing was changed; try again." },
        ],
      });
    if (answer?.ok && apply) router.refresh();
  };
  return (
    <div className="flex flex-col gap-4">
      <label className="card block cursor-pointer border-dashed p-6 text-center">
        <b className="block text-[20px]">Choose files</b>
        <span className="text-soft">.csv or .json, several at once, up to 5 MB together</span>
        <input
          type="file"
          multiple
          accept=".csv,.json,text/csv,application/json"
          className="mx-auto mt-3 block max-w-full"
          onChange={async (event) => {
            const chosen = await Promise.all(
              [...(event.target.files ?? [])].map(async (file) => ({
                name: file.name,
                text: await file.text(),
              })),
            );
            setFiles(chosen);
            if (chosen.length > 0) await send(chosen, false);
          }}
        />
      </label>
      {shown.kind === "reading" && <p role="status">Reading …</p>}
      {shown.kind === "refused" && (
        <Notice tone="stop" live>
          <b>Nothing was brought in.</b> Mend these and choose the files again:
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
            {shown.lines.map((line) => (
              <li key={line.file} className="grid gap-x-4 py-2 sm:grid-cols-[1fr_1fr_auto]">
                <b>{line.what}</b>
                <span className="break-all text-soft">{line.file}</span>
                <span className="plate text-[17px]">{EFFECT[line.effect]}</span>
              </li>
            ))}
          </ul>
          {shown.kind === "preview" && (
            <button type="button" className="btn btn-go mt-3" onClick={() => void send(files, true)}>
              Bring it in
            </button>
          )}
        </section>
      )}
    </div>
  );
}
