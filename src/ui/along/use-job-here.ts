"use client";

import { useSearchParams } from "next/navigation";
import { useEffect, useState } from "react";
import type { JobEvent } from "@/core/formats";
import { outboxOf } from "@/device/entries";
import type { KeptJob, KeptLog } from "@/device/kept";
import { deviceStore } from "@/device/store";

/** A job as it lies on this device when a page of it is opened. */
export interface JobOnDevice {
  readonly job: KeptJob;
  readonly known: KeptLog;
  /** What the server has, and after it what waits here. */
  readonly log: readonly JobEvent[];
  readonly waiting: number;
}

/** The job that the address names: undefined while it is looked for, null when it is not here. */
export function useJobHere(): { readonly id: string; readonly found: JobOnDevice | null | undefined } {
  const id = useSearchParams().get("id") ?? "";
  const [found, setFound] = useState<JobOnDevice | null>();
  useEffect(() => {
    const look = async () => {
      const [job, known, waiting] = await Promise.all([
        deviceStore().jobs.get(id),
        deviceStore().logs.get(id),
        outboxOf(deviceStore(), id).waiting(),
      ]);
      if (job === undefined || known === undefined) return setFound(null);
      const there = new Set(known.stored.map((event) => event.id));
      const unsent = waiting.filter((event) => !there.has(event.id));
      setFound({ job, known, log: [...known.stored, ...unsent], waiting: unsent.length });
    };
    void look();
  }, [id]);
  return { id, found };
}
