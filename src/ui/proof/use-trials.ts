"use client";

import { useEffect, useState } from "react";
import type { JobInputs } from "@/core/formats";
import type { ProveAnswer, ProveAsk } from "@/workers/prove.worker";

/** One worker for all that is tried on a page, there while anybody asks it. */
let shared: { readonly worker: Worker; users: number; next: number } | undefined;

function ask(): NonNullable<typeof shared> {
  shared ??= {
    worker: new Worker(new URL("../../workers/prove.worker.ts", import.meta.url), { type: "module" }),
    users: 0,
    next: 0,
  };
  shared.users += 1;
  return shared;
}

function leave(): void {
  if (shared === undefined) return;
  shared.users -= 1;
  if (shared.users > 0) return;
  shared.worker.terminate();
  shared = undefined;
}

/** Proves jobs that nobody has begun, one after the other. @returns the answers so far, with the job of each */
export function useTrials(
  asked: readonly JobInputs[],
): readonly (ProveAnswer & { readonly inputs: JobInputs })[] {
  const [answers, setAnswers] = useState<readonly (ProveAnswer & { readonly inputs: JobInputs })[]>([]);
  useEffect(() => {
    setAnswers([]);
    if (asked.length === 0) return;
    const trials = ask();
    const ours = new Map(asked.map((inputs) => [trials.next++, inputs]));
    const told = ({ data }: MessageEvent<ProveAnswer>) => {
      const inputs = ours.get(data.id);
      if (inputs !== undefined) setAnswers((before) => [...before, { ...data, inputs }]);
    };
    trials.worker.addEventListener("message", told);
    for (const [id, inputs] of ours) trials.worker.postMessage({ id, inputs } satisfies ProveAsk);
    return () => {
      trials.worker.removeEventListener("message", told);
      leave();
    };
  }, [asked]);
  return answers;
}
