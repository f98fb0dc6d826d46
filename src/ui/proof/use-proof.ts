"use client";

import { useEffect, useRef, useState } from "react";
import type { JobInputs } from "@/core/formats";
import type { ProveAnswer, ProveAsk } from "@/workers/prove.worker";

/** Proves a job in a worker, anew with every choice; nothing until the newest is proven. */
export function useProof(inputs: JobInputs | undefined): ProveAnswer | undefined {
  const [answer, setAnswer] = useState<ProveAnswer>();
  const worker = useRef<Worker>(null);
  const asked = useRef(0);
  useEffect(() => {
    const made = new Worker(new URL("../../workers/prove.worker.ts", import.meta.url), {
      type: "module",
    });
    worker.current = made;
    made.addEventListener("message", ({ data }: MessageEvent<ProveAnswer>) => {
      if (data.id === asked.current) setAnswer(data);
    });
    return () => made.terminate();
  }, []);
  useEffect(() => {
    asked.current += 1;
    setAnswer(undefined);
    if (inputs !== undefined) worker.current?.postMessage({ id: asked.current, inputs } satisfies ProveAsk);
  }, [inputs]);
  return answer;
}
