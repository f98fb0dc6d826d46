"use client";

import { useEffect, useRef, useState } from "react";
import type { Line } from "@/core/formats";
import type { Alternative, IsolationDemand, IsolationFailure, IsolationPlan } from "@/core/isolation";
import type { Result } from "@/core/result";
import type { IsolationAnswer, IsolationAsk } from "@/workers/isolation.worker";

/** A plan made in a worker, or that it is being made. */
export type Planned =
  | { readonly kind: "none" }
  | { readonly kind: "waiting" }
  | {
      readonly kind: "made";
      readonly plan: Result<IsolationPlan, IsolationFailure>;
      readonly others: readonly Alternative[];
      readonly took: number;
    };

/**
 * Plans an isolation in a worker, anew whenever the line or the demand changes; the newest question counts.
 *
 * @param source where the worker fetches a line that is too large to be handed over
 */
export function useIsolation(line: Line, demand: IsolationDemand | undefined, source?: string): Planned {
  const [planned, setPlanned] = useState<Planned>({ kind: "none" });
  const worker = useRef<Worker>(null);
  const asked = useRef(0);

  useEffect(() => {
    const made = new Worker(new URL("../workers/isolation.worker.ts", import.meta.url), { type: "module" });
    worker.current = made;
    made.addEventListener("message", ({ data }: MessageEvent<IsolationAnswer>) => {
      if (data.id !== asked.current) return;
      setPlanned((now) =>
        data.kind === "plan"
          ? { kind: "made", plan: data.plan, others: [], took: data.took }
          : now.kind === "made"
            ? { ...now, others: data.others }
            : now,
      );
    });
    made.postMessage(
      (source === undefined ? { kind: "line", line } : { kind: "fetch", url: source }) satisfies IsolationAsk,
    );
    return () => made.terminate();
  }, [line, source]);

  const key = demand === undefined ? "" : JSON.stringify(demand);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new worker has to be asked anew
  useEffect(() => {
    asked.current += 1;
    if (key === "") {
      setPlanned({ kind: "none" });
      return;
    }
    setPlanned((now) => (now.kind === "made" ? now : { kind: "waiting" }));
    worker.current?.postMessage({
      kind: "plan",
      id: asked.current,
      demand: JSON.parse(key) as IsolationDemand,
    } satisfies IsolationAsk);
  }, [key, line]);
  return planned;
}
