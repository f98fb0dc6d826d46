"use client";

import { useLiveQuery } from "dexie-react-hooks";
import { useEffect, useMemo, useState, useSyncExternalStore } from "react";
import { inRingingOrder } from "@/core/ringing";
import { jobsHere } from "@/device/jobs";
import { deviceStore } from "@/device/store";
import type { SpokenBell } from "@/words";
import { useSpeaker } from "../use-speaker";
import { useStanding } from "../use-standing";
import { bellsTold, onBellsTold } from "./bells-of-pages";

type BellsByJob = ReadonlyMap<string, readonly SpokenBell[]>;
const NONE: BellsByJob = new Map();

/**
 * What rings, as far as this device knows it: what the server said, and of jobs that were worked on here without it
 * what their entries say. A wait that was begun in a pit rings in the pit.
 */
export function useBellsHere(said: readonly SpokenBell[]): readonly SpokenBell[] {
  const onPages = useSyncExternalStore(onBellsTold, bellsTold, () => NONE);
  const lying = useBellsOfDevice();
  return useMemo(() => {
    if (onPages.size === 0 && lying.size === 0) return said;
    const here = new Map([...lying, ...onPages]);
    const others = said.filter(({ job }) => job === undefined || !here.has(job));
    return inRingingOrder([...[...here.values()].flat(), ...others]);
  }, [said, onPages, lying]);
}

/** Of jobs of which the server has not heard everything; without signal of all that lie here. */
function useBellsOfDevice(): BellsByJob {
  const words = useSpeaker();
  const unheard = useStanding().kind === "no-signal";
  const jobs = useLiveQuery(() => jobsHere(deviceStore(), unheard ? "all" : "unsent"), [unheard]);
  const [bells, setBells] = useState<BellsByJob>(NONE);
  useEffect(() => {
    if (jobs === undefined || jobs.length === 0) {
      setBells((now) => (now.size === 0 ? now : NONE));
      return;
    }
    let left = false;
    // The rules of a job are heavy: they come when there is a job.
    const later = setTimeout(async () => {
      const rules = await import("./bells-of-job").catch(() => undefined);
      // Not on this device: what the server said last stands.
      if (left || rules === undefined) return;
      const { bellsOfJob } = rules;
      const others = jobs.filter(({ job }) => !bellsTold().has(job.id));
      setBells(new Map(others.map((each) => [each.job.id, bellsOfJob(words, each)])));
    }, 50);
    return () => {
      left = true;
      clearTimeout(later);
    };
  }, [jobs, words]);
  return bells;
}
