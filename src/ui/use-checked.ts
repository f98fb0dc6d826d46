"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import type { LineLink } from "@/core/formats";
import type { Problem, Result } from "@/core/result";
import type { CheckAnswer, CheckAsk } from "@/workers/check.worker";

/** A document and what a worker found wrong with it; `document` is the one that was looked at, not the newest. */
export interface Checked<Document> {
  readonly document: Document;
  readonly problems: readonly Problem[];
}

/** Checks a document in a worker, anew with every change. @param first is sound: it was stored, or it is a blank of ours */
export function useChecked<Document>(document: Document): Checked<Document> & {
  readonly readLinks: (
    rows: readonly Record<string, string>[],
    known: readonly LineLink[],
  ) => Promise<Result<LineLink[], Problem[]>>;
} {
  const [checked, setChecked] = useState<Checked<Document>>({ document, problems: [] });
  const worker = useRef<Worker>(null);
  const asked = useRef(new Map<number, Document>());
  const waiting = useRef(new Map<number, (links: Result<LineLink[], Problem[]>) => void>());
  const next = useRef(0);

  useEffect(() => {
    const made = new Worker(new URL("../workers/check.worker.ts", import.meta.url), { type: "module" });
    worker.current = made;
    made.addEventListener("message", ({ data }: MessageEvent<CheckAnswer>) => {
      if (data.kind === "links") {
        waiting.current.get(data.id)?.(data.links);
        waiting.current.delete(data.id);
        return;
      }
      const looked = asked.current.get(data.id);
      asked.current.delete(data.id);
      // The newest question counts.
      if (looked !== undefined && data.id === Math.max(...[data.id, ...asked.current.keys()]))
        setChecked({ document: looked, problems: data.problems });
    });
    return () => made.terminate();
  }, []);

  useEffect(() => {
    next.current += 1;
    asked.current.set(next.current, document);
    worker.current?.postMessage({ kind: "document", id: next.current, document } satisfies CheckAsk);
  }, [document]);

  const readLinks = useCallback(
    (rows: readonly Record<string, string>[], known: readonly LineLink[]) =>
      new Promise<Result<LineLink[], Problem[]>>((resolve) => {
        next.current += 1;
        waiting.current.set(next.current, resolve);
        worker.current?.postMessage({ kind: "links", id: next.current, rows, known } satisfies CheckAsk);
      }),
    [],
  );
  return { ...checked, readLinks };
}
