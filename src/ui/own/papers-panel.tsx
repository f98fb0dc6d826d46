"use client";

import { Camera, FileText, X } from "lucide-react";
import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import type { Paper } from "@/core/formats";
import { call } from "@/edge/client";
import { ADD_PAPER, REMOVE_PAPER } from "@/edge/contracts/own";
import { Says } from "../kit/labelled";
import { Empty } from "../notice";
import { Panel } from "../page";
import { Day } from "../when";
import { useChanged } from "./use-changed";

/** Photographs and papers kept with something: taken here, opened here, taken away and brought back. */
export function PapersPanel({
  of,
  owner,
  papers,
}: {
  of: Paper["of"];
  owner: string;
  papers: readonly Paper[];
}) {
  const router = useRouter();
  const changed = useChanged();
  const input = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<string>();
  const add = async (files: readonly File[]) => {
    setBusy(true);
    setRefused(undefined);
    for (const file of files) {
      const name = file.name.replace(/\.[a-z0-9]+$/i, "") || "Photograph";
      const kept = await call(ADD_PAPER, { query: { of, owner, name }, body: file });
      if (!kept.ok) setRefused(kept.error.problems.map(({ message }) => message).join(" "));
    }
    setBusy(false);
    if (input.current !== null) input.current.value = "";
    router.refresh();
  };
  const take = async (paper: Paper) => {
    const gone = await call(REMOVE_PAPER, { params: { id: paper.id } });
    if (gone.ok) changed(`${paper.name} is taken away.`, gone.value.edit);
    else setRefused(gone.error.problems.map(({ message }) => message).join(" "));
    router.refresh();
  };
  const photos = papers.filter(({ mime }) => mime === "image/jpeg");
  const documents = papers.filter(({ mime }) => mime !== "image/jpeg");
  return (
    <Panel title="Photographs and papers" note={papers.length > 0 ? String(papers.length) : ""}>
      {papers.length === 0 && (
        <Empty>None yet: a nameplate, the pit with its lid off, the maker’s manual.</Empty>
      )}
      {photos.length > 0 && (
        <ul className="grid grid-cols-2 gap-2 sm:grid-cols-3">
          {photos.map((paper) => (
            <li key={paper.id} className="relative">
              <a href={`/api/v1/papers/${paper.id}`} target="_blank" rel="noreferrer" className="block">
                {/* biome-ignore lint/performance/noImgElement: it comes from the own database, at its own size */}
                <img
                  src={`/api/v1/papers/${paper.id}`}
                  alt={paper.name}
                  loading="lazy"
                  className="aspect-[4/3] w-full rounded border-[1.5px] border-rule object-cover"
                />
                <span className="line-clamp-1 break-all text-note">{paper.name}</span>
              </a>
              <Away paper={paper} onAway={take} floating />
            </li>
          ))}
        </ul>
      )}
      <ul className="dashed">
        {documents.map((paper) => (
          <li key={paper.id} className="flex items-center gap-2 py-1">
            <a
              href={`/api/v1/papers/${paper.id}`}
              target="_blank"
              rel="noreferrer"
              className="flex min-h-11 min-w-0 flex-1 items-center gap-2 underline underline-offset-4"
            >
              <FileText size={20} aria-hidden className="shrink-0" />
              <span className="min-w-0 break-words">{paper.name}</span>
            </a>
            <small className="text-note text-soft">
              <Day at={Date.parse(paper.at)} />
            </small>
            <Away paper={paper} onAway={take} />
          </li>
        ))}
      </ul>
      <label className="btn btn-quiet mt-2 w-full cursor-pointer focus-within:outline-3">
        <Camera size={20} aria-hidden /> {busy ? "Keeping …" : "Add a photograph or PDF"}
        <input
          ref={input}
          type="file"
          multiple
          disabled={busy}
          accept="image/jpeg,image/png,image/webp,application/pdf"
          className="sr-only"
          onChange={(event) => void add([...(event.target.files ?? [])])}
        />
      </label>
      <Says error={refused} />
    </Panel>
  );
}

function Away({
  paper,
  onAway,
  floating = false,
}: {
  paper: Paper;
  onAway: (paper: Paper) => void;
  floating?: boolean;
}) {
  return (
    <button
      type="button"
      aria-label={`Take ${paper.name} away`}
      className={`grid size-11 place-items-center rounded ${floating ? "absolute top-1 right-1 bg-card/90" : ""}`}
      onClick={() => onAway(paper)}
    >
      <X size={18} aria-hidden />
    </button>
  );
}
