"use client";

import { useEffect, useMemo, useState } from "react";
import { type JobInputs, PLAN_RULES, type Sheet, sheetNow } from "@/core/formats";
import { ProofPanel } from "@/ui/proof/proof-panel";
import type { ProveAnswer, ProveAsk } from "@/workers/prove.worker";

/** What a sheet that comes in would ask of people, tried for each of its reasons before anybody works by it. */
export function ProvenSheet({ text }: { text: string }) {
  const sheet = useMemo(() => sheetIn(text), [text]);
  const asked = useMemo(() => (sheet === undefined ? [] : trialsOf(sheet)), [sheet]);
  const answers = useAnswers(asked);
  if (sheet === undefined || asked.length === 0) return null;
  const harmful = answers.find(
    ({ proof }) => (proof?.harms.length ?? 0) + (proof?.differences.length ?? 0) > 0,
  );
  if (harmful !== undefined)
    return (
      <div className="mt-2">
        <ProofPanel answer={harmful} names={{ sheet }} />
      </div>
    );
  const acts = answers.reduce((sum, { proof }) => sum + (proof?.acts ?? 0), 0);
  return (
    <p role="status" className="mt-1 text-note text-soft">
      {answers.length < asked.length
        ? "Trying its plans …"
        : `Proven by hand, without a line: ${asked.length} plans, ${acts} acts, no harm.`}
    </p>
  );
}

/** The server has read and checked it before its plans are tried here. */
function sheetIn(text: string): Sheet | undefined {
  try {
    const value = JSON.parse(text) as { readonly format?: unknown };
    return value.format === "loftbell.sheet" ? sheetNow(value as Sheet) : undefined;
  } catch {
    return undefined;
  }
}

const trialsOf = (sheet: Sheet): JobInputs[] =>
  sheet.symptoms.map(
    ({ id, says, reach, renews }): JobInputs => ({
      id: "import",
      valve: { tag: "import", name: "Import", place: "Bench", sheet: sheet.id },
      sheet,
      reason: { kind: "symptom", says, symptom: id },
      reach,
      renew: renews ?? [],
      policy: "what-was-disturbed",
      openedAt: "2026-01-01T00:00:00Z",
      openedBy: "Import",
      rules: PLAN_RULES,
    }),
  );

/** Proves one after the other, in a worker. */
function useAnswers(asked: readonly JobInputs[]): readonly ProveAnswer[] {
  const [answers, setAnswers] = useState<readonly ProveAnswer[]>([]);
  useEffect(() => {
    setAnswers([]);
    if (asked.length === 0) return;
    const worker = new Worker(new URL("../../../workers/prove.worker.ts", import.meta.url), {
      type: "module",
    });
    worker.addEventListener("message", ({ data }: MessageEvent<ProveAnswer>) => {
      setAnswers((before) => [...before, data]);
    });
    asked.forEach((inputs, id) => {
      worker.postMessage({ id, inputs } satisfies ProveAsk);
    });
    return () => worker.terminate();
  }, [asked]);
  return answers;
}
