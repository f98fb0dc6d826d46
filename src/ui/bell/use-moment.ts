"use client";

import { useEffect, useState } from "react";

/** Draws anew when that moment has come (ms by this device), also while this page lies behind others. */
export function useMoment(at: number | undefined): void {
  const [, setCome] = useState(0);
  useEffect(() => {
    if (at === undefined) return;
    const worker = new Worker(new URL("../../workers/bell-clock.worker.ts", import.meta.url), {
      type: "module",
    });
    worker.onmessage = ({ data }: MessageEvent<number>) => setCome(data);
    worker.postMessage(at);
    return () => worker.terminate();
  }, [at]);
}
