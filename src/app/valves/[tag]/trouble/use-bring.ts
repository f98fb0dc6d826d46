"use client";

import { useEffect, useRef, useState } from "react";
import type { Bring } from "@/core/bring";
import type { HowOneGoes } from "@/core/formats";
import type { BringAnswer, BringAsk } from "@/workers/bring.worker";
import type { TroubleInHand } from "./use-trouble";

/** What to bring by what is known so far: worked out anew in a worker with every answer; the newest counts. */
export function useBring(
  { knowledge, facts, given, sheet, stock: { store, generation } }: TroubleInHand,
  goes: HowOneGoes,
): Bring | undefined {
  const [bring, setBring] = useState<Bring>();
  const worker = useRef<Worker>(null);
  const asked = useRef(0);
  useEffect(() => {
    const made = new Worker(new URL("../../../../workers/bring.worker.ts", import.meta.url), {
      type: "module",
    });
    worker.current = made;
    made.addEventListener("message", ({ data }: MessageEvent<BringAnswer>) => {
      if (data.id === asked.current) setBring(data.bring);
    });
    return () => made.terminate();
  }, []);
  useEffect(() => {
    asked.current += 1;
    if (facts === undefined) return;
    worker.current?.postMessage({
      id: asked.current,
      knowledge,
      facts,
      answers: [...given],
      sheet,
      ...(store !== undefined && { store }),
      ...(generation !== undefined && { generation }),
      goes,
    } satisfies BringAsk);
  }, [knowledge, facts, given, sheet, store, generation, goes]);
  return bring;
}
